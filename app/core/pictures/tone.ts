// The tone of a picture: how light, how strong, how warm, how colourful it is, and what colour lies over it. All of it together is
// one affine map of encoded sRGB, so that a filter in a pane, a file made by a server and the measuring of contrast use the
// same twelve numbers.

/** Colours of the shop that a tone can be made of. */
export const TONE_ROLES = ["brand", "accent", "ink", "page", "raised"] as const;
export type ToneRole = (typeof TONE_ROLES)[number];

/** What a seller sets. All figures are −100 to 100 or 0 to 100, and 0 changes nothing. */
export type Tone = {
  readonly light: number;
  readonly contrast: number;
  readonly warmth: number;
  /** −100: none at all. */
  readonly colour: number;
  /** A colour over the whole picture, and how much of it. */
  readonly wash?: { readonly role: ToneRole; readonly amount: number } | undefined;
  /** The picture drawn in two colours: its shadows in one, its lights in the other. */
  readonly inks?: { readonly dark: ToneRole; readonly light: ToneRole } | undefined;
  readonly grain: number;
  /** How far it is out of focus; absent: not at all. */
  readonly blur?: number | undefined;
};

export const PLAIN_TONE: Tone = { light: 0, contrast: 0, warmth: 0, colour: 0, grain: 0 };

/**
 * Three rows of four: what each channel of the result takes of red, green and blue (0–1) and adds. As the first four columns of the
 * matrix that SVG's `feColorMatrix` uses, without its column for alpha.
 */
export type ToneMatrix = readonly number[];

export const PLAIN_MATRIX: ToneMatrix = [1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0];

/** A tone with its colours known, ready to be drawn. `grain` and `blur`: 0–100. */
export type DrawnTone = { readonly matrix: ToneMatrix; readonly grain: number; readonly blur: number };

/** First one map, then the other. */
function then(first: ToneMatrix, second: ToneMatrix): ToneMatrix {
  const at = (m: ToneMatrix, row: number, column: number) => m[row * 4 + column]!;
  return [0, 1, 2].flatMap((row) =>
    [0, 1, 2, 3].map(
      (column) =>
        [0, 1, 2].reduce((sum, k) => sum + at(second, row, k) * at(first, k, column), 0) +
        (column === 3 ? at(second, row, 3) : 0),
    ),
  );
}

const gains = (r: number, g: number, b: number, add: readonly [number, number, number] = [0, 0, 0]): ToneMatrix => [
  ...[r, 0, 0, add[0]],
  ...[0, g, 0, add[1]],
  ...[0, 0, b, add[2]],
];

/** `feColorMatrix type="saturate"` (Filter Effects Module Level 1, 9.6). */
export const saturate = (s: number): ToneMatrix => [
  ...[0.213 + 0.787 * s, 0.715 - 0.715 * s, 0.072 - 0.072 * s, 0],
  ...[0.213 - 0.213 * s, 0.715 + 0.285 * s, 0.072 - 0.072 * s, 0],
  ...[0.213 - 0.213 * s, 0.715 - 0.715 * s, 0.072 + 0.928 * s, 0],
];

/** `contrast()` (Filter Effects Module Level 1, 10.3): about the middle of the scale. */
export const contrastBy = (c: number): ToneMatrix => {
  const add = 0.5 - 0.5 * c;
  return gains(c, c, c, [add, add, add]);
};

type Rgb = readonly [r: number, g: number, b: number];

const rgbOf = (hex: string): Rgb => {
  const n = Number.parseInt(hex.slice(1), 16);
  return [((n >> 16) & 255) / 255, ((n >> 8) & 255) / 255, (n & 255) / 255];
};

/** How far "100 %" goes, so that no end of a slider leaves nothing of a picture. From looking at pictures, no source. */
const REACH = { light: 0.7, dark: 0.75, contrast: 0.8, warmth: 0.22, colour: 1, wash: 0.9 } as const;

/** Luma of encoded sRGB with the weights of Rec. 709. */
const LUMA: Rgb = [0.2126, 0.7152, 0.0722];

/** Shadows in one colour, lights in another. */
function inInks(dark: Rgb, light: Rgb): ToneMatrix {
  return [0, 1, 2].flatMap((row) => [...LUMA.map((share) => share * (light[row]! - dark[row]!)), dark[row]!]);
}

/** The map that a tone is. `colourOf`: the shop's colour for a role, as `#rrggbb`. */
export function matrixOf(tone: Tone, colourOf: (role: ToneRole) => string): ToneMatrix {
  const steps: ToneMatrix[] = [];
  const light = tone.light / 100;
  if (light > 0) {
    const a = light * REACH.light;
    steps.push(gains(1 - a, 1 - a, 1 - a, [a, a, a]));
  } else if (light < 0) {
    const left = 1 + light * REACH.dark;
    steps.push(gains(left, left, left));
  }
  if (tone.contrast) steps.push(contrastBy(1 + (tone.contrast / 100) * REACH.contrast));
  if (tone.warmth) {
    const w = (tone.warmth / 100) * REACH.warmth;
    steps.push(gains(1 + w, 1 + w * 0.15, 1 - w));
  }
  if (tone.colour) steps.push(saturate(1 + (tone.colour / 100) * REACH.colour));
  if (tone.inks) steps.push(inInks(rgbOf(colourOf(tone.inks.dark)), rgbOf(colourOf(tone.inks.light))));
  if (tone.wash?.amount) {
    const a = (tone.wash.amount / 100) * REACH.wash;
    const [r, g, b] = rgbOf(colourOf(tone.wash.role));
    steps.push(gains(1 - a, 1 - a, 1 - a, [a * r, a * g, a * b]));
  }
  return steps.reduce(then, PLAIN_MATRIX);
}

