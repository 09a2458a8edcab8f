import { expect, it } from "vitest";
import { KINDS } from ".";

/** What many kinds have in them. */
const COMMON = new Set(
  "in pic head lead grid even over field button more sign card card-picture card-words card-title card-facts card-end badge price nav wordmark".split(
    " ",
  ),
);

const owners = new Map<string, number>();
for (const { definition } of KINDS.values())
  for (const { id } of definition.arrangements) owners.set(id, (owners.get(id) ?? 0) + 1);

it.each([...KINDS.values()].map(({ definition }) => [definition.kind, definition.css] as const))(
  "no rule of an arrangement of %s reaches another kind whose arrangement has the same name",
  (kind, css) => {
    const rules = css
      .replace(/@(?:media|supports|container)[^{]*\{/g, "")
      .split(/\{[^{}]*\}/)
      .flatMap((list) => list.split(/,(?![^(]*\))/))
      .map((selector) => selector.replace(/[\s}]+/g, " ").trim());
    const loose = rules.filter((selector) => {
      const classes = [...selector.matchAll(/\.([a-z][\w-]*)/g)].map((m) => m[1]!);
      const shared = classes.some((c) => c.startsWith("a-") && (owners.get(c.slice(2)) ?? 0) > 1);
      return shared && classes.every((c) => c.startsWith("a-") || COMMON.has(c)) && !selector.includes(`-${kind}`);
    });
    expect(loose).toEqual([]);
  },
);
