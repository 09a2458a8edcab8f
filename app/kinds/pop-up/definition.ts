import { z } from "zod";
import { MOST_COLUMNS } from "~/core/layout";
import type { Definition } from "../definition";
import { DESIGNS } from "./designs";

const props = z.object({
  arrangement: z.string().max(40).optional(),
  name: z.string().max(80),
  opens: z.enum(["after", "far", "leave", "link"]),
  seconds: z.number().int().min(0).max(600),
  far: z.number().int().min(1).max(100),
  often: z.enum(["visit", "day", "week", "month", "once"]),
  size: z.enum(["usual", "large"]),
  closes: z.enum(["cross", "words", "button"]),
  close: z.string().min(1, "Say how it is closed.").max(40),
});
export type PopUpProps = z.infer<typeof props>;

/** It lies over the whole page, and nothing else can be worked with until it is closed. */
export const isAlone = (arrangement: string): boolean => arrangement === "middle" || arrangement === "whole";

export const definition: Definition<PopUpProps> = {
  kind: "pop-up",
  name: "Pop-up",
  about: "Lies over the page once it is time for it, and is gone when it is closed.",
  purpose: "Over the page",
  level: "section",
  slots: ["over"],
  holds: { columns: MOST_COLUMNS },
  traits: ["no-head", "wraps"],
  calledBy: "name",
  isOffered: true,
  tag: "dialog",
  arrangements: [
    { id: "middle", name: "In the middle, over all else" },
    { id: "corner", name: "Slides into the corner" },
    { id: "edge", name: "Along the lower edge" },
    { id: "side", name: "From the side" },
    { id: "whole", name: "Over the whole window" },
  ],
  starts: DESIGNS,
  fields: [
    {
      type: "choice",
      key: "opens",
      label: "Comes",
      options: [
        ["after", "After some seconds"],
        ["far", "When somebody has read so far"],
        ["leave", "When the pointer leaves the page (never on phones)"],
        ["link", "Only when a link to it is pressed"],
      ],
    },
    { type: "number", key: "seconds", label: "Seconds", least: 0, most: 600, where: ["opens", ["after"]] },
    { type: "number", key: "far", label: "Percent of the page", least: 1, most: 100, where: ["opens", ["far"]] },
    {
      type: "choice",
      key: "often",
      label: "To the same person again",
      where: ["opens", ["after", "far", "leave"]],
      options: [
        ["visit", "On their next visit"],
        ["day", "After a day"],
        ["week", "After a week"],
        ["month", "After a month"],
        ["once", "Never, unless it says something new"],
      ],
    },
    {
      type: "choice",
      key: "size",
      label: "Width",
      options: [
        ["usual", "For a few words"],
        ["large", "For words beside a picture"],
      ],
    },
    {
      type: "choice",
      key: "closes",
      label: "Is closed by",
      options: [
        ["cross", "A cross"],
        ["words", "A cross, and words below"],
        ["button", "A button alone: it asks for an answer"],
      ],
    },
    { type: "line", key: "close", label: "Words for closing it", most: 40, where: ["closes", ["words", "button"]] },
    { type: "line", key: "name", label: "What it is called, for those who hear it", most: 80, seldom: true },
  ],
  props,
  synonyms: ["popup", "pop up", "modal", "overlay", "lightbox", "slide-in", "flyout", "newsletter", "exit", "age"],
  defaults: {
    name: "",
    opens: "after",
    seconds: 10,
    far: 50,
    often: "month",
    size: "usual",
    closes: "cross",
    close: "No, thank you",
  },
  style: {
    all: { set: "page", align: "start", rows: 0, gap: 4, across: "center", spaceTop: 4, spaceBottom: 4 },
    phone: { rows: 1 },
  },
  styles: ["rows", "spaceTop", "spaceBottom", "align", "across", "gap", "hidden", "set"],
  script: "goods",
  css: `
.s-pop-up{position:fixed;inset:0;margin:auto;width:min(92vw,34rem);max-width:none;height:fit-content;max-height:86svh;overflow:auto;border:0;border-radius:var(--card);box-shadow:0 24px 60px -20px rgb(10 16 20/.55);color:var(--ink);z-index:70}
.s-pop-up{text-align:var(--align,start)}
.s-pop-up .cols{display:flex;flex-wrap:var(--wrap);gap:var(--gap);align-items:var(--across)}
.s-pop-up::backdrop{background:rgb(10 16 20/.5)}
.s-pop-up:has(.is-large){width:min(94vw,56rem)}
.s-pop-up .in{max-width:none;padding-inline:clamp(1.25rem,5vw,2.5rem)}
.over-close{position:absolute;inset-block-start:.4rem;inset-inline-end:.4rem;z-index:2;display:grid;place-items:center;width:2.75rem;height:2.75rem;padding:0;border:0;border-radius:50%;background:var(--page);color:inherit;cursor:pointer}
.over-close svg{width:1.3rem;height:1.3rem}
.over-end{display:flex;justify-content:var(--align-box,start);margin-top:var(--s2)}
.over-words{padding:.6rem 0;border:0;background:none;color:inherit;font:inherit;text-decoration:underline;text-underline-offset:.2em;cursor:pointer}
.s-pop-up.a-corner{inset:auto var(--s3) var(--s3) auto;margin:0;width:min(92vw,24rem)}
.s-pop-up.a-edge{inset:auto 0 0;margin:0;width:auto;max-height:50svh;border-radius:0}
.s-pop-up.a-edge .in{max-width:var(--content);padding-inline-end:3.75rem}
.s-pop-up.a-side{inset:0 0 0 auto;margin:0;width:min(92vw,26rem);height:auto;max-height:none;border-radius:0}
.s-pop-up.a-whole{inset:0;margin:0;width:auto;height:auto;max-height:none;border-radius:0}
.s-pop-up.a-whole zest-over{display:grid;align-content:center;min-height:100%}
.s-pop-up.a-whole .in{max-width:44rem;margin-inline:auto}
@media (max-width:640px){.s-pop-up.a-middle,.s-pop-up.a-corner,.s-pop-up.a-side{inset:auto 0 0;margin:0;width:auto;height:auto;max-height:60svh;border-radius:var(--card) var(--card) 0 0}}
@media (scripting:none){.s-pop-up:target{display:block;position:static;margin:var(--s4) auto}}
@media (prefers-reduced-motion:no-preference){.s-pop-up{animation:over-in .28s ease}}
@keyframes over-in{from{opacity:0;translate:0 1rem}}
`,
};
