import { z } from "zod";
import { takeLook, type Outcome } from "~/core/commands";
import {
  entryOf,
  LAYOUT_SORTS,
  sameJson,
  SITE,
  walk,
  type Draft,
  type LayoutSort,
  type PageDocument,
  type Part,
} from "~/core/document";
import { planTokens, writeTokens, type TokenPlan } from "~/core/formats";
import { MOST_CHARACTERS, nodeSchema } from "~/core/schema";
import { fontPackage, familyById, solveBrand, type Theme } from "~/core/theme";
import { accepts, kindOf, nameOf, problemOf, strangerIn } from "~/kinds";
import { firstLayouts } from "~/kinds/layouts";
import { readPart } from "~/kinds/reading";
import { mapPart, referencesOf, type Remap } from "~/kinds/references";
import { THEMES, themeById } from "~/themes";
import { arrangementOf, arrangementsOf } from "./style";

// A look as files in open formats, to be kept or worn by another shop: what it is made of (`LOOK_FILES`), and what reading one would change.
// Words, goods and pages are no part of it, but for the words that stand in layouts.

/** The files of a look, as they lie in its archive. */
export const LOOK_FILES = {
  look: "look.json",
  tokens: "look.tokens.json",
  css: "shop.css",
  pictures: "pictures",
} as const;
export const LOOK_FORMAT = "zest-look";

const font = z.object({
  use: z.enum(["heads", "text"]),
  family: z.string().max(80),
  package: z.string().max(120),
  licence: z.string().max(40),
});
const percent = z.number().int().min(0).max(100);
const picture = z.object({
  id: z.string().max(40),
  file: z.string().max(200),
  name: z.string().max(200),
  alt: z.string().max(300),
  focus: z.tuple([percent, percent]),
});
const sections = z.array(nodeSchema).max(200);

/** What `look.json` holds. Files may have more in them, which is left alone. */
export const lookFileSchema = z.object({
  format: z.literal(LOOK_FORMAT),
  version: z.literal(1),
  theme: z.string().max(40),
  fonts: z.array(font).max(4),
  /** What stands above and below every page: its kinds with their arrangements and style, without words. */
  around: z.object({ top: sections, bottom: sections }),
  /** The sections of layouts that are another than every shop begins with. */
  layouts: z.partialRecord(z.enum(LAYOUT_SORTS), sections),
  /** The seller's own CSS of layouts. */
  layoutCss: z.partialRecord(z.enum(LAYOUT_SORTS), z.string().max(MOST_CHARACTERS)),
  pictures: z.array(picture).max(200),
});
export type LookFile = z.infer<typeof lookFileSchema>;
export type LookPicture = z.infer<typeof picture>;

/** A look's files as they are written; `pictures` are ids of those that go along. */
export type LookFiles = {
  readonly look: Omit<LookFile, "pictures">;
  readonly tokens: string;
  readonly css: string;
  readonly pictures: readonly string[];
};

/** The seller's own CSS of a document. */
function cssOf(document: PageDocument | undefined): string {
  const css = document && entryOf(document.root.props, "css");
  return typeof css === "string" ? css : "";
}

/** A document with other CSS of the seller's. */
function withCss(document: PageDocument, css: string): PageDocument {
  const { css: _before, ...props } = document.root.props;
  return { ...document, root: { ...document.root, props: css.trim() ? { ...props, css } : props } };
}

/** What of a part's own values is its look: how it is arranged, and the CSS that the seller wrote for it. */
const LOOKS = ["arrangement", "css"] as const;

/** What of a part is its look. */
const lookOfPart = ({ id, kind, version, props, style, place }: Part): Part => ({
  id,
  kind,
  ...(version === undefined ? {} : { version }),
  ...(place === undefined ? {} : { place }),
  props: Object.fromEntries(LOOKS.flatMap((key) => (props[key] === undefined ? [] : [[key, props[key]]]))),
  style,
  conditions: [],
  shown: true,
  slots: {},
});

/** The look of a shop, to be written into files. */
export function lookFilesOf(draft: Draft, theme: Theme): LookFiles {
  const first = firstLayouts();
  const changed = LAYOUT_SORTS.flatMap((sort): [LayoutSort, PageDocument][] => {
    const document = entryOf(draft.documents, sort);
    const isFirst = document && sameJson(document.root.slots, first[sort].root.slots) && cssOf(document) === "";
    return document && !isFirst ? [[sort, document]] : [];
  });
  const pictures = changed.flatMap(([, document]) =>
    referencesOf(document).flatMap(({ to, id }) => (to === "picture" ? [id] : [])),
  );
  const { type } = solveBrand(theme, draft.look.brand);
  const slots = entryOf(draft.documents, "frame")?.root.slots ?? {};
  return {
    look: {
      format: LOOK_FORMAT,
      version: 1,
      theme: theme.id,
      fonts: (["heads", "text"] as const).map((use) => {
        const family = familyById(type[use].family);
        return { use, family: family.name, package: fontPackage(family), licence: "OFL-1.1" };
      }),
      around: { top: (slots.top ?? []).map(lookOfPart), bottom: (slots.bottom ?? []).map(lookOfPart) },
      layouts: Object.fromEntries(changed.map(([sort, { root }]) => [sort, [...(root.slots.main ?? [])]])),
      layoutCss: Object.fromEntries(changed.map(([sort, document]) => [sort, cssOf(document)])),
    },
    tokens: writeTokens(theme, draft.look.brand),
    css: cssOf(entryOf(draft.documents, SITE)),
    pictures: [...new Set(pictures)],
  };
}

