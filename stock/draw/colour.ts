/** Colours as light: linear red, green, blue, where 1 is the white of the paper and more is possible. */
export type Light = readonly [number, number, number];

const bent = (v: number) => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);

/** The light of a colour that is written as #rrggbb (transfer curve of IEC 61966-2-1). */
export function light(hex: string): Light {
  const n = Number.parseInt(hex.slice(1), 16);
  return [bent((n >> 16) / 255), bent(((n >> 8) & 255) / 255), bent((n & 255) / 255)];
}

export const mix = (a: Light, b: Light, t: number): Light => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];
export const times = (a: Light, t: number): Light => [a[0] * t, a[1] * t, a[2] * t];
export const plus = (a: Light, b: Light, t = 1): Light => [a[0] + b[0] * t, a[1] + b[1] * t, a[2] + b[2] * t];
export const through = (a: Light, b: Light): Light => [a[0] * b[0], a[1] * b[1], a[2] * b[2]];

/** The colour at one place of a row of colours, each with where it stands. */
export function along(stops: readonly (readonly [number, Light])[], t: number): Light {
  for (let i = 1; i < stops.length; i++) {
    const [to, b] = stops[i]!;
    const [from, a] = stops[i - 1]!;
    if (t <= to) {
      const s = Math.max(0, (t - from) / (to - from));
      return mix(a, b, s * s * (3 - 2 * s));
    }
  }
  return stops.at(-1)![1];
}

/** What is brighter than most comes near to white and never quite reaches it, as on film. */
const shoulder = (v: number) => (v < 0.62 ? Math.max(0, v) : 0.62 + 0.38 * (1 - Math.exp(-(v - 0.62) / 0.38)));

/** A number of light as a byte of sRGB. */
export function byte(v: number): number {
  const s = shoulder(v);
  return 255 * (s <= 0.0031308 ? 12.92 * s : 1.055 * s ** (1 / 2.4) - 0.055);
}
