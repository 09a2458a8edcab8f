/** A step that lifts a stored value from version `from` to `from + 1`. It works on a copy and may change it. */
export type Migration = {
  readonly from: number;
  readonly name: string;
  readonly up: (value: Record<string, unknown>) => void;
};

export type Lifted =
  | { readonly ok: true; readonly value: Record<string, unknown> }
  | { readonly ok: false; readonly code: "newer-version" | "damaged" };

/** The version that a sequence of migrations leads to. */
export const versionOf = (migrations: readonly Migration[]): number => migrations.length + 1;

/**
 * Lifts a stored value to today's version of its sequence, on a copy. A value of a newer version, and one that a step can't
 * work on, are results and not exceptions.
 */
export function lift(stored: unknown, version: number, migrations: readonly Migration[]): Lifted {
  if (version > versionOf(migrations)) return { ok: false, code: "newer-version" };
  if (typeof stored !== "object" || stored === null || Array.isArray(stored)) return { ok: false, code: "damaged" };
  const value = JSON.parse(JSON.stringify(stored)) as Record<string, unknown>;
  try {
    for (const step of migrations.slice(version - 1)) step.up(value);
  } catch {
    return { ok: false, code: "damaged" };
  }
  return { ok: true, value };
}
