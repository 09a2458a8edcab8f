import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { THEMES } from "~/themes";
import type { Brand } from "../document";
import {
  ALL_SETS,
  bothSchemes,
  COLOUR_SETS,
  contrast,
  deltaEOk,
  explainFailing,
  explainMoved,
  oklchOf,
  passingNear,
  pinKey,
  RATIOS,
  REQUIREMENTS,
  ROLES,
  SCHEMES,
  solveRoles,
  unpinnedRoles,
  wishesOf,
  type AnySet,
  type Role,
  type Scheme,
} from ".";

const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, "0")}`);
const maybe = <T>(of: fc.Arbitrary<T>) => fc.option(of, { nil: undefined, freq: 2 });
const theme = fc.constantFrom(...THEMES);
const seed = 17;

/** Any brand that a seller could make, but for pins. */
const brand: fc.Arbitrary<Brand> = fc
  .record({
    colour: maybe(hex),
    colour2: maybe(hex),
    colour3: maybe(hex),
    paper: fc.constantFrom("theme", "white", "brand"),
    contrast: fc.constantFrom("AA", "AAA"),
    "header.set": fc.constantFrom(...COLOUR_SETS),
    "footer.set": fc.constantFrom(...COLOUR_SETS),
    "notice.set": fc.constantFrom(...COLOUR_SETS),
  })
  .map((b) => Object.fromEntries(Object.entries(b).filter(([, v]) => v !== undefined)) as Brand);

const pin = fc.tuple(
  fc.constantFrom<Scheme>(...SCHEMES),
  fc.constantFrom<AnySet>(...ALL_SETS),
  fc.constantFrom<Role>(...ROLES),
  hex,
);

describe("roles, for any brand", () => {
  it("can be read in every pair that must be (WCAG 2.2: 1.4.3, 1.4.6, 1.4.11)", () => {
    fc.assert(
      fc.property(theme, brand, (t, b) => {
        const level = b.contrast as "AA" | "AAA";
        const schemes = bothSchemes(t, b);
        for (const scheme of SCHEMES) {
          for (const set of ALL_SETS) {
            const roles = schemes[scheme].sets[set];
            for (const { role, against, use } of REQUIREMENTS) {
              for (const other of against) {
                const had = contrast(roles[role], roles[other]);
                expect(
                  had,
                  `${JSON.stringify(b)} ${t.id} ${scheme} ${set}: ${role} on ${other}`,
                ).toBeGreaterThanOrEqual(RATIOS[level][use]);
              }
            }
          }
          expect(schemes[scheme].failing).toEqual([]);
        }
      }),
      { seed, numRuns: 300 },
    );
  });

  it("are the same for the same brand", () => {
    fc.assert(
      fc.property(theme, brand, (t, b) => {
        expect(bothSchemes(t, { ...b })).toEqual(bothSchemes(t, b));
      }),
      { seed, numRuns: 40 },
    );
  });

  // Three just noticeable steps are the most: the solver finds colours on an 8-bit grid.
  it("change little where the brand changes little, but for words that turn from white to black", () => {
    // Roles that are not words on a colour of the brand; those have two answers and must jump from one to the other.
    const steady: readonly Role[] = [
      "page",
      "raised",
      "ink",
      "soft",
      "line",
      "link",
      "brand",
      "accent-ink",
      "sale",
      "field-line",
    ];
    fc.assert(
      fc.property(
        theme,
        hex,
        fc.integer({ min: -2, max: 2 }),
        fc.integer({ min: 0, max: 2 }),
        (t, colour, by, channel) => {
          const at = 1 + channel * 2;
          const value = Math.min(255, Math.max(0, Number.parseInt(colour.slice(at, at + 2), 16) + by));
          const near = colour.slice(0, at) + value.toString(16).padStart(2, "0") + colour.slice(at + 2);
          const moved = deltaEOk(colour, near);
          const [a, b] = [colour, near].map((c) => solveRoles(wishesOf(t, { colour: c })).sets);
          for (const set of ["page", "tint", "dark"] as const) {
            for (const role of steady) {
              const off = deltaEOk(a![set][role], b![set][role]);
              expect(off, `${colour} ${near} ${set} ${role}`).toBeLessThan(moved * 4 + 0.06);
            }
          }
        },
      ),
      { seed, numRuns: 300 },
    );
  });

  it("keep the wish wherever it passes, and report where it had to give way", () => {
    fc.assert(
      fc.property(theme, hex, (t, colour) => {
        const { sets, moved } = solveRoles(wishesOf(t, { colour }));
        const { page, raised, link, brand: fill, "brand-edge": edge, "on-brand": words } = sets.page;
        const linkPasses = [page, raised].every((g) => contrast(colour, g) >= 4.5);
        if (linkPasses) expect(link).toBe(colour);
        expect(moved.some((m) => m.set === "page" && m.role === "link")).toBe(
          !linkPasses && deltaEOk(link, colour) > 0.02,
        );
        // Words can stand on any colour: on white 4.5 : 1 and on black 4.5 : 1 make 20.25, and the two are 21 : 1 apart. So each stays as it
        // is wished, also one as pale as the page; what is needed to see it, its outline has (WCAG 2.2, 1.4.11).
        expect(fill).toBe(colour);
        expect(contrast(words, fill)).toBeGreaterThanOrEqual(4.5);
        expect(contrast(edge, page)).toBeGreaterThanOrEqual(3);
        if (contrast(colour, page) >= 3) expect(edge).toBe(colour);
        for (const each of moved)
          expect(explainMoved(each)).toMatch(
            /^On .+, .+ (is|are) (a little |much |)(darker|lighter) than your (brand|accent) colour: .+ \d/,
          );
      }),
      { seed, numRuns: 200 },
    );
  });
});

describe("roles with fixed colours", () => {
  it("obey every pin; what can't be read then is listed, and nothing else is", () => {
    fc.assert(
      fc.property(theme, brand, fc.array(pin, { minLength: 1, maxLength: 5 }), (t, b, pins) => {
        const pinned: Brand = {
          ...b,
          ...Object.fromEntries(pins.map(([scheme, set, role, colour]) => [pinKey(scheme, set, role), colour])),
        };
        const level = b.contrast as "AA" | "AAA";
        const schemes = bothSchemes(t, pinned);
        for (const [scheme, set, role] of pins)
          expect(schemes[scheme].sets[set][role]).toBe(pinned[pinKey(scheme, set, role)]);
        for (const scheme of SCHEMES) {
          const listed = new Set(schemes[scheme].failing.map((f) => `${f.set} ${f.role} ${f.against}`));
          for (const set of ALL_SETS) {
            // A header without anything of its own is the set that it wears; its findings are told there.
            if (schemes[scheme].sets[set] === schemes[scheme].sets[String(b[`${set}.set`]) as AnySet]) continue;
            const roles = schemes[scheme].sets[set];
            for (const { role, against, use } of REQUIREMENTS)
              for (const other of against) {
                const fails = contrast(roles[role], roles[other]) < RATIOS[level][use];
                expect(listed.has(`${set} ${role} ${other}`), `${scheme} ${set} ${role} ${other}`).toBe(fails);
              }
          }
          for (const each of schemes[scheme].failing) {
            expect(
              pinned[pinKey(scheme, each.set, each.pinned)] ?? pinned[pinKey(scheme, each.set, "page")],
              JSON.stringify(each),
            ).toBeDefined();
            expect(explainFailing(each)).toMatch(
              /^In .+: .+ on .+ has a contrast of \d+\.\d and needs [\d.]+, because .+ is fixed\.$/,
            );
          }
        }
      }),
      { seed, numRuns: 200 },
    );
  });

  it("take words along: on a ground that is fixed, ink, links and fields are solved anew", () => {
    fc.assert(
      fc.property(theme, hex, fc.constantFrom<AnySet>(...ALL_SETS), (t, ground, set) => {
        const { sets, failing } = solveRoles(wishesOf(t, { [pinKey("light", set, "page")]: ground }));
        expect(sets[set].page).toBe(ground);
        expect(failing.filter((f) => f.set === set)).toEqual([]);
      }),
      { seed, numRuns: 200 },
    );
  });

  it.each<[Role, string]>([
    ["link", "#ffd700"],
    ["ink", "#e6dfcf"],
    ["brand-edge", "#fff3a0"],
    ["on-brand", "#c93a17"],
    ["field-line", "#fdfbf5"],
    ["sale", "#ffc0cb"],
  ])("%s fixed to %s comes with the nearest colours that pass, and wearing one mends every pair", (role, colour) => {
    const key = pinKey("light", "page", role);
    const fixed: Brand = { [key]: colour };
    const { sets, failing } = solveRoles(wishesOf(THEMES[0]!, fixed));
    expect(failing.length).toBeGreaterThan(0);
    expect(new Set(failing.map((f) => f.pinned))).toEqual(new Set([role]));
    const usual = unpinnedRoles(THEMES[0]!, fixed, "light", "page");
    const offered = passingNear(failing[0]!, sets.page, usual, "AA", (r) => r === role);
    expect(offered.length).toBeGreaterThan(0);
    for (const each of offered) expect(solveRoles(wishesOf(THEMES[0]!, { [key]: each })).failing).toEqual([]);
    const apart = offered.map((c) => deltaEOk(c, colour));
    expect(apart).toEqual(apart.toSorted((a, b) => a - b));
  });

  it("keeps the hue of the fixed colour where it can", () => {
    const fixed: Brand = { [pinKey("light", "page", "link")]: "#ffd700" };
    const { sets, failing } = solveRoles(wishesOf(THEMES[0]!, fixed));
    const usual = unpinnedRoles(THEMES[0]!, fixed, "light", "page");
    const [first] = passingNear(failing[0]!, sets.page, usual, "AA", () => false);
    expect(Math.abs(oklchOf(first!).hue - oklchOf("#ffd700").hue)).toBeLessThan(15);
  });
});