/** A look's files as they were found. */
export type FoundLook = {
  readonly look: string;
  readonly tokens: string | undefined;
  readonly css: string | undefined;
  /** Names of the pictures that are in the archive. */
  readonly pictures: readonly string[];
};

export type LookPlan =
  | { readonly ok: false; readonly why: string }
  | {
      readonly ok: true;
      readonly theme: Theme;
      readonly brand: Draft["look"]["brand"];
      readonly used: Extract<TokenPlan, { ok: true }>["used"];
      /** What else would change, in words. */
      readonly changes: readonly Change[];
      /** What can't be used, and why. */
      readonly left: readonly Left[];
      /** The pictures that have to be in the shop first. */
      readonly pictures: readonly LookPicture[];
      /** What takes it over. `named`: the ids that its pictures have in this shop. */
      readonly take: (draft: Draft, named: ReadonlyMap<string, string>, name: string) => Outcome;
    };

const count = (n: number, one: string): string => (n === 1 ? `one ${one}` : `${n} ${one}s`);

type Left = { readonly what: string; readonly why: string };

/** Sections of a layout as this version can have them, without what it can't use. */
function usable(document: PageDocument, sectionsRead: readonly Part[], left: Left[]): readonly Part[] {
  const what = `Layout ${document.title}`;
  const keep = (part: Part, parent: Pick<Part, "kind">, slot: string): Part | undefined => {
    const why = problemOf(part)?.why;
    if (why !== undefined) return void left.push({ what, why });
    if (!accepts(parent, slot, part) || strangerIn(document, { ...part, slots: {} }))
      return void left.push({ what, why: `${nameOf(part)} can’t stand there.` });
    const slots = Object.entries(part.slots).flatMap(([inner, parts]): [string, readonly Part[]][] => {
      const kept = parts.flatMap((each) => keep(each, part, inner) ?? []);
      return kept.length ? [[inner, kept]] : [];
    });
    return { ...part, slots: Object.fromEntries(slots) };
  };
  return sectionsRead.flatMap((part) => keep(readPart(part), document.root, "main") ?? []);
}

/** How a part is arranged, in words; undefined where it can't be. */
function arrangedAs(part: Part, theme: Theme): string | undefined {
  const kind = kindOf(part);
  return kind && arrangementOf(kind, part, theme).name;
}

/** A part in the look of another one of its kind. */
function dressed(part: Part, as: Part, theme: Theme): Part {
  const kind = kindOf(part);
  const { arrangement: _own, css: _css, ...props } = part.props;
  const { arrangement, css } = as.props;
  const isKnown =
    kind && typeof arrangement === "string" && arrangementsOf(kind, theme).some((a) => a.id === arrangement);
  const worn = { ...props, ...(isKnown ? { arrangement } : {}), ...(typeof css === "string" ? { css } : {}) };
  return { ...part, props: worn, style: as.style };
}

type Change = { readonly about: string; readonly from: string; readonly to: string };
/** A plan while it is made. */
type Making = {
  readonly draft: Draft;
  readonly file: LookFile;
  readonly from: Theme;
  readonly to: Theme;
  readonly changes: Change[];
  readonly left: Left[];
  /** Documents as they would be. */
  readonly wanted: Map<string, PageDocument>;
};

/** Header and footer wear another look and keep what they say. */
function planAround({ draft, file, from, to, changes, wanted }: Making): void {
  const frame = entryOf(draft.documents, "frame");
  if (!frame) return;
  const slots = { ...frame.root.slots };
  for (const slot of ["top", "bottom"] as const) {
    const models = file.around[slot].map(readPart);
    slots[slot] = (slots[slot] ?? []).map((part) => {
      const at = models.findIndex((m) => m.kind === part.kind);
      const [model] = at < 0 ? [] : models.splice(at, 1);
      const worn = model && dressed(part, model, to);
      if (!worn || problemOf(worn) || sameJson(worn, part)) return part;
      const [before, after] = [arrangedAs(part, from) ?? "", arrangedAs(worn, to) ?? ""];
      changes.push({ about: nameOf(part), from: before, to: before === after ? "other measures or colours" : after });
      return worn;
    });
  }
  wanted.set(frame.id, { ...frame, root: { ...frame.root, slots } });
}

/** Whether a part holds code that somebody wrote. */
const holdsCode = (part: Part): boolean =>
  (kindOf(part)?.definition.fields ?? []).some(
    (field) => field.type === "code" && Boolean(entryOf(part.props, field.key)),
  );