/** As exact as a tone is drawn: a thousandth is a quarter of a step of eight bits. */
const EXACT = 1000;
const MOST = 9_000;

/**
 * A map as a short text that can stand in a file's name; both who draws and who makes the file read it, so that they use the same
 * numbers. Empty where it changes nothing.
 */
export function toneCode(matrix: ToneMatrix): string {
  const whole = matrix.map((v) => Math.max(-MOST, Math.min(MOST, Math.round(v * EXACT))) + 0);
  if (whole.every((v, i) => v === PLAIN_MATRIX[i]! * EXACT)) return "";
  return whole.map((v) => v.toString(36)).join("_");
}

/** The map that a code says; undefined where it says none. */
export function readToneCode(code: string): ToneMatrix | undefined {
  const parts = code.split("_");
  if (parts.length !== 12 || parts.some((part) => !/^-?[0-9a-z]{1,4}$/.test(part))) return undefined;
  const whole = parts.map((part) => Number.parseInt(part, 36));
  if (whole.some((v) => Math.abs(v) > MOST)) return undefined;
  return whole.map((v) => v / EXACT);
}

/** Maps pixels in place. `data`: bytes of encoded sRGB, `channels` (3 or 4) for each pixel; alpha stays. */
export function applyTone(data: Uint8Array | Uint8ClampedArray, channels: 3 | 4, m: ToneMatrix): void {
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0, i = 0, j = 0, k = 0, l = 0] = m;
  const [addR, addG, addB] = [d * 255 + 0.5, h * 255 + 0.5, l * 255 + 0.5];
  const byte = (value: number) => (value < 0 ? 0 : value > 255 ? 255 : value | 0);
  for (let at = 0; at + 2 < data.length; at += channels) {
    const [red, green, blue] = [data[at]!, data[at + 1]!, data[at + 2]!];
    data[at] = byte(a * red + b * green + c * blue + addR);
    data[at + 1] = byte(e * red + f * green + g * blue + addG);
    data[at + 2] = byte(i * red + j * green + k * blue + addB);
  }
}

/** A colour as a tone shows it, as `#rrggbb`. */
export function throughTone(colour: string, m: ToneMatrix): string {
  const pixel = Uint8Array.from(rgbOf(colour), (v) => Math.round(v * 255));
  applyTone(pixel, 3, m);
  return `#${[...pixel].map((v) => v.toString(16).padStart(2, "0")).join("")}`;
}

/** A map as the `values` of SVG's `feColorMatrix`. */
export const filterValues = (m: ToneMatrix): string =>
  [0, 1, 2].map((row) => `${m.slice(row * 4, row * 4 + 3).join(" ")} 0 ${m[row * 4 + 3]}`).join(" ") + " 0 0 0 1 0";

/** Tones to begin with, in the order in which they are offered. */
export const TONES: Readonly<Record<string, { readonly name: string; readonly tone: Tone }>> = {
  sunlit: { name: "Sunlit", tone: { ...PLAIN_TONE, light: 8, contrast: 10, warmth: 45, colour: 8 } },
  shade: { name: "In the shade", tone: { ...PLAIN_TONE, light: -10, warmth: -50, colour: -10 } },
  mist: { name: "Mist", tone: { ...PLAIN_TONE, light: 34, contrast: -30, colour: -30 } },
  evening: { name: "Evening", tone: { ...PLAIN_TONE, light: -42, contrast: 8, warmth: 12 } },
  strong: { name: "Strong", tone: { ...PLAIN_TONE, contrast: 32, colour: 28 } },
  faded: { name: "Faded", tone: { ...PLAIN_TONE, light: 12, contrast: -28, warmth: 28, colour: -25, grain: 25 } },
  grey: { name: "Without colour", tone: { ...PLAIN_TONE, colour: -100, contrast: 8 } },
  print: { name: "Old print", tone: { ...PLAIN_TONE, contrast: 12, inks: { dark: "ink", light: "page" }, grain: 35 } },
  inks: { name: "Brand ink", tone: { ...PLAIN_TONE, contrast: 15, inks: { dark: "brand", light: "page" } } },
  wash: { name: "Brand wash", tone: { ...PLAIN_TONE, colour: -55, wash: { role: "brand", amount: 38 } } },
  soft: { name: "Out of focus", tone: { ...PLAIN_TONE, light: -14, blur: 55 } },
  veil: { name: "Light veil", tone: { ...PLAIN_TONE, wash: { role: "page", amount: 55 } } },
};
