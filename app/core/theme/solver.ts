import {
  bothSpans,
  contrast,
  deltaEOk,
  fromOklch,
  leastContrast,
  mix,
  nearestIn,
  nearestPassing,
  oklchOf,
  shade,
  spansAgainst,
  spansForWords,
  type Hex,
  type Span,
} from "./colour";
import { toneOf } from "./ramps";
import {
  COLOUR_SETS,
  FRAME_SETS,
  RATIOS,
  REQUIREMENTS,
  ROLES,
  type AnySet,
  type ColourSet,
  type ContrastLevel,
  type FrameSet,
  type PairUse,
  type Role,
  type Roles,
  type Scheme,
} from "./roles";

/** What a theme wishes for before anything is solved. */
export type Palette = {
  readonly brand: Hex;
  readonly accent: Hex;
  readonly page: Hex;
  readonly raised: Hex;
  /** The second ground. Its hue is the theme's own only while the brand colour is; otherwise it is the brand's. */
  readonly tint: { readonly lightness: number; readonly chroma: number; readonly hue: number };
  readonly ink: Hex;
  readonly dark: Hex;
  readonly onDark: Hex;
  readonly sale: Hex;
};

/** What the ground of the page is made of: the theme's own, plain white, or a breath of the brand's colour. */
export type Paper = "theme" | "white" | "brand";

/** Everything that roles are solved from. */
export type Wishes = {
  readonly palette: Palette;
  /** The seller's colours: brand, accent, and the one that grounds are tinted with. */
  readonly colours: { readonly brand?: Hex; readonly accent?: Hex; readonly grounds?: Hex };
  readonly paper: Paper;
  readonly level: ContrastLevel;
  /** The set whose colours header, footer and notice wear. */
  readonly frames: Readonly<Record<FrameSet, ColourSet>>;
  /** Roles whose colour the seller has fixed. */
  readonly pin: (scheme: Scheme, set: AnySet, role: Role) => Hex | undefined;
};

/** A colour that had to be moved so that it can be read, and the contrast that it had and needs. */
export type Moved = {
  readonly scheme: Scheme;
  readonly set: AnySet;
  readonly role: Role;
  /** Which of the seller's colours it was meant to be. */
  readonly source: "brand" | "accent";
  readonly wished: Hex;
  readonly used: Hex;
  /** Moved to be seen on its ground, or so that words can be read on it. */
  readonly to: "be-seen" | "carry-words";
  readonly had: number;
  readonly needed: number;
};

/** A pair that can't be read because the seller fixed one of its colours. */
export type Failing = {
  readonly scheme: Scheme;
  readonly set: AnySet;
  readonly role: Role;
  readonly against: Role;
  /** The role of the two whose colour is fixed. */
  readonly pinned: Role;
  readonly use: PairUse;
  readonly had: number;
  readonly needed: number;
};

export type Solved = {
  readonly sets: Readonly<Record<AnySet, Roles>>;
  readonly moved: readonly Moved[];
  readonly failing: readonly Failing[];
};

const JUST_NOTICEABLE = 0.02;
const PURE = ["#ffffff", "#000000"] as const;

/** The first candidate that passes on every ground; else whichever of white and black stands out most. */
export function onColour(candidates: readonly Hex[], grounds: readonly Hex[], ratio: number): Hex {
  const fitting = [...candidates, ...PURE].find((c) => leastContrast(c, grounds) >= ratio);
  return fitting ?? PURE.toSorted((a, b) => leastContrast(b, grounds) - leastContrast(a, grounds))[0]!;
}

type Colours = { readonly brand: Hex; readonly accent: Hex; readonly grounds: Hex; readonly areOwn: boolean };

/** The grounds of the five sets before any pin. */
function groundsOf(wishes: Wishes, colours: Colours, scheme: Scheme): Record<ColourSet, Hex> {
  const { palette, paper } = wishes;
  const own = oklchOf(colours.grounds);
  // The theme's own dark and tint go with the theme's own colour; another colour brings its hue along.
  const hued = (lightness: number, chroma: number, hue: number) =>
    colours.areOwn ? fromOklch(lightness, chroma, hue) : fromOklch(lightness, Math.min(chroma, own.chroma), own.hue);
  const dark = oklchOf(palette.dark);
  const { tint } = palette;
  if (scheme === "dark") {
    const night = (lightness: number, chroma: number) => hued(lightness, Math.min(dark.chroma, chroma), dark.hue);
    return {
      page: paper === "white" ? "#121212" : night(0.185, 0.018),
      tint: night(0.25, 0.035),
      brand: colours.brand,
      accent: colours.accent,
      dark: night(0.13, 0.018),
    };
  }
  return {
    page: paper === "white" ? "#ffffff" : paper === "brand" ? toneOf(colours.grounds, 97.5) : palette.page,
    tint: hued(tint.lightness, tint.chroma, tint.hue),
    brand: colours.brand,
    accent: colours.accent,
    dark: colours.areOwn ? palette.dark : hued(dark.lightness, dark.chroma, dark.hue),
  };
}

