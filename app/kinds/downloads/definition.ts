import { z } from "zod";
import { linkSchema, NO_LINK } from "~/core/schema";
import type { Definition } from "../definition";

const MOST = 40;
const props = z.object({
  arrangement: z.string().max(40).optional(),
  heading: z.string().max(160),
  text: z.string().max(400),
  files: z
    .array(
      z.object({
        group: z.string().max(80),
        name: z.string().max(120),
        text: z.string().max(300),
        link: linkSchema,
      }),
    )
    .max(MOST),
});
export type DownloadsProps = z.infer<typeof props>;

const file = (name: string, text: string) => ({ group: "", name, text, link: NO_LINK });

export const definition: Definition<DownloadsProps> = {
  kind: "downloads",
  name: "Files to take",
  about: "Instructions, patterns, forms and price lists as files.",
  purpose: "Give facts",
  level: "section",
  slots: ["main"],
  tag: "section",
  arrangements: [
    { id: "list", name: "One below the other" },
    { id: "cards", name: "Cards" },
  ],
  fields: [
    { type: "text", key: "heading", label: "Heading", most: 160 },
    { type: "text", key: "text", label: "Text", most: 400 },
    {
      type: "list",
      key: "files",
      label: "Files",
      one: "file",
      most: MOST,
      fields: [
        { type: "link", key: "link", label: "File" },
        { type: "line", key: "name", label: "What it is called", most: 120, hint: "Name of the file, if empty" },
        { type: "line", key: "text", label: "What is in it", most: 300 },
        { type: "line", key: "group", label: "Begins a group called", most: 80, hint: "Such as: Instructions" },
      ],
      fresh: file("", ""),
    },
  ],
  props,
  synonyms: ["download", "pdf", "documents", "instructions", "manual", "pattern", "form", "catalogue", "attachments"],
  defaults: { heading: "To take with you", text: "", files: [] },
  sample: {
    files: [
      { ...file("How to look after it", "Two pages to print"), link: { to: "home" } },
      { ...file("What is in the box", ""), link: { to: "home" } },
    ],
  },
  style: {
    all: { set: "page", width: "content", headSize: 3, columns: 3, spaceTop: 6, spaceBottom: 6, align: "start" },
    phone: { columns: 1 },
  },
  styles: ["columns", "width", "align", "spaceTop", "spaceBottom", "hidden", "set", "headSize"],
  css: `
.files-all{display:grid;gap:var(--s4);min-width:0}
.files-head{--head:var(--t1);margin-bottom:.75rem}
.file{position:relative;display:grid;grid-template-columns:auto minmax(0,1fr) auto;gap:.1rem 1rem;align-items:center;padding:.9rem 0;border-bottom:max(1px,var(--rule)) solid var(--line)}
.files-list>li:first-child>.file{border-top:max(1px,var(--rule)) solid var(--line)}
.file-sort{display:grid;place-items:center;width:2.75rem;height:3.4rem;border:2px solid var(--accent-ink);border-radius:min(var(--card),.4rem);color:var(--accent-ink);font-size:var(--t-2);font-weight:var(--strong);letter-spacing:.02em}
.file-name{font-weight:var(--strong);overflow-wrap:anywhere;text-decoration:none}
.file-name::after{content:"";position:absolute;inset:0}
.file:hover .file-name{text-decoration:underline}
.file-text{display:block;color:var(--soft);font-size:var(--t-1)}
.file-go{width:1.1rem;height:1.1rem;border-bottom:2px solid;background:linear-gradient(currentColor 0 0) 50% 0/2px .7rem no-repeat;position:relative}
.file-go::before{content:"";position:absolute;left:50%;top:.2rem;width:.5rem;height:.5rem;border:solid;border-width:0 2px 2px 0;translate:-50% 0;rotate:45deg}
.s-downloads.a-list .files-all{max-width:52em}
.s-downloads.a-cards .file{height:100%;border:max(1px,var(--card-edge)) solid var(--line);border-radius:var(--card);padding:1.1rem 1.25rem;background:var(--raised)}
`,
};
