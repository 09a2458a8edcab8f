import { entryOf } from "../document";
import { familyById, HEAD_SIZE } from "./families";
import { deepened, gradientCss, solveGradient } from "./gradient";
import type { SolvedLook } from "./look";
import { ALL_SETS, RATIOS, ROLES, type AnySet, type Roles } from "./roles";
import { BUTTONS, type ButtonName } from "./table";
import { fluid, letterWidth, stepSize, typeFaces, typeStacks, TYPE_STEPS } from "./type";

// A look as CSS: fonts, measures, and colours apart from each other, so that a colour being dragged rewrites only colours.

export type Declarations = Readonly<Record<string, string>>;

/** Corner radii in px for each choice: of pictures and cards, of buttons and fields. */
const CORNERS: Readonly<Record<string, { readonly card: number; readonly control: number }>> = {
  square: { card: 0, control: 0 },
  soft: { card: 6, control: 6 },
  round: { card: 18, control: 999 },
};

/** Space steps 0 to 8 in px, [phone, wide], at even density. */
const SPACE: readonly (readonly [number, number])[] = [
  [0, 0],
  [6, 6],
  [10, 12],
  [16, 20],
  [24, 32],
  [36, 52],
  [52, 80],
  [72, 116],
  [96, 160],
];
const DENSITY: Readonly<Record<string, number>> = { compact: 0.72, even: 1, airy: 1.28 };

/** Space steps of a look in px, [phone, wide]. Small gaps hold words together and stay; density works on the rest. */
export function spaceSteps(look: SolvedLook): readonly (readonly [phone: number, wide: number])[] {
  const density = look.read.amountOr("space.air", 100 * (entryOf(DENSITY, look.read.text("density")) ?? 1)) / 100;
  return SPACE.map(([phone, wide], step) => {
    const factor = step <= 2 ? 1 : density;
    return [phone * factor, wide * factor];
  });
}

/** Corner radii of a look in px. */
export function cornersOf({ read }: SolvedLook): { readonly card: number; readonly control: number } {
  const chosen = entryOf(CORNERS, read.text("corners")) ?? CORNERS.soft!;
  return {
    card: read.amountOr("corners.card", chosen.card),
    control: read.amountOr("corners.control", chosen.control),
  };
}

export type Shadow = {
  readonly x: number;
  readonly y: number;
  readonly blur: number;
  readonly spread: number;
  readonly alpha: number;
};

/** The layers of each kind of shadow, in px; drawn in ink. */
export const SHADOWS: Readonly<Record<string, readonly Shadow[]>> = {
  none: [],
  soft: [
    { x: 0, y: 1, blur: 2, spread: 0, alpha: 0.08 },
    { x: 0, y: 6, blur: 18, spread: -4, alpha: 0.12 },
  ],
  deep: [
    { x: 0, y: 2, blur: 4, spread: 0, alpha: 0.1 },
    { x: 0, y: 18, blur: 40, spread: -10, alpha: 0.28 },
  ],
  hard: [{ x: 5, y: 5, blur: 0, spread: 0, alpha: 1 }],
};

const shadowCss = (name: string) =>
  (entryOf(SHADOWS, name) ?? [])
    .map(({ x, y, blur, spread, alpha }) => {
      const colour = alpha === 1 ? "var(--ink)" : `rgb(10 16 20/${alpha})`;
      return `${x}px ${y}px ${blur}px ${spread}px ${colour}`;
    })
    .join(",") || "none";

/** How far and how much what moves does so, against what its section says. */
const MOTION: Readonly<Record<string, number>> = { none: 0, calm: 0.5, even: 1, lively: 1.6 };

const SIGN_SHAPES: Readonly<Record<string, string>> = {
  star: "polygon(50% 4%,61% 37%,96% 38%,68% 59%,78% 93%,50% 73%,22% 93%,32% 59%,4% 38%,39% 37%)",
  round: "circle(38%)",
  heart: "polygon(50% 92%,8% 52%,2% 35%,6% 19%,18% 8%,34% 9%,50% 24%,66% 9%,82% 8%,94% 19%,98% 35%,92% 52%)",
};

const PLACES: Readonly<Record<string, string>> = {
  "top-left": ".6rem auto auto .6rem",
  "top-right": ".6rem .6rem auto auto",
  "bottom-left": "auto auto .6rem .6rem",
  "bottom-right": "auto .6rem .6rem auto",
};

/** Corners of pictures that are cut; what is more than fits is drawn as far as it fits (CSS Backgrounds 3, 4.5). */
const MASKS: Readonly<Record<string, string>> = { arch: "999px 999px 0 0", round: "50%" };

