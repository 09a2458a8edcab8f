import { z } from "zod";
import { viewSchema } from "~/core/schema";
import type { Definition } from "../definition";
import { WIDGET_SLOTS } from "../slots";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  film: z.string().max(80).nullable(),
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
    { type: "picture", key: "picture", label: "Picture before it plays", views: true },
    { type: "line", key: "about", label: "What it shows", most: 300, hint: "For those who don’t see it" },
    { type: "line", key: "caption", seldom: true, label: "Caption", most: 200, hint: "Optional" },
  ],
  props,
  synonyms: ["video", "movie", "clip", "mp4"],
  defaults: { film: null, about: "", picture: null, caption: "" },
  style: { all: { shape: "16/9", round: "card" } },
  styles: ["shape", "round", "align"],
  script: "goods",
  permissions: ["media"],
  later: { classes: ["is-playing", "is-begun"] },
  css: `
.w-film{margin:0;text-align:var(--align,inherit)}
.film{display:block;position:relative;isolation:isolate;overflow:hidden;aspect-ratio:var(--shape);border-radius:var(--round);background:var(--raised)}
.film video{display:block;width:100%;height:100%;object-fit:cover}
.film>.pic{position:absolute;inset:0;z-index:1;height:100%}
.film-go{position:absolute;z-index:2;inset:0;display:grid;place-items:center;width:100%;border:0;background:none;cursor:pointer}
.film-go svg,.film-stop svg{width:1.5rem;height:1.5rem;fill:currentColor}
.film-go span{display:grid;place-items:center;width:4.5rem;height:4.5rem;border-radius:50%;background:var(--page);color:var(--ink);box-shadow:0 6px 24px -6px rgb(10 16 20/.6);transition:scale .15s}
.film-go:hover span{scale:1.08}
.film-stop{position:absolute;z-index:2;right:.75rem;bottom:.75rem;display:grid;place-items:center;width:2.75rem;height:2.75rem;border:0;border-radius:50%;background:var(--page);color:var(--ink);cursor:pointer}
.film-stop .standing,.is-playing .film-stop .playing{display:block}
.film-stop .playing,.is-playing .film-stop .standing{display:none}
.is-begun>.pic,.is-begun>.film-go{display:none}
@media (scripting:none){.film>.pic,.film-go,.film-stop{display:none}}
.w-film figcaption{padding-top:.5rem;font-size:var(--t-1);color:var(--soft)}
`,
};