type SetTask = {
  readonly scheme: Scheme;
  readonly set: AnySet;
  /** The set whose ways of making raised and fills are followed. */
  readonly like: ColourSet;
  readonly ground: Hex;
};

/** Solves every role of one set from its ground. */
function solveSet(task: SetTask, wishes: Wishes, colours: Colours, moved: Moved[]): Roles {
  const { scheme, set, like } = task;
  const { palette, level } = wishes;
  const needs = RATIOS[level];
  const pinned = (role: Role) => wishes.pin(scheme, set, role);

  /** The wish, moved where it must be; a pin is obeyed. */
  const quiet = (role: Role, wish: Hex, against: readonly Hex[], ratio: number): Hex =>
    pinned(role) ?? nearestPassing(wish, against, ratio) ?? onColour([], against, ratio);
  const report = (
    role: Role,
    source: Moved["source"],
    wish: Hex,
    used: Hex,
    against: readonly Hex[] | undefined,
    needed: number,
  ) => {
    if (pinned(role) || deltaEOk(used, wish) <= JUST_NOTICEABLE) return;
    const had = against ? leastContrast(wish, against) : Math.max(...PURE.map((pure) => contrast(wish, pure)));
    moved.push({ scheme, set, role, source, wished: wish, used, to: against ? "be-seen" : "carry-words", had, needed });
  };

  // A ground of middling lightness admits neither white nor black at the higher level; then it gives way itself.
  const wishedGround = task.ground;
  const carriesWords = spansForWords(needs.text);
  const page = pinned("page") ?? nearestIn(wishedGround, carriesWords) ?? wishedGround;
  if (like === "brand" || like === "accent") report("page", like, wishedGround, page, undefined, needs.text);

  const isDark = oklchOf(page).lightness < 0.62;
  const inkWish = onColour(isDark ? [palette.onDark, palette.ink] : [palette.ink, palette.onDark], [page], needs.text);
  // Raised things on a brand ground go away from the ink, so that what can be read on the ground can be read on them too.
  const opposite = contrast(inkWish, "#ffffff") < contrast(inkWish, "#000000") ? "#000000" : "#ffffff";
  const isNight = scheme === "dark";
  const wishedRaised = {
    page: isNight ? shade(page, 0.055) : page === palette.page ? palette.raised : mix(page, inkWish, 0.045),
    tint: isNight ? shade(page, 0.05) : mix(page, "#ffffff", 0.55),
    brand: mix(page, opposite, 0.1),
    accent: mix(page, opposite, 0.1),
    dark: mix(page, inkWish, 0.06),
  }[like];
  const raised =
    pinned("raised") ?? (contrast(inkWish, wishedRaised) >= needs.text ? wishedRaised : mix(page, opposite, 0.1));
  const field = pinned("field") ?? raised;
  const grounds = field === raised ? [page, raised] : [page, raised, field];
  const both = [page, raised];
  const ink = quiet("ink", inkWish, grounds, needs.text);

  /** A filled surface with its words and its two states, which go away from the words and so can only be read better. */
  const fill = (role: "ink" | "brand" | "accent", surface: Hex, wordWishes: readonly Hex[]) => {
    const words = onColour(wordWishes, [surface], needs.text);
    const away = oklchOf(words).lightness > oklchOf(surface).lightness ? -1 : 1;
    const { lightness } = oklchOf(surface);
    const hasRoom = away < 0 ? lightness > 0.14 : lightness < 0.86;
    const step = (by: number) => {
      if (hasRoom) return shade(surface, away * by);
      // Next to black or white there is nowhere to go but towards the words; as far as they stay legible.
      const back = shade(surface, -away * by * 1.6);
      return contrast(back, words) >= needs.text ? back : surface;
    };
    const hover = pinned(`${role}-hover`) ?? step(0.05);
    const pressed = pinned(`${role}-pressed`) ?? step(0.1);
    const on = pinned(`on-${role}`) ?? onColour([words, ...wordWishes], [surface, hover, pressed], needs.text);
    return { on, hover, pressed };
  };
  const isFilled = like === "brand" || like === "accent";
  const seen = spansAgainst([page], needs.control);
  /** A fill keeps its colour for as long as words can stand on it; what is needed to see its edge, its outline carries. */
  const surfaceOf = (role: "brand" | "accent", wish: Hex): { readonly surface: Hex; readonly edge: Hex } => {
    const edgeRole = `${role}-edge` as const;
    const outlined = (surface: Hex) => ({ surface, edge: pinned(edgeRole) ?? nearestIn(surface, seen) ?? ink });
    const own = pinned(role);
    if (own) return outlined(own);
    const carried = nearestIn(wish, carriesWords);
    // On a strong ground one strong colour is enough: what can't be seen there as it is gives way to ink, and the brand
    // colour on itself could not be seen at all.
    if (like === role || (isFilled && (carried !== wish || contrast(wish, page) < needs.control))) return outlined(ink);
    const found = outlined(carried ?? ink);
    report(role, role, wish, found.surface, undefined, needs.text);
    if (found.surface === wish) report(edgeRole, role, wish, found.edge, [page], needs.control);
    return found;
  };
  const { surface: brand, edge: brandEdge } = surfaceOf("brand", colours.brand);
  const { surface: accent, edge: accentEdge } = surfaceOf("accent", colours.accent);
  const words = [palette.onDark, "#ffffff", palette.ink];
  const inkFill = fill("ink", ink, [page]);
  const brandFill = fill("brand", brand, isFilled ? [page, ...words] : words);
  const accentFill = fill("accent", accent, isFilled ? [page, ...words] : words);

  const link = quiet("link", isFilled ? ink : colours.brand, both, needs.text);
  if (!isFilled) report("link", "brand", colours.brand, link, both, needs.text);
  const badge = (role: "sale" | "new" | "soon" | "sold-out", surface: Hex) =>
    pinned(`on-${role}`) ?? onColour([page, palette.onDark, palette.ink], [surface], needs.text);
  const sale = quiet("sale", palette.sale, both, needs.text);
  const freshWish = isFilled || isDark ? ink : mix(palette.ink, colours.brand, 0.25);
  const fresh = quiet("new", nearestIn(freshWish, carriesWords) ?? freshWish, [page], needs.control);
  const soonWish = pinned("soon") ?? mix(page, isFilled ? ink : accent, 0.24);
  const soon = pinned("soon") ?? nearestIn(soonWish, carriesWords) ?? soonWish;
  const goneWish = pinned("sold-out") ?? mix(page, ink, 0.13);
  const gone = pinned("sold-out") ?? nearestIn(goneWish, carriesWords) ?? goneWish;
  const disabled = pinned("disabled") ?? mix(page, ink, 0.12);
  return {
    page,
    raised,
    ink,
    soft: quiet("soft", mix(ink, page, 0.32), grounds, needs.text),
    line: pinned("line") ?? mix(page, ink, 0.16),
    "on-ink": inkFill.on,
    "ink-hover": inkFill.hover,
    "ink-pressed": inkFill.pressed,
    brand,
    "on-brand": brandFill.on,
    "brand-hover": brandFill.hover,
    "brand-pressed": brandFill.pressed,
    "brand-edge": brandEdge,
    accent,
    "on-accent": accentFill.on,
    "accent-hover": accentFill.hover,
    "accent-pressed": accentFill.pressed,
    "accent-edge": accentEdge,
    "accent-ink": quiet("accent-ink", isFilled ? ink : colours.accent, both, needs.text),
    link,
    sale,
    "on-sale": badge("sale", sale),
    new: fresh,
    "on-new": badge("new", fresh),
    soon,
    "on-soon": badge("soon", soon),
    "sold-out": gone,
    "on-sold-out": pinned("on-sold-out") ?? onColour([mix(ink, page, 0.2), ink], [gone], needs.text),
    success: quiet("success", "#1f7a4d", both, needs.text),
    warning: quiet("warning", "#8a5a00", both, needs.text),
    danger: quiet("danger", "#b3261e", both, needs.text),
    focus: quiet("focus", ink, both, needs.control),
    field,
    "field-line": quiet("field-line", mix(page, ink, 0.5), [page, field], needs.control),
    disabled,
    "on-disabled": quiet("on-disabled", mix(ink, page, 0.42), [disabled], 3),
  };
}