/** Custom properties of sizes, shapes and parts that are the same in every colour set. */
export function measureDeclarations(look: SolvedLook): Declarations {
  const { read, type } = look;
  const declared: Record<string, string> = {};
  for (const step of TYPE_STEPS) declared[`--t${step}`] = fluid(...stepSize(type.scale, step));
  spaceSteps(look).forEach(([phone, wide], step) => (declared[`--s${step}`] = fluid(phone, wide)));
  const stacks = typeStacks(type);
  const corners = cornersOf(look);
  const line = read.amount("line.weight");
  const underline = read.text("link.underline");
  const badge = read.text("badge.shape");
  const goodsFrame = read.text("goods.frame");
  const card = read.text("card.style");
  const field = read.text("field.style");
  const was = read.text("price.was");
  const tabs = read.text("tabs.style");
  const shadow = shadowCss(read.text("shadow"));
  const cardShadow = read.text("shadow") === "none" ? shadowCss("soft") : shadow;
  const isLabel = read.text("price.frame") === "label";
  Object.assign(declared, {
    "--heads": stacks.heads,
    "--heads-weight": String(type.heads.weight),
    // Letters of some families are drawn narrower the larger they are; heads keep one drawing, so that a stand-in is as wide as they.
    "--heads-drawn": familyById(type.heads.family).axis === "opsz" ? `"opsz" ${HEAD_SIZE}` : "normal",
    "--heads-stretch": `${type.heads.stretch ?? 100}%`,
    "--heads-tracking": `${type.heads.tracking}em`,
    "--heads-leading": String(type.heads.leading),
    "--heads-case": type.headsCase,
    // How wide a letter of a name is that is set in the heads' family. Measured in all shipped families, the widest of eight names is
    // 1.12 to 1.26 times as wide as running text for each letter, and 1.18 to 1.59 times in capitals. A middle is taken; that lengths of
    // names are rounded up makes up for what is wider.
    "--letter": String(
      Math.round(
        1000 *
          (letterWidth(type.heads.family, type.heads.weight, type.heads.stretch) *
            (type.headsCase === "uppercase" ? 1.4 : 1.2) +
            type.heads.tracking),
      ) / 1000,
    ),
    "--text": stacks.text,
    "--text-weight": String(type.text.weight),
    "--strong": String(type.text.strong),
    "--text-leading": String(type.text.leading),
    // A letter of running text is about half as wide as the text is high (common practice, no source). The unit `ch` is the width
    // of a zero, which is another one while a stand-in font is shown: lines would break elsewhere once the font is there.
    "--measure": `${Math.round(type.measure * 5.4) / 10}em`,
    "--card": `${corners.card}px`,
    "--pic-corners": entryOf(MASKS, read.text("pictures.mask")) ?? "var(--card)",
    "--stroke": String(read.amount("sign.weight")),
    "--control": `${corners.control}px`,
    "--content": `${read.amount("space.content")}px`,
    "--rule": `${line}px`,
    "--edge": `${Math.max(1, line)}px`,
    "--shadow": shadow,
    "--motion": String(entryOf(MOTION, read.text("motion")) ?? 1),
    "--comes-in": read.text("motion.in") === "none" ? "none" : `in-${read.text("motion.in")}`,
    "--shape": read.text("goodsShape"),
    "--button-height": `${read.amount("button.height") / 16}rem`,
    "--button-pad": `${read.amount("button.padding") / 16}rem`,
    "--button-weight": String(read.amountOr("button.weight", type.text.strong)),
    "--button-case": read.text("button.case"),
    "--link-line": underline === "hover" ? "none" : "underline",
    "--link-thickness": `${read.amount("link.thickness")}px`,
    "--field-height": `${read.amount("field.height") / 16}rem`,
    "--field-edges": field === "line" ? "0 0 var(--edge)" : "var(--edge)",
    "--field-corners": field === "line" ? "0" : "min(var(--control),1.5rem)",
    "--field-pad": field === "line" ? ".2rem" : "1rem",
    "--card-edge": card === "framed" ? "var(--edge)" : "0px",
    "--card-pad": card === "plain" ? "0px" : "var(--s3)",
    "--card-shadow": card === "raised" ? cardShadow : "none",
    "--goods-fit": read.text("goods.fit"),
    "--goods-edge": goodsFrame === "framed" ? "var(--edge)" : "0px",
    "--goods-card-edge": goodsFrame === "card" ? "var(--edge)" : "0px",
    "--goods-shadow": goodsFrame === "card" ? shadow : "none",
    "--goods-pad": goodsFrame === "card" ? ".85rem" : "0px",
    "--goods-align": read.text("goods.align"),
    "--goods-justify": read.text("goods.align") === "center" ? "center" : "flex-start",
    "--price-size": String(read.amount("price.size")),
    "--price-weight": String(read.amountOr("price.weight", type.text.weight)),
    "--price-order": was === "before" ? "-1" : "0",
    "--price-flow": was === "below" ? "column" : "row",
    "--price-edge": isLabel ? "1px" : "0px",
    "--price-pad": isLabel ? ".15rem .8rem" : "0",
    "--badge-corners": { square: "0", soft: "4px", pill: "99px", sticker: "50%" }[badge] ?? "4px",
    "--badge-pad": badge === "sticker" ? "0" : badge === "pill" ? ".2rem .7rem" : ".2rem .5rem",
    "--badge-size": badge === "sticker" ? "3.9em" : "auto",
    "--badge-turn": badge === "sticker" ? "-9deg" : "0deg",
    "--badge-place": entryOf(PLACES, read.text("badge.place")) ?? PLACES["top-left"]!,
    "--badge-case": read.text("badge.case"),
    "--rating-sign": entryOf(SIGN_SHAPES, read.text("rating.sign")) ?? SIGN_SHAPES.star!,
    "--tab-edges": tabs === "boxed" ? "var(--edge)" : "0 0 3px",
    "--tab-corners":
      tabs === "pill" ? "99px" : tabs === "boxed" ? "min(var(--control),.75rem) min(var(--control),.75rem) 0 0" : "0",
    "--tab-gap": tabs === "underline" ? "1.5rem" : ".35rem",
    "--tab-pad": tabs === "underline" ? ".6rem 0" : ".6rem 1.1rem",
  });
  return declared;
}

