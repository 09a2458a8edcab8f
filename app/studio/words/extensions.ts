import { Extension, InputRule, Mark, mergeAttributes, Node, type AnyExtension } from "@tiptap/core";
import Heading from "@tiptap/extension-heading";
import { TableKit } from "@tiptap/extension-table";
import { Plugin } from "@tiptap/pm/state";
import StarterKit from "@tiptap/starter-kit";
import type { z } from "zod";
import { sourceOf, type Picture } from "~/core/pictures";
import {
  ALIGNMENTS,
  calloutSchema,
  figureSchema,
  filmSchema,
  footnoteSchema,
  lettersSchema,
  liveFieldSchema,
  type Letters,
} from "~/core/rich";
import type { Live } from "~/core/live";
import { linkSchema, NO_LINK, type Link } from "~/core/schema";
import { alignClass, calloutClass, figureClass, headingClass, lettersClass, RICH_CLASSES } from "~/kinds/parts";
import { cleanPasted, FOOTNOTE, OWN_WORDS } from "./clean-paste";

// What running text can be made of, as the editor knows it. Everything is drawn with the class names that the shop's own
// pages use, so that text looks the same while it is written.

/** What the editor wrote on the clipboard of something that HTML has no word for; false where it is not as it should be. */
function own<T>(element: HTMLElement, attribute: string, schema: z.ZodType<T>): T | false {
  try {
    const read = schema.safeParse(JSON.parse(element.getAttribute(attribute) ?? ""));
    return read.success ? read.data : false;
  } catch {
    return false;
  }
}
const written = (attribute: string, attrs: unknown) => ({ [attribute]: JSON.stringify(attrs) });
/** Attributes that are no attributes of an element. */
const unseen = (...names: readonly string[]) =>
  Object.fromEntries(names.map((name) => [name, { default: null, rendered: false }]));

/** How letters differ from those around them: size step, kind of letters, colour role, highlight. */
const LettersMark = Mark.create({
  name: "letters",
  addAttributes: () => ({
    size: { default: null },
    face: { default: null },
    ink: { default: null },
    back: { default: null },
  }),
  parseHTML: () => [
    {
      tag: `[${OWN_WORDS.letters}]`,
      getAttrs: (element) => own(element, OWN_WORDS.letters, lettersSchema),
    },
  ],
  renderHTML: ({ mark }) => {
    const letters = mark.attrs as Letters;
    const attributes = { class: lettersClass(letters), ...written(OWN_WORDS.letters, letters) };
    return [letters.back ? "mark" : "span", attributes, 0];
  },
});

