import { freeze, type Brand, type Json, type Look, type PageDocument } from "../document";
import { problemWithBrand } from "../theme";
import { lift, versionOf, type Migration } from "./lift";
import { documentSchema, lookSchema } from "./validators";

type LooseNode = { shown?: unknown; conditions?: unknown; slots?: Record<string, LooseNode[]> };

const eachNode = (node: LooseNode, visit: (node: LooseNode) => void): void => {
  visit(node);
  for (const children of Object.values(node.slots ?? {})) for (const child of children) eachNode(child, visit);
};

/** The sequence `document`. */
export const DOCUMENT_MIGRATIONS: readonly Migration[] = [
  {
    from: 1,
    name: "nodes carry conditions, and say whether they are shown",
    up: (document) =>
      eachNode(document.root as LooseNode, (node) => {
        node.conditions ??= [];
        node.shown ??= true;
      }),
  },
];

export const DOCUMENT_VERSION = versionOf(DOCUMENT_MIGRATIONS);

export type ReadDocument =
  | { readonly ok: true; readonly document: PageDocument }
  | { readonly ok: false; readonly code: "newer-version" | "not-a-document"; readonly why: string };

const unreadable = (what: string): ReadDocument => ({
  ok: false,
  code: "not-a-document",
  why: `This page can't be read: ${what}.`,
});

/**
 * Reads the outer form of a stored document: lifts it to today's version step by step, on a copy, and validates it. What
 * cannot be read is a value with a reason, never a half-read document. What its parts say is for their kinds to read
 * (`kinds/reading`).
 */
export function readDocument(stored: unknown): ReadDocument {
  const version = (stored as { schemaVersion?: unknown } | null | undefined)?.schemaVersion;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) return unreadable("it has no version");
  const lifted = lift(stored, version, DOCUMENT_MIGRATIONS);
  if (!lifted.ok && lifted.code === "newer-version")
    return {
      ok: false,
      code: "newer-version",
      why: "This page was made with a newer version of Zest Window. Update to open it; it is kept as it is.",
    };
  const parsed = lifted.ok ? documentSchema.safeParse({ ...lifted.value, schemaVersion: DOCUMENT_VERSION }) : undefined;
  return parsed?.success ? { ok: true, document: freeze(parsed.data) } : unreadable("it is damaged");
}

/** The sequence `look`. A stored look without a version is of the first. */
export const LOOK_MIGRATIONS: readonly Migration[] = [];

export type ReadLook = {
  readonly look: Look;
  /** Brand settings that this version can't read; they are kept with the look and not used. */
  readonly unread: Brand;
};

/** What a shop looks like of whose look nothing can be read. */
const LAST_RESORT = {
  theme: "",
  identity: { name: "Shop", tagline: "", logo: { form: "words" } },
  brand: {},
  versions: {},
} as const satisfies Look;

/** Reads a stored look. Settings that can't be read are put beside it, so that one of them never takes the shop down. */
export function readLook(stored: unknown, migrations: readonly Migration[] = LOOK_MIGRATIONS): ReadLook {
  const { schemaVersion = 1, ...rest } = (typeof stored === "object" && stored !== null ? stored : {}) as {
    schemaVersion?: unknown;
  };
  const lifted = lift(rest, Number(schemaVersion), migrations);
  const value = lifted.ok ? lifted.value : (rest as Record<string, unknown>);
  const whole = lookSchema.safeParse(value);
  if (whole.success) return { look: freeze(whole.data), unread: {} };
  const given = Object.entries((value.brand ?? {}) as Record<string, Json>);
  let brand: Brand = {};
  let unread: Brand = {};
  for (const [key, setting] of given) {
    const more = { ...brand, [key]: setting };
    if (problemWithBrand(more) === undefined) brand = more;
    else unread = { ...unread, [key]: setting };
  }
  for (const candidate of [
    { ...value, brand },
    { ...value, brand, versions: {} },
    { ...LAST_RESORT, ...(value.identity ? { identity: value.identity } : {}), brand },
  ]) {
    const parsed = lookSchema.safeParse(candidate);
    if (parsed.success) return { look: freeze(parsed.data), unread: freeze(unread) };
  }
  return { look: LAST_RESORT, unread: freeze(unread) };
}
