import { z } from "zod";
import { viewSchema } from "~/core/schema";
import type { Definition } from "../definition";
import { isFilm, outsideFilm } from "../parts/film-address";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  film: z.string().max(80).nullable(),
  address: z.string().max(2000),
  about: z.string().max(300),
  picture: z.string().max(40).nullable(),
  pictureView: viewSchema,
  caption: z.string().max(200),
});
export type FilmProps = z.infer<typeof props>;

export const definition: Definition<FilmProps> = {
  kind: "film",
  name: "Film",
  about: "A film of yours, fetched only once somebody wants to see it.",
  purpose: "Freehand",
  level: "widget",
  slots: WIDGET_SLOTS,
  traits: ["picture"],
  tag: "figure",
  arrangements: [
    { id: "asked", name: "Plays when pressed" },
    { id: "itself", name: "Moves by itself, without sound" },
  ],
  fields: [
    { type: "film", key: "film", label: "Film" },
    { type: "outside", key: "address", seldom: true, label: "Or a film at another address" },
    { type: "picture", key: "picture", label: "Picture before it plays", views: true },
    { type: "line", key: "about", label: "What it shows", most: 300, hint: "For those who don’t see it" },
    { type: "line", key: "caption", seldom: true, label: "Caption", most: 200, hint: "Optional" },
  ],
  props,
  migrations: [
    {
      from: 1,
      name: "a film can be at another address",
      up: (props) => {
        props.address ??= "";
      },
    },
  ],
  synonyms: ["video", "movie", "clip", "mp4"],
  defaults: { film: null, address: "", about: "", picture: null, caption: "" },
  style: { all: { shape: "16/9", round: "card" } },
  styles: ["shape", "round", "align"],
  script: "goods",
  permissions: ["media"],
  asks: ({ film, address }) => {
    const outside = isFilm(film) ? undefined : outsideFilm(address);
    return outside ? [`${outside.isFile ? "media" : "frame"} ${outside.origin}`] : [];
  },
  later: { classes: ["is-playing", "is-begun"] },
  css: `
.w-film{margin:0;text-align:var(--align,inherit)}
.film{display:block;position:relative;isolation:isolate;overflow:hidden;aspect-ratio:var(--shape);border-radius:var(--round);background:var(--raised)}
.film video{display:block;width:100%;height:100%;object-fit:cover}
.film>.pic{position:absolute;inset:0;z-index:1;height:100%}
.film-go{position:absolute;z-index:2;inset:0;display:grid;place-items:center;width:100%;border:0;background:none;cursor:pointer}
.film-go svg{width:1.5rem;height:1.5rem;fill:currentColor}
.film-go span{display:grid;place-items:center;width:4.5rem;height:4.5rem;border-radius:50%;background:var(--page);color:var(--ink);box-shadow:0 6px 24px -6px rgb(10 16 20/.6);transition:scale .15s}
.film-go:hover span{scale:1.08}
.is-begun>.pic,.is-begun>.film-go{display:none}
@media (scripting:none){.film>.pic,.film>.film-go:not([href]),.film-stop{display:none}}
.w-film iframe{display:block;width:100%;height:100%;border:0}
.film-go{color:inherit;text-decoration:none}
.film-from{position:absolute;inset:auto 0 0;z-index:2;padding:.6rem 1rem;background:var(--page);color:var(--ink);font-size:var(--t-1);text-align:center;pointer-events:none}
.is-begun>.film-from{display:none}
.w-film figcaption{padding-top:.5rem;font-size:var(--t-1);color:var(--soft)}
`,
};