/** The required pairs of a set that are not met, and which fixed colour each is owed to. */
function failuresOf(scheme: Scheme, set: AnySet, roles: Roles, wishes: Wishes): Failing[] {
  const found: Failing[] = [];
  for (const { role, against, use } of REQUIREMENTS) {
    const needed = RATIOS[wishes.level][use];
    for (const other of against) {
      const had = contrast(roles[role], roles[other]);
      if (had >= needed) continue;
      // The fixed colour itself, else the one that left the solver no choice: a state of the same surface, the ground.
      const suspects: readonly Role[] = [role, other, ...against, "page", "raised", ...ROLES];
      const pinned = suspects.find((r) => wishes.pin(scheme, set, r) !== undefined) ?? role;
      found.push({ scheme, set, role, against: other, pinned, use, had, needed });
    }
  }
  return found;
}

const hasPins = (wishes: Wishes, scheme: Scheme, set: AnySet) =>
  ROLES.some((role) => wishes.pin(scheme, set, role) !== undefined);

/**
 * Every role of every colour set, for a light or a dark page. Where a wish can be read it is kept; where not, it is moved
 * the least that makes it pass (ΔE OK) and reported in `moved`. A pinned colour is obeyed; where that leaves a pair below
 * what is required, the pair is in `failing`. Without pins nothing ever is. The same input always gives the same output.
 */
