import { Extension, Mark, mergeAttributes, Node, type AnyExtension } from "@tiptap/core";
import Heading from "@tiptap/extension-heading";
import { TableKit } from "@tiptap/extension-table";
import { Plugin } from "@tiptap/pm/state";
import StarterKit from "@tiptap/starter-kit";
import { LIVE_FIELDS, type Letters, type LiveField } from "~/core/rich";
import { NO_LINK, type Link } from "~/core/schema";
import { alignClass, headingClass, lettersClass, RICH_CLASSES } from "~/kinds/parts";
import { cleanPasted } from "./clean-paste";

// What running text can be made of, as the editor knows it. Everything is drawn with the class names that the shop's own
// pages use, so that text looks the same while it is written.

/** How letters differ from those around them: size step, kind of letters, colour role, highlight. */
const LettersMark = Mark.create({
  name: "letters",
  addAttributes: () => ({
    size: { default: null },
    face: { default: null },
    ink: { default: null },
    back: { default: null },
  }),
  parseHTML: () => [],
  renderHTML: ({ mark }) => {
    const letters = mark.attrs as Letters;
    return [letters.back ? "mark" : "span", { class: lettersClass(letters) }, 0];
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
      tag: "a[href]",
      getAttrs: (element) => {
        const link = linkOfAddress(element.getAttribute("href") ?? "");
        return link.to === "nowhere" ? false : { link };
      },
    },
  ],
  renderHTML: () => ["a", { class: RICH_CLASSES.link }, 0],
});

const liveField = (facts: Readonly<Record<LiveField, string>>) =>
  Node.create({
    name: "liveField",
    group: "inline",
    inline: true,
    atom: true,
    addAttributes: () => ({ field: { default: "shop", rendered: false } }),
    parseHTML: () => [],
    renderHTML: ({ node }) => {
      const field = node.attrs.field as LiveField;
      return ["span", { class: "live-field", title: LIVE_FIELDS[field] }, facts[field] || LIVE_FIELDS[field]];
    },
    renderText: ({ node }) => facts[node.attrs.field as LiveField],
  });

const Alignment = Extension.create({
  name: "alignment",
  addGlobalAttributes: () => [
    {
      types: ["paragraph", "heading", "tableCell", "tableHeader"],
      attributes: {
        align: {
          default: null,
          parseHTML: (element) => ({ center: "center", right: "end", end: "end" })[element.style.textAlign] ?? null,
          renderHTML: ({ align }) => (align ? { class: alignClass(align) } : {}),
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
  readonly facts: Readonly<Record<LiveField, string>>;
  readonly most: number;
  readonly onFull: () => void;
  readonly keys: Readonly<Record<string, () => boolean>>;
};

/** Everything that the editor of running text is made of. */
export const extensionsFor = ({ facts, most, onFull, keys }: Given): AnyExtension[] => [
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
  liveField(facts),
  Alignment,
  limit(most, onFull),
  Extension.create({ name: "studio-keys", priority: 1000, addKeyboardShortcuts: () => keys }),
  Extension.create({
    name: "clean-paste",
    addProseMirrorPlugins: () => [new Plugin({ props: { transformPastedHTML: cleanPasted } })],
  }),
];