/** What a pasted address means; what is no address we know of leads nowhere. */
export function linkOfAddress(href: string): Link {
  if (/^mailto:/i.test(href)) return { to: "mail", address: decodeURIComponent(href.slice(7).split("?")[0]!) };
  if (/^tel:/i.test(href)) return { to: "phone", number: href.slice(4) };
  if (/^https?:\/\//i.test(href)) return { to: "web", address: href };
  return NO_LINK;
}

const LinkMark = Mark.create({
  name: "link",
  inclusive: false,
  addAttributes: () => ({ link: { default: NO_LINK, rendered: false } }),
  parseHTML: () => [
    {
      tag: `a[${OWN_WORDS.link}]`,
      getAttrs: (element) => {
        const link = own(element, OWN_WORDS.link, linkSchema);
        return link && { link };
      },
    },
    {
      tag: "a[href]",
      getAttrs: (element) => {
        const link = linkOfAddress(element.getAttribute("href") ?? "");
        return link.to === "nowhere" ? false : { link };
      },
    },
  ],
  renderHTML: ({ mark }) => ["a", { class: RICH_CLASSES.link, ...written(OWN_WORDS.link, mark.attrs.link) }, 0],
});

/** Facts in a text: what each says, what it is called, and what is meant by one that is typed in braces. */
export type LiveWords = {
  readonly say: (live: Live) => string | undefined;
  readonly nameOf: (live: Live) => string;
  /** Undefined where it means none; a text where it is not clear what is meant. */
  readonly meant: (typed: string) => Live | string | undefined;
};

const liveField = (words: () => LiveWords, onProblem: (why: string) => void) =>
  Node.create({
    name: "liveField",
    group: "inline",
    inline: true,
    atom: true,
    addAttributes: () => ({
      field: { default: "shop", rendered: false },
      offer: { default: null, rendered: false },
    }),
    parseHTML: () => [
      {
        tag: `[${OWN_WORDS.liveField}]`,
        getAttrs: (element) => own(element, OWN_WORDS.liveField, liveFieldSchema),
      },
    ],
    renderHTML: ({ node }) => {
      const live = node.attrs as Live;
      const { say, nameOf } = words();
      const attributes = { class: "live-field", title: nameOf(live), ...written(OWN_WORDS.liveField, live) };
      return ["span", attributes, say(live) ?? `{${live.field}}`];
    },
    renderText: ({ node }) => words().say(node.attrs as Live) ?? "",
    addInputRules() {
      return [
        new InputRule({
          find: /\{[^{}]{2,120}\}$/,
          handler: ({ match, range, chain }) => {
            const live = words().meant(match[0]);
            if (live === undefined) return null;
            if (typeof live === "string") {
              onProblem(live);
              return null;
            }
            chain().deleteRange(range).insertContent({ type: this.name, attrs: live }).run();
            return undefined;
          },
        }),
      ];
    },
  });

const Footnote = Node.create({
  name: "footnote",
  group: "inline",
  inline: true,
  atom: true,
  addAttributes: () => unseen("text"),
  parseHTML: () => [
    {
      tag: `sup[${FOOTNOTE}]`,
      getAttrs: (element) => {
        const read = footnoteSchema.safeParse({ text: element.getAttribute(FOOTNOTE) });
        return read.success && read.data;
      },
    },
  ],
  renderHTML: ({ node }) => {
    const text = String(node.attrs.text);
    return ["sup", { class: RICH_CLASSES.footnote, title: text, [FOOTNOTE]: text }];
  },
});

const Callout = Node.create({
  name: "callout",
  group: "block",
  content: "(paragraph | bulletList | orderedList)+",
  defining: true,
  addAttributes: () => unseen("tone"),
  parseHTML: () => [
    { tag: `[${OWN_WORDS.callout}]`, getAttrs: (element) => own(element, OWN_WORDS.callout, calloutSchema) },
  ],
  renderHTML: ({ node }) => [
    "div",
    { class: calloutClass(node.attrs.tone), ...written(OWN_WORDS.callout, node.attrs) },
    0,
  ],
});

const FIGURE_ATTRIBUTES = ["side", "width", "caption"] as const;
const captioned = (caption: unknown) => (caption ? [["figcaption", {}, String(caption)] as const] : []);

const figure = (find: Given["picture"]) =>
  Node.create({
    name: "figure",
    group: "block",
    atom: true,
    draggable: true,
    addAttributes: () => unseen("picture", ...FIGURE_ATTRIBUTES),
    parseHTML: () => [
      { tag: `[${OWN_WORDS.figure}]`, getAttrs: (element) => own(element, OWN_WORDS.figure, figureSchema) },
    ],
    renderHTML: ({ node: { attrs } }) => {
      const found = find(String(attrs.picture));
      const shown = found
        ? ["img", { src: sourceOf(found, 960), width: found.width, height: found.height, alt: found.alt }]
        : ["span", { class: "studio-hint" }, "This picture is gone"];
      const attributes = { class: figureClass(attrs), ...written(OWN_WORDS.figure, attrs) };
      return [
        "figure",
        attributes,
        ["div", { class: found ? "pic" : "pic pic-none" }, shown],
        ...captioned(attrs.caption),
      ];
    },
  });

const Film = Node.create({
  name: "film",
  group: "block",
  atom: true,
  draggable: true,
  addAttributes: () => unseen("film", ...FIGURE_ATTRIBUTES),
  parseHTML: () => [{ tag: `[${OWN_WORDS.film}]`, getAttrs: (element) => own(element, OWN_WORDS.film, filmSchema) }],
  renderHTML: ({ node: { attrs } }) => [
    "figure",
    { class: figureClass(attrs), ...written(OWN_WORDS.film, attrs) },
    ["video", { src: `/media/${String(attrs.film)}`, preload: "metadata" }],
    ...captioned(attrs.caption),
  ],
});

const Alignment = Extension.create({
  name: "alignment",
  addGlobalAttributes: () => [
    {
      types: ["paragraph", "heading", "tableCell", "tableHeader"],
      attributes: {
        align: {
          default: null,
          parseHTML: (element) =>
            ALIGNMENTS.find((each) => each === element.getAttribute(OWN_WORDS.align)) ??
            { center: "center", right: "end", end: "end" }[element.style.textAlign] ??
            null,
          renderHTML: ({ align }) => (align ? { class: alignClass(align), [OWN_WORDS.align]: align as string } : {}),
        },
      },
    },
  ],
});

const Heads = Heading.extend({
  renderHTML({ node, HTMLAttributes }) {
    const level = Number(node.attrs.level);
    return [`h${level}`, mergeAttributes(HTMLAttributes, { class: headingClass(level) }), 0];
  },
}).configure({ levels: [2, 3, 4] });

/** Lets text grow to `most` characters and no further. */
const limit = (most: number, onFull: () => void) =>
  Extension.create({
    name: "limit",
    addProseMirrorPlugins: () => [
      new Plugin({
        filterTransaction: (transaction, state) => {
          // What is pasted or dropped is fitted once it is there, and what was left out is said.
          if (!transaction.docChanged || transaction.getMeta("paste") || transaction.getMeta("uiEvent") === "drop")
            return true;
          const next = transaction.doc.textContent.length;
          if (next <= most || next <= state.doc.textContent.length) return true;
          onFull();
          return false;
        },
      }),
    ],
  });

type Given = {
  /** A picture of the library. */
  readonly picture: (id: string) => Picture | undefined;
  /** As of now: offers change while a text is open. */
  readonly live: () => LiveWords;
  readonly onProblem: (why: string) => void;
  readonly most: number;
  readonly onFull: () => void;
  readonly keys: Readonly<Record<string, () => boolean>>;
};

/** Everything that the editor of running text is made of. */
export const extensionsFor = ({ picture, live, onProblem, most, onFull, keys }: Given): AnyExtension[] => [
  StarterKit.configure({
    code: false,
    codeBlock: false,
    link: false,
    heading: false,
    undoRedo: false,
    dropcursor: false,
    trailingNode: false,
    bulletList: { HTMLAttributes: { class: RICH_CLASSES.bulletList } },
    orderedList: { HTMLAttributes: { class: RICH_CLASSES.orderedList } },
    blockquote: { HTMLAttributes: { class: RICH_CLASSES.blockquote } },
    horizontalRule: { HTMLAttributes: { class: RICH_CLASSES.horizontalRule } },
  }),
  Heads,
  TableKit.configure({ table: { resizable: false, HTMLAttributes: { class: RICH_CLASSES.table } } }),
  LettersMark,
  LinkMark,
  liveField(live, onProblem),
  Footnote,
  Callout,
  figure(picture),
  Film,
  Alignment,
  limit(most, onFull),
  Extension.create({ name: "studio-keys", priority: 1000, addKeyboardShortcuts: () => keys }),
  Extension.create({
    name: "clean-paste",
    addProseMirrorPlugins: () => [new Plugin({ props: { transformPastedHTML: cleanPasted } })],
  }),
];
