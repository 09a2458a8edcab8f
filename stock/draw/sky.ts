import { along, mix, plus, type Light } from "./colour";
import { cloudy, step, within } from "./noise";

export type Sky = {
  /** Colours from the horizon (0) to above (1). */
  readonly stops: readonly (readonly [number, Light])[];
  readonly sun: readonly [number, number, number];
  readonly sunLight: Light;
  /** How far the glow around the sun goes: 6 far, 60 near. */
  readonly glow: number;
  readonly disc?: boolean;
  readonly clouds?: {
    readonly much: number;
    readonly lit: Light;
    readonly shade: Light;
    readonly size: number;
    readonly seed: number;
  };
};

/** The light that comes from a direction of the sky. */
export function skyOf(sky: Sky): (dx: number, dy: number, dz: number) => Light {
  const size = Math.hypot(...sky.sun);
  const [sx, sy, sz] = sky.sun.map((v) => v / size) as [number, number, number];
  return (dx, dy, dz) => {
    const up = Math.max(0, dy);
    let c = along(sky.stops, Math.sqrt(up));
    const to = within(0, 1, dx * sx + dy * sy + dz * sz);
    c = plus(c, sky.sunLight, 0.34 * to ** sky.glow + 0.22 * to ** (sky.glow * 8));
    if (sky.disc) c = plus(c, sky.sunLight, 2.4 * step(0.99965, 0.9999, to));
    if (sky.clouds && dy > 0.005) {
      const { much, lit, shade, size: s, seed } = sky.clouds;
      const k = s / (up + 0.12);
      const wx = dx * k;
      const wz = dz * k * 1.6;
      const bend = 0.5 * cloudy(wx * 0.5 + 7, wz * 0.5, 2, seed + 40);
      const n = cloudy(wx + bend, wz + bend, 6, seed);
      const cover = step(0.34 - much, 0.74 - much, 0.5 + 0.55 * n);
      const lee = cloudy(wx + bend + sx * 0.24, wz + bend + sz * 0.24, 4, seed);
      const tone = within(0, 1, 0.5 + 1.5 * (n - lee) + 0.25 * to);
      const veil = step(0, 0.14, dy);
      c = mix(c, mix(shade, lit, tone), cover * (0.35 + 0.6 * veil) * step(0.01, 0.06, dy));
      c = plus(c, sky.sunLight, 0.1 * cover * to ** 5);
    }
    return c;
  };
}

/** What is far off takes on the colour of the air. */
export const hazed = (c: Light, air: Light, far: number, thick: number): Light =>
  mix(c, air, 1 - Math.exp(-far * thick));
