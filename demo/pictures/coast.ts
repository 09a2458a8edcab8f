import { light, mix, plus, through, times, type Light } from "../../stock/draw/colour";
import type { Shader } from "../../stock/draw/frame";
import { cloudy, noise, step, within } from "../../stock/draw/noise";
import { hazed, skyOf, type Sky } from "../../stock/draw/sky";
import { looking } from "../../stock/draw/solid";
import { duneLand } from "../../stock/scenes/dunes";

/** The coast of Skerrow Bay at some time of day: sky, sea, a far headland, and dunes or a beach before it. */
export type Coast = {
  readonly sky: Sky;
  readonly sand: Light;
  readonly shade: Light;
  readonly sea: readonly [deep: Light, bright: Light];
  readonly land: "dunes" | "beach" | "none";
  readonly seed: number;
  /** How high the eye is above the ground where one stands. */
  readonly eye: number;
  /** Where the horizon is, as a share of the height from the top. */
  readonly horizon: number;
};

/** How far from the eye the land ends. */
const END = { dunes: 58, beach: 26, none: 0 } as const;

/** Rises of the land that is seen: dunes that end at the sea, or a beach that slopes to it. The sea is at 0. */
function landOf({ land, seed }: Coast): (x: number, z: number) => number {
  if (land === "beach")
    return (x, z) =>
      (26 - z - 3 * Math.sin(x * 0.045) + 2.4 * noise(x * 0.05, z * 0.04, seed)) * 0.052 +
      0.05 * noise(x * 0.5, z * 0.5, 3);
  return (x, z) => {
    const fall = step(30, 58, z + 5 * noise(x * 0.04, 3, seed));
    return 1.9 + 0.62 * duneLand(x, z, seed) * (1 - 0.55 * fall) - 6 * fall;
  };
}

/** What is seen of the coast: x and y as for every picture of the stock room. */
export function coast(c: Coast): Shader {
  const above = skyOf(c.sky);
  const land = landOf(c);
  const eye = [0, 0, 0] as [number, number, number];
  eye[1] = (c.land === "none" ? 0 : Math.max(land(0, 0), land(0, 2.5), 0)) + c.eye;
  const ray = looking([0, eye[1], 0], [0, eye[1], 10], 1.75);
  const size = Math.hypot(...c.sky.sun);
  const [sx, sy, sz] = c.sky.sun.map((v) => v / size) as [number, number, number];
  const air = above(0.15, 0.015, 1);
  // The picture is moved up or down so that the horizon lies where it should; nothing leans.
  const lift = 2 * c.horizon - 1;

  const sea = (dx: number, dy: number, dz: number): Light => {
    const t = eye[1] / -dy;
    const x = dx * t;
    const z = dz * t;
    const near = within(0.02, 1, 40 / t);
    const w = cloudy(x * 0.22, z * 0.5, 4, 7) + 0.5 * cloudy(x * 0.9, z * 2, 3, 9) * near;
    const mirror = 0.06 + 0.9 * (1 - within(0, 1, -dy + 0.05 * (1 - w))) ** 6;
    const seen = above(dx + 0.06 * w, Math.abs(dy) + 0.05 + 0.05 * w, dz);
    let out = mix(mix(c.sea[0], c.sea[1], within(0, 1, 0.45 + 0.6 * w)), seen, within(0, 0.82, mirror * 0.75));
    const glance = within(0, 1, (dx + 0.05 * w) * sx + (0.08 - dy) * sy + dz * sz);
    out = plus(out, c.sky.sunLight, 0.5 * glance ** 90 * within(0, 1, 0.5 + 1.4 * w));
    return hazed(out, air, Math.max(0, t - 60), 0.0011);
  };
  const headland = (dx: number, dy: number, dz: number): number => {
    const at = dx / dz;
    return (
      step(0.02, 0.35, at) *
        (0.022 + 0.022 * step(0.05, 0.6, at) + 0.01 * noise(at * 7, 1, c.seed) + 0.004 * noise(at * 31, 2, c.seed)) -
      dy
    );
  };

  return (u, v) => {
    const [dx, dy, dz] = ray(u, v + lift);
    if (c.land !== "none") {
      let t = 0.5;
      let before = 0.5;
      let hit = false;
      for (let i = 0; i < 130 && t < END[c.land] * 1.5; i++) {
        const over = eye[1] + dy * t - land(dx * t, dz * t);
        if (over < 0.0008 * t) {
          hit = true;
          break;
        }
        before = t;
        t += Math.max(over * 0.42, 0.003 * t);
      }
      if (hit) {
        for (let i = 0; i < 7; i++) {
          const m = (before + t) / 2;
          if (eye[1] + dy * m - land(dx * m, dz * m) < 0) t = m;
          else before = m;
        }
        const x = dx * t;
        const z = dz * t;
        const h = land(x, z);
        if (h > 0) return ground(x, z, h, t);
      }
    }
    if (dy < -0.0006) return sea(dx, dy, dz);
    const sky = above(dx, Math.max(dy, 0.0008), dz);
    if (c.land === "none") return sky;
    const hill = step(-0.0012, 0.0012, headland(dx, dy, dz));
    return mix(sky, mix(times(c.sea[0], 0.9), air, 0.62), hill);
  };

  function ground(x: number, z: number, h: number, t: number): Light {
    const e = 0.012 + t * 0.0012;
    let nx = -(land(x + e, z) - h) / e;
    let nz = -(land(x, z + e) - h) / e;
    const seen = step(24, 2, t);
    const q = (x * 0.9 + z * 0.42) * 9 + 2.4 * noise(x * 0.9, z * 0.9, 3) + 0.9 * noise(x * 3, z * 3, 5);
    const dry = c.land === "dunes" ? 1 : step(0.35, 0.9, h);
    const s = Math.cos(q) * 0.14 * seen * dry;
    nx -= s * 0.9;
    nz -= s * 0.42;
    nx += 0.05 * seen * noise(x * 90, z * 90, 8);
    const nl = Math.hypot(nx, 1, nz);
    let open = 1;
    for (let i = 0, far = 0.12; i < 30 && far < 30; i++) {
      const over = h + 0.03 + sy * far - land(x + sx * far, z + sz * far);
      open = Math.min(open, 0.5 + over / (0.05 * far + 0.02));
      if (open <= 0) break;
      far += within(0.1, 2, over * 0.9 + 0.05);
    }
    const sun = within(0, 1, ((nx * sx + sy + nz * sz) / nl) * 1.05) * within(0, 1, open);
    let out = through(c.sand, plus(times(c.sky.sunLight, sun), c.shade, 0.5 + 0.5 / nl));
    out = times(out, 1 + 0.05 * noise(x * 40, z * 40, 6) * seen + 0.07 * cloudy(x * 0.6, z * 0.6, 3, 2));
    if (c.land === "beach") {
      // Wet sand takes on the sky; the rim of the last wave lies at its lower end.
      const wet = step(0.42, 0.05, h + 0.1 * noise(x * 0.3, z * 0.5, 6));
      out = mix(out, mix(times(out, 0.55), above(0.1, 0.35, 1), 0.3), wet);
      const rim = step(0.09, 0.02, Math.abs(h - 0.09 - 0.05 * noise(x * 0.5, z * 0.2, 4)));
      const lace = step(-0.3, 0.35, cloudy(x * 2.4, z * 3, 4, 9) + 0.35 - Math.abs(h - 0.08) * 3);
      out = mix(out, [0.92, 0.94, 0.93], 0.85 * rim * lace + 0.5 * step(0.05, 0.0, h));
    }
    return hazed(out, air, Math.max(0, t - 8), 0.006);
  }
}