const FILL_TEXT = { brand: "link", accent: "accent-ink", ink: "ink" } as const;
type Fill = keyof typeof FILL_TEXT;

/** The surface, words and edge of a button in its states, in terms of roles. */
function buttonDeclarations(name: ButtonName, look: SolvedLook): Declarations {
  const short = `--b${BUTTONS.indexOf(name) + 1}`;
  const role = look.read.text(`button.${name}.role`) as Fill;
  const style = look.read.text(`button.${name}.style`);
  const fill = `var(--${role})`;
  const words = `var(--${FILL_TEXT[role]})`;
  const edge = role === "ink" ? fill : `var(--${role}-edge)`;
  const declare = (
    bg: string,
    on: string,
    edge: string,
    hover: readonly [string, string, string],
    pressed: string,
  ) => ({
    [short]: bg,
    [`${short}-on`]: on,
    [`${short}-edge`]: edge,
    [`${short}-h`]: hover[0],
    [`${short}-h-on`]: hover[1],
    [`${short}-h-edge`]: hover[2],
    [`${short}-p`]: pressed,
  });
  const hovered = `var(--${role}-hover)`;
  const pressed = `var(--${role}-pressed)`;
  if (style === "solid") return declare(fill, `var(--on-${role})`, edge, [hovered, `var(--on-${role})`, edge], pressed);
  if (style === "outline") return declare("transparent", words, words, [fill, `var(--on-${role})`, fill], hovered);
  if (style === "plain")
    return declare("transparent", words, "transparent", ["var(--raised)", words, "transparent"], "var(--raised)");
  return {};
}

/** What a gradient button needs in one set: its stops follow the set's roles, and so do its words. */
function gradientDeclarations(name: ButtonName, look: SolvedLook, roles: Roles): Declarations {
  if (look.read.text(`button.${name}.style`) !== "gradient") return {};
  const short = `--b${BUTTONS.indexOf(name) + 1}`;
  const candidates = [roles["on-brand"], roles["on-accent"]];
  const solved = solveGradient(
    look.read.gradient(`button.${name}.gradient`),
    roles,
    candidates,
    RATIOS[look.level].text,
  );
  const drawn = (by: number) => gradientCss(solved.angle, by ? deepened(solved, by) : solved.stops);
  return {
    [short]: drawn(0),
    [`${short}-on`]: solved.on,
    [`${short}-edge`]: "transparent",
    [`${short}-h`]: drawn(0.05),
    [`${short}-h-on`]: solved.on,
    [`${short}-h-edge`]: "transparent",
    [`${short}-p`]: drawn(0.1),
  };
}

