import { light, mix, plus, through, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { cloudy, noise, step, within } from "../draw/noise";
import { relief } from "../draw/relief";
import { hazed, skyOf, type Sky } from "../draw/sky";
import { looking } from "../draw/solid";

/** One row of dunes: long rise to the wind, short steep fall behind a sharp crest that winds. */
function row(x: number, z: number, size: number, seed: number): number {
  const wind = x * 0.86 + z * 0.5;
  const across = z * 0.86 - x * 0.5;
  const bend =
    1.1 * noise(across / (size * 1.3), wind / (size * 2.6), seed) + 0.35 * noise(across / (size * 0.5), 3, seed + 1);
  const p = wind / size + bend;
  const t = p - Math.floor(p);
  const i = Math.floor(p);
  const high = 0.55 + 0.5 * noise(across / (size * 1.6) + i * 7.3, i * 3.1, seed + 2);
  const rise = 0.72;
  const s = t < rise ? t / rise : 1 - (t - rise) / (1 - rise);
  // Round at the foot, sharp at the crest.
  return Math.max(0, high) * s * s * (1.6 - 0.6 * s);
}

/** How high the dunes of a place are, in metres. */
export const duneLand = (x: number, z: number, seed: number): number =>
  3.6 * row(x, z, 17, seed) + 0.85 * row(x + 3, z + 9, 6.5, seed + 9) + 2 * noise(x / 40, z / 40, seed + 4);

function dunes(
  sky: Sky,
  sand: Light,
  o: {
    readonly seed: number;
    readonly eye: readonly [number, number];
    readonly down: number;
    readonly haze: number;
    readonly shade: Light;
    readonly air?: Light;
  },
): Shader {
  const above = skyOf(sky);
  const eye = [o.eye[0], 0, 0] as [number, number, number];
  eye[1] = Math.max(duneLand(eye[0], 0, o.seed), duneLand(eye[0], 3, o.seed)) + o.eye[1];
  const ray = looking(eye, [eye[0], eye[1] - o.down, 10], 1.7);
  const size = Math.hypot(...sky.sun);
  const [sx, sy, sz] = sky.sun.map((v) => v / size) as [number, number, number];
  const air = o.air ?? above(0.2, 0.02, 1);
  return (u, v) => {
    const [dx, dy, dz] = ray(u, v);
    let t = 0.6;
    let before = 0.6;
    let hit = false;
    for (let i = 0; i < 150 && t < 190; i++) {
      const over = eye[1] + dy * t - duneLand(eye[0] + dx * t, dz * t, o.seed);
      if (over < 0.0008 * t) {
        hit = true;
        break;
      }
      before = t;
      t += Math.max(over * 0.42, 0.003 * t);
    }
    if (!hit) return above(dx, Math.max(dy, 0.001), dz);
    for (let i = 0; i < 7; i++) {
      const m = (before + t) / 2;
      if (eye[1] + dy * m - duneLand(eye[0] + dx * m, dz * m, o.seed) < 0) t = m;
      else before = m;
    }
    const x = eye[0] + dx * t;
    const z = dz * t;
    const h = duneLand(x, z, o.seed);
    const e = 0.012 + t * 0.0012;
    const gx = (duneLand(x + e, z, o.seed) - h) / e;
    const gz = (duneLand(x, z + e, o.seed) - h) / e;
    let nx = -gx;
    let nz = -gz;
    // Ripples of the wind, that fade where they would be finer than the picture.
    const seen = step(26, 2, t);
    if (seen > 0) {
      const q = (x * 0.9 + z * 0.42) * 9 + 2.4 * noise(x * 0.9, z * 0.9, 3) + 0.9 * noise(x * 3, z * 3, 5);
      const s = Math.cos(q) * 0.16 * seen * (0.5 + 0.5 * step(1.1, 0.2, Math.hypot(gx, gz)));
      nx -= s * 0.9;
      nz -= s * 0.42;
      nx += 0.05 * seen * noise(x * 90, z * 90, 8);
    }
    const nl = Math.hypot(nx, 1, nz);
    const facing = (nx * sx + sy + nz * sz) / nl;
    let open = 1;
    let far = 0.12;
    for (let i = 0; i < 34 && far < 40; i++) {
      const over = h + 0.03 + sy * far - duneLand(x + sx * far, z + sz * far, o.seed);
      open = Math.min(open, 0.5 + over / (0.05 * far + 0.02));
      if (open <= 0) break;
      far += within(0.1, 2, over * 0.9 + 0.05);
    }
    open = within(0, 1, open);
    const sun = within(0, 1, facing * 1.05) * open;
    const grain = 1 + 0.05 * noise(x * 40, z * 40, 6) * seen + 0.06 * cloudy(x * 0.6, z * 0.6, 3, 2);
    const up = 1 / nl;
    let c = through(sand, plus(times(sky.sunLight, sun), o.shade, 0.5 + 0.5 * up));
    c = times(c, grain);
    return hazed(c, air, Math.max(0, t - 8), o.haze);
  };
}

const MORNING: Sky = {
  stops: [
    [0, light("#fbe6c8")],
    [0.3, light("#e8cdb9")],
    [1, light("#7fa3bf")],
  ],
  sun: [-0.95, 0.3, 0.42],
  sunLight: [1.25, 1.0, 0.7],
  glow: 9,
};
const NOON: Sky = {
  stops: [
    [0, light("#dfe9e6")],
    [0.35, light("#9cc6dc")],
    [1, light("#2f77b3")],
  ],
  sun: [0.75, 0.62, 0.2],
  sunLight: [1.12, 1.06, 0.94],
  glow: 14,
  clouds: { much: -0.12, lit: [1, 1, 1], shade: light("#c3d0d8"), size: 0.4, seed: 31 },
};
const DUSK: Sky = {
  stops: [
    [0, light("#ffb877")],
    [0.2, light("#e88a78")],
    [0.5, light("#8e6a96")],
    [1, light("#2b3a6b")],
  ],
  sun: [-0.95, 0.2, 0.3],
  sunLight: [1.5, 0.78, 0.42],
  glow: 7,
};

/** Sand from above with the ripples that the wind leaves. */
function ripples(): Shader {
  const a = light("#dcc39a");
  const b = light("#c2a173");
  const height = (x: number, y: number) => {
    const q = y * 17 + 1.4 * x + 2.6 * cloudy(x * 0.9, y * 0.9, 3, 2) + 0.8 * cloudy(x * 3.2, y * 3.2, 2, 8);
    const s = Math.sin(q + 0.42 * Math.sin(q));
    return (
      0.02 * s * (0.75 + 0.35 * cloudy(x * 1.4, y * 1.4, 2, 4)) +
      0.0012 * noise(x * 120, y * 120, 1) +
      0.02 * cloudy(x, y, 2, 77)
    );
  };
  return relief({
    height,
    colour: (x, y, h) => times(mix(b, a, within(0, 1, 0.5 + 20 * h)), 1 + 0.07 * noise(x * 160, y * 160, 4)),
    from: [-0.5, 0.8, 0.55],
    sun: [1.25, 1.08, 0.86],
    shade: light("#6d6f80"),
    reach: 0.16,
  });
}

export const DUNES: readonly Scene[] = [
  {
    name: "dunes-morning",
    shape: "wide",
    alt: "Dunes in low morning light",
    group: "Dunes",
    words: ["sand", "desert", "warm", "quiet", "travel"],
    focus: [0.5, 0.6],
    room: "head",
    draw: () =>
      dunes(MORNING, light("#dcb98a"), { seed: 4, eye: [6, 2.6], down: 1.5, haze: 0.011, shade: light("#66718c") }),
  },
  {
    name: "dunes-noon",
    shape: "wide",
    alt: "Pale dunes under a blue sky",
    group: "Dunes",
    words: ["sand", "beach", "summer", "bright", "holiday"],
    focus: [0.5, 0.6],
    room: "head",
    draw: () =>
      dunes(NOON, light("#efdcb6"), { seed: 31, eye: [40, 2.2], down: 0.9, haze: 0.008, shade: light("#6c87a6") }),
  },
  {
    name: "dunes-dusk",
    shape: "tall",
    alt: "The crest of a dune at dusk",
    group: "Dunes",
    words: ["sand", "evening", "desert", "red", "violet"],
    focus: [0.5, 0.62],
    room: "head",
    draw: () =>
      dunes(DUSK, light("#c98d5e"), { seed: 12, eye: [90, 3.2], down: 1.1, haze: 0.013, shade: light("#4d4a78") }),
  },
  {
    name: "sand-ripples",
    shape: "wide",
    alt: "Ripples of the wind in fine sand",
    group: "Dunes",
    words: ["sand", "beach", "texture", "ground", "warm"],
    focus: [0.5, 0.5],
    room: "all",
    draw: ripples,
  },
];
