import type { Part } from "~/core/document";
import { versionOf } from "~/core/schema";
import { KINDS, migrationsOf } from ".";

const known = new WeakMap<Part, string>();

/**
 * Why what a part says can't be drawn by this version; undefined where it can. Stored parts have been brought into today's
 * form before (`readPart`), so what fails here was damaged, or comes from a newer version.
 */
export function unreadable(part: Part): string | undefined {
  let why = known.get(part);
  if (why === undefined) known.set(part, (why = reasonFor(part)));
  return why || undefined;
}

function reasonFor(part: Part): string {
  const definition = KINDS.get(part.kind)?.definition;
  if (!definition) return "This version of Zest Window does not know it.";
  if ((part.version ?? 1) > versionOf(migrationsOf(part.kind))) return "A newer version of Zest Window has written it.";
  const parsed = definition.props.safeParse(part.props);
  return parsed.success ? "" : `What it says can’t be read (${parsed.error.issues[0]?.path.join(".") || "all of it"}).`;
}