export function solveRoles(wishes: Wishes, scheme: Scheme = "light"): Solved {
  const { palette, frames, pin } = wishes;
  const brand = wishes.colours.brand ?? palette.brand;
  const accent = wishes.colours.accent ?? (brand === palette.brand ? palette.accent : companionOf(brand));
  const grounds = wishes.colours.grounds ?? brand;
  const colours: Colours = { brand, accent, grounds, areOwn: grounds === palette.brand };
  const moved: Moved[] = [];
  const ofSet = groundsOf(wishes, colours, scheme);
  const sets = {} as Record<AnySet, Roles>;
  for (const set of COLOUR_SETS)
    sets[set] = solveSet({ scheme, set, like: set, ground: ofSet[set] }, wishes, colours, moved);
  for (const set of FRAME_SETS) {
    const source = frames[set];
    const ground = pin(scheme, source, "page") ?? ofSet[source];
    const own = pin(scheme, set, "page");
    // A header that was given a colour of its own behaves like the set that this colour is nearest to.
    if (own === undefined && !hasPins(wishes, scheme, set)) {
      // Nothing of its own: it is the very set that it wears.
      sets[set] = sets[source];
      continue;
    }
    const like =
      own === undefined
        ? source
        : deltaEOk(own, brand) < 0.1
          ? "brand"
          : oklchOf(own).lightness < 0.45
            ? "dark"
            : "tint";
    sets[set] = solveSet({ scheme, set, like, ground }, wishes, colours, moved);
  }
  const failing = [...COLOUR_SETS, ...FRAME_SETS]
    .filter((set) => hasPins(wishes, scheme, set) || COLOUR_SETS.includes(set as ColourSet))
    .flatMap((set) => failuresOf(scheme, set, sets[set], wishes));
  return { sets, moved, failing };
}

/** The accent that goes with a brand colour when none is chosen: a calm colour most of the way round the circle. */
export function companionOf(brand: Hex): Hex {
  const { lightness, chroma, hue } = oklchOf(brand);
  return fromOklch(Math.min(0.72, Math.max(0.42, lightness)), Math.min(0.12, chroma), hue + 155);
}

/**
 * Colours near a pinned one with which all its pairs pass, nearest first: of its own hue, and the one that would be used
 * without the pin. What is solved follows the new colour; what is pinned as well (`isPinned`) stays and is reckoned with.
 */
export function passingNear(
  failing: Failing,
  roles: Roles,
  unpinned: Roles,
  level: ContrastLevel,
  isPinned: (role: Role) => boolean,
): readonly Hex[] {
  const { pinned } = failing;
  const needs = RATIOS[level];
  let spans: readonly Span[] = [[0, 1]];
  for (const { role, against, use } of REQUIREMENTS) {
    if (role === pinned)
      spans = bothSpans(
        spans,
        spansAgainst(
          against.map((other) => roles[other]),
          needs[use],
        ),
      );
    else if (against.includes(pinned)) {
      // Words on it are chosen anew, so that it is enough if there can be some.
      const stays = isPinned(role);
      spans = bothSpans(
        spans,
        stays ? spansAgainst([roles[role]], needs[use]) : use === "text" ? spansForWords(needs.text) : [[0, 1]],
      );
    }
  }
  const wish = roles[pinned];
  const found: Hex[] = [];
  const add = (hex: Hex | undefined) => {
    if (hex !== undefined && found.every((f) => deltaEOk(f, hex) > JUST_NOTICEABLE * 2)) found.push(hex);
  };
  add(nearestIn(wish, spans));
  for (const span of spans) add(nearestIn(wish, [span]));
  const usual = unpinned[pinned];
  if (nearestIn(usual, spans) === usual) add(usual);
  return found.toSorted((a, b) => deltaEOk(a, wish) - deltaEOk(b, wish));
}