/** Layouts are those of the file; where it has none, the one that every shop begins with. */
function planLayouts({ draft, file, changes, left, wanted }: Making, remap: Remap): void {
  for (const sort of LAYOUT_SORTS) {
    const document = entryOf(draft.documents, sort);
    if (!document) continue;
    const about = `Layout ${document.title}`;
    const given = file.layouts[sort];
    const main = given
      ? usable(document, given, left).map((part) => mapPart(part, remap))
      : (firstLayouts()[sort].root.slots.main ?? []);
    const now = document.root.slots.main ?? [];
    const css = file.layoutCss[sort] ?? "";
    if (sameJson(main, now) && css.trim() === cssOf(document).trim()) continue;
    const ids = main.flatMap((part) => [...walk(part)].map((each) => each.id));
    if (main.length === 0) left.push({ what: about, why: "Nothing in it can be used. Yours stays." });
    else if (new Set(ids).size !== ids.length) left.push({ what: about, why: "Two of its parts have the same id." });
    else {
      const laid = { ...document, root: { ...document.root, slots: { ...document.root.slots, main } } };
      wanted.set(sort, withCss(laid, css));
      const code = main.flatMap((part) => [...walk(part)]).filter(holdsCode).length;
      const to = given
        ? `${count(main.length, "section")} of the file${code ? `, ${count(code, "part")} of it with code to look through` : ""}`
        : "as the theme has it";
      changes.push({ about, from: count(now.length, "section"), to });
    }
  }
}

function planCss({ draft, changes, wanted }: Making, css: string): void {
  const site = entryOf(draft.documents, SITE);
  const own = cssOf(site);
  if (!site || css.trim() === own.trim()) return;
  wanted.set(SITE, withCss(site, css));
  const words = (text: string) => (text.trim() ? count(text.trim().split("\n").length, "line") : "none");
  changes.push({ about: "Your own CSS", from: words(own), to: words(css) });
}

/** Reads `look.json`, or says why it can't be. */
function readLookFile(text: string): LookFile | { readonly why: string } {
  const unreadable = { why: `${LOOK_FILES.look} can’t be read. Is this a look that was saved here?` };
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return unreadable;
  }
  if (z.object({ format: z.literal(LOOK_FORMAT), version: z.number().min(2) }).safeParse(json).success)
    return { why: "This look was saved by a newer version of the studio." };
  return lookFileSchema.safeParse(json).data ?? unreadable;
}

/**
 * What a look's files would change in a shop; nothing is changed. `here`: what becomes of what a part refers to in this shop, so that what
 * leads to another shop's goods leads nowhere.
 */
export function planLook(found: FoundLook, draft: Draft, here: Remap): LookPlan {
  const file = readLookFile(found.look);
  if ("why" in file) return { ok: false, why: file.why };
  const left: Left[] = [];
  const from = themeById(draft.look.theme);
  const theme = THEMES.find((t) => t.id === file.theme);
  if (!theme) left.push({ what: `Theme “${file.theme}”`, why: "There is no such theme. Yours stays." });
  const to = theme ?? from;
  const tokens: TokenPlan =
    found.tokens === undefined
      ? { ok: false, why: "It is not in the archive. Colours, type and measures stay." }
      : planTokens(found.tokens, draft.look.brand, THEMES);
  if (tokens.ok) left.push(...tokens.left.map(({ path, why }) => ({ what: path, why })));
  else left.push({ what: LOOK_FILES.tokens, why: tokens.why });

  const making: Making = { draft, file, from, to, changes: [], left, wanted: new Map() };
  const needed = new Map<string, LookPicture>();
  let lost = 0;
  const remap: Remap = (reference) => {
    const inFile = reference.to === "picture" ? file.pictures.find((p) => p.id === reference.id) : undefined;
    if (inFile && found.pictures.includes(inFile.file)) {
      needed.set(inFile.id, inFile);
      return reference.id;
    }
    const kept = here(reference);
    if (kept === null) lost++;
    return kept;
  };
  planAround(making);
  planLayouts(making, remap);
  planCss(making, found.css ?? "");
  if (lost)
    left.push({ what: "What layouts show or lead to", why: `${count(lost, "place")} of another shop, empty here.` });

  const brand = tokens.ok ? tokens.brand : draft.look.brand;
  return {
    ok: true,
    theme: to,
    brand,
    used: tokens.ok ? tokens.used : [],
    changes: making.changes,
    left,
    pictures: [...needed.values()],
    take: (now, named, name) => {
      const own: Remap = ({ to: sort, id }) => (sort === "picture" && needed.has(id) ? (named.get(id) ?? null) : id);
      const documents = [...making.wanted].map(([id, document]): [string, PageDocument] => {
        const { main } = document.root.slots;
        if (!main || needed.size === 0) return [id, document];
        const slots = { ...document.root.slots, main: main.map((part) => mapPart(part, own)) };
        return [id, { ...document, root: { ...document.root, slots } }];
      });
      const look = { ...now.look, theme: to.id, brand };
      return takeLook(now, { look, documents: { ...now.documents, ...Object.fromEntries(documents) } }, name);
    },
  };
}