/** Custom properties of parts in terms of roles; they are declared on whatever wears a set, so that they follow it. */
export function partDeclarations(look: SolvedLook): Declarations {
  const { read } = look;
  const field = read.text("field.style");
  const card = read.text("card.style");
  const tabs = read.text("tabs.style");
  return {
    ...Object.fromEntries(BUTTONS.flatMap((name) => Object.entries(buttonDeclarations(name, look)))),
    "--link-ink": `var(--${read.text("link.role")})`,
    "--field-bg": field === "line" ? "transparent" : "var(--field)",
    "--field-edge": field === "filled" ? "transparent transparent var(--field-line)" : "var(--field-line)",
    "--card-bg": card === "plain" || card === "framed" ? "transparent" : "var(--raised)",
    "--goods-bg": read.text("goods.frame") === "card" ? "var(--raised)" : "transparent",
    "--rating": read.text("rating.role") === "ink" ? "var(--ink)" : `var(--${read.text("rating.role")}-edge)`,
    "--tab-on-bg": tabs === "pill" ? "var(--ink)" : tabs === "boxed" ? "var(--raised)" : "transparent",
    "--tab-on": tabs === "pill" ? "var(--on-ink)" : "var(--ink)",
    "--tab-on-edge":
      tabs === "boxed" ? "var(--line) var(--line) transparent" : tabs === "pill" ? "transparent" : "var(--brand-edge)",
    "--tab-edge": tabs === "boxed" ? "transparent transparent var(--line)" : "transparent",
  };
}

const write = (declarations: Declarations) =>
  Object.entries(declarations)
    .map(([name, value]) => `${name}:${value}`)
    .join(";");

/** Font faces of a look. */
export const fontsCss = (look: SolvedLook): string => typeFaces(look.type, look.theme.widths);

/** Which custom properties a page's other rules ask for; undefined takes all. */
export type Wanted = { readonly sets: ReadonlySet<string>; readonly names: ReadonlySet<string> } | undefined;

const REFERENCE = /var\((--[\w-]+)/g;
const referencesOf = (css: string) => [...css.matchAll(REFERENCE)].map((m) => m[1]!);

/** Those of the declarations that are asked for, directly or by one another. */
function pick(declarations: Declarations, names: Set<string>): Declarations {
  const kept = new Set<string>();
  const ask = (name: string) => {
    const value = entryOf(declarations, name);
    if (value === undefined || kept.has(name)) return;
    kept.add(name);
    for (const inner of referencesOf(value)) {
      names.add(inner);
      ask(inner);
    }
  };
  for (const name of [...names]) ask(name);
  // Back in the order in which they were declared.
  return Object.fromEntries(Object.entries(declarations).filter(([name]) => kept.has(name)));
}

/** The page's own set is everywhere where no other is worn. */
const selectorOf = (set: AnySet, isWorn: boolean) =>
  set !== "page" ? `[data-set=${set}]` : isWorn ? ":root,[data-set=page]" : ":root";

/**
 * Custom properties of a look as CSS text: measures on the root, parts wherever a set is worn, and each set's roles; with
 * a second telling of the roles for devices that ask for dark pages, where the look follows them.
 */
export function coloursAndMeasuresCss(
  look: SolvedLook,
  wanted?: Wanted,
): { readonly measures: string; readonly colours: string } {
  const names = wanted ? new Set(wanted.names) : undefined;
  const parts = partDeclarations(look);
  const gradients = (roles: Roles): Declarations =>
    Object.fromEntries(BUTTONS.flatMap((name) => Object.entries(gradientDeclarations(name, look, roles))));
  const measured = measureDeclarations(look);
  const keptParts = names ? pick(parts, names) : parts;
  const keptMeasures = names ? pick(measured, names) : measured;
  const telling = (sets: Readonly<Record<AnySet, Roles>>) =>
    ALL_SETS.filter((set) => !wanted || set === "page" || wanted.sets.has(set))
      .map((set) => {
        const roles = sets[set];
        const all = [...ROLES.map((role) => [`--${role}`, roles[role]] as const), ...Object.entries(gradients(roles))];
        const own = all.filter(([name]) => !names || names.has(name));
        return own.length
          ? `${selectorOf(set, !wanted || wanted.sets.has(set))}{${write(Object.fromEntries(own))}}`
          : "";
      })
      .join("");
  const scheme = look.appearance === "auto" ? "light dark" : look.scheme;
  const measures = `:root{color-scheme:${scheme};${write(keptMeasures)}}${Object.keys(keptParts).length ? `:root,[data-set]{${write(keptParts)}}` : ""}`;
  const night = look.night ? `@media (prefers-color-scheme:dark){${telling(look.night.sets)}}` : "";
  return { measures, colours: telling(look.roles.sets) + night };
}

const written = new WeakMap<
  SolvedLook,
  { readonly fonts: string; readonly measures: string; readonly colours: string }
>();

/** The whole look as CSS in three parts, each state of it written once. */
export function lookCss(look: SolvedLook): {
  readonly fonts: string;
  readonly measures: string;
  readonly colours: string;
} {
  const known = written.get(look);
  if (known) return known;
  const css = { fonts: fontsCss(look), ...coloursAndMeasuresCss(look) };
  written.set(look, css);
  return css;
}

export { referencesOf };
