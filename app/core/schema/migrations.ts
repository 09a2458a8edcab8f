import { freeze, type PageDocument } from "../document";
import { documentSchema } from "./validators";

/** A step that lifts a stored document from `from` to `from + 1`. It works on a copy and may change it. */
export type DocumentMigration = {
  readonly from: number;
  readonly name: string;
  readonly up: (document: Record<string, unknown>) => void;
};

type LooseNode = { shown?: unknown; conditions?: unknown; slots?: Record<string, LooseNode[]> };

const eachNode = (node: LooseNode, visit: (node: LooseNode) => void): void => {
  visit(node);
  for (const children of Object.values(node.slots ?? {})) for (const child of children) eachNode(child, visit);
};

export const DOCUMENT_MIGRATIONS: readonly DocumentMigration[] = [
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

export const DOCUMENT_VERSION = 2;

export type ReadDocument =
  | { readonly ok: true; readonly document: PageDocument }
  | { readonly ok: false; readonly code: "newer-version" | "not-a-document"; readonly why: string };

/**
 * Reads a stored document: lifts it to today's version step by step, on a copy, and validates it. What cannot be read
 * is a value with a reason, never a half-read document.
 */
export function readDocument(stored: unknown): ReadDocument {
  const copy = structuredCloneJson(stored) as Record<string, unknown> | null;
  const version = copy && typeof copy === "object" ? copy.schemaVersion : undefined;
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1) {
    return { ok: false, code: "not-a-document", why: "This page can't be read: it has no version." };
  }
  if (version > DOCUMENT_VERSION) {
    return {
      ok: false,
      code: "newer-version",
      why: "This page was made with a newer version of Zest Window. Update to open it; it is kept as it is.",
    };
  }
  try {
    for (let at = version; at < DOCUMENT_VERSION; at++) {
      DOCUMENT_MIGRATIONS.find((m) => m.from === at)!.up(copy!);
      copy!.schemaVersion = at + 1;
    }
  } catch {
    return { ok: false, code: "not-a-document", why: "This page can't be read: it is damaged." };
  }
  const parsed = documentSchema.safeParse(copy);
  if (!parsed.success) return { ok: false, code: "not-a-document", why: "This page can't be read: it is damaged." };
  return { ok: true, document: freeze(parsed.data) };
}

const structuredCloneJson = (value: unknown): unknown =>
  value === undefined ? undefined : JSON.parse(JSON.stringify(value));