const SHADE = light("#6c87a6");

/** The coast at four times of day. */
export const COASTS = {
  noon: {
    sky: {
      stops: [
        [0, light("#e1edee")],
        [0.32, light("#9fcbe2")],
        [1, light("#2a76b6")],
      ],
      sun: [0.75, 0.6, 0.2],
      sunLight: [1.12, 1.06, 0.94],
      glow: 14,
      clouds: { much: -0.02, lit: [1, 1, 1], shade: light("#b9cbd8"), size: 0.42, seed: 31 },
    },
    sand: light("#efdcb6"),
    shade: SHADE,
    sea: [light("#1d6f8c"), light("#55a9b5")],
  },
  dawn: {
    sky: {
      stops: [
        [0, light("#ffdcae")],
        [0.24, light("#f3bd9c")],
        [0.55, light("#bba9bf")],
        [1, light("#5b7fae")],
      ],
      sun: [-0.55, 0.13, 0.9],
      sunLight: [1.4, 1.02, 0.66],
      glow: 16,
      clouds: { much: 0.0, lit: light("#ffd9b8"), shade: light("#a58ba0"), size: 0.36, seed: 12 },
    },
    sand: light("#e6cba2"),
    shade: light("#85849a"),
    sea: [light("#3d6277"), light("#8fa6ae")],
  },
  squall: {
    sky: {
      stops: [
        [0, light("#d3d6cd")],
        [0.28, light("#98a5a8")],
        [1, light("#3b4850")],
      ],
      sun: [-0.4, 0.45, 0.8],
      sunLight: [0.78, 0.78, 0.74],
      glow: 8,
      clouds: { much: 0.24, lit: light("#cfd4d0"), shade: light("#4d5961"), size: 0.4, seed: 8 },
    },
    sand: light("#dcc6a4"),
    shade: light("#8d8b8c"),
    sea: [light("#2c4b52"), light("#6c8a8c")],
  },
  dusk: {
    sky: {
      stops: [
        [0, light("#ffb878")],
        [0.22, light("#ea8d7c")],
        [0.52, light("#8e6a98")],
        [1, light("#28376a")],
      ],
      sun: [0.42, 0.09, 0.95],
      sunLight: [1.5, 0.82, 0.45],
      glow: 12,
      clouds: { much: 0.03, lit: light("#ffb190"), shade: light("#5d4a78"), size: 0.36, seed: 24 },
    },
    sand: light("#b48c68"),
    shade: light("#5a5680"),
    sea: [light("#2e3a63"), light("#8d6f8f")],
  },
} as const satisfies Readonly<Record<string, Pick<Coast, "sky" | "sand" | "shade" | "sea">>>;
