import { along, light, mix, plus, times, type Light } from "../draw/colour";
import type { Scene } from "../draw/kinds";
import { cell, cloudy, noise, step, within } from "../draw/noise";
import { hazed, skyOf, type Sky } from "../draw/sky";
import { looking } from "../draw/solid";
import type { Shader } from "../draw/frame";

type Swell = {
  readonly high: number;
  readonly rough: number;
  readonly deep: Light;
  readonly bright: Light;
  readonly eye: number;
  readonly down: number;
  readonly foam?: number;
};

/** Waves as steep crests that run about one way (a sum of exp(sin)), each pushed aside by those before it. */
function swell(x: number, z: number, waves: number, rough: number): number {
  let sum = 0;
  let all = 0;
  let k = 0.42;
  let strength = 1;
  let px = x;
  let pz = z;
  for (let i = 0; i < waves; i++) {
    const a = 1.2 + 0.95 * Math.sin(i * 12.9898 + 1.3) * rough;
    const ca = Math.cos(a);
    const sa = Math.sin(a);
    const phase = (px * ca + pz * sa) * k + i * 5.71 + 0.6 * noise(px * k * 0.13, pz * k * 0.13, i);
    const w = Math.exp(Math.sin(phase) - 1);
    const push = -w * Math.cos(phase) * 0.34;
    px += ca * push * strength;
    pz += sa * push * strength;
    sum += w * strength;
    all += strength;
    strength *= 0.8;
    k *= 1.21;
  }
  return sum / all;
}

function sea(sky: Sky, s: Swell): Shader {
  const above = skyOf(sky);
  const eye = [0, s.eye, 0] as const;
  const ray = looking(eye, [0, s.eye - s.down, 10], 1.7);
  const size = Math.hypot(...sky.sun);
  const [sx, sy, sz] = sky.sun.map((v) => v / size) as [number, number, number];
  const air = above(0.1, 0.012, 1);
  return (u, v) => {
    const [dx, dy, dz] = ray(u, v);
    if (dy > -0.0008) return above(dx, Math.max(dy, 0.0005), dz);
    // From where the highest wave could be, down to the water.
    let t = (s.high - s.eye) / dy;
    const end = s.eye / -dy;
    const near = end < 160;
    if (near)
      for (let i = 0; i < 22; i++) {
        const y = s.eye + dy * t;
        const over = y - s.high * swell(dx * t, dz * t, 9, s.rough);
        if (over < 0.0015 * t) break;
        t += Math.min(over / (-dy + 0.12), (end - t) * 0.35 + 0.002);
      }
    else t = end;
    const x = dx * t;
    const z = dz * t;
    const e = 0.004 + t * 0.0016;
    const count = Math.round(within(9, 30, 34 - 4.4 * Math.log(t + 1)));
    const h = swell(x, z, count, s.rough);
    const calm = 1 / (1 + t * 0.012);
    let nx = (-s.high * (swell(x + e, z, count, s.rough) - h) * calm) / e;
    let nz = (-s.high * (swell(x, z + e, count, s.rough) - h) * calm) / e;
    const nl = Math.hypot(nx, 1, nz);
    nx /= nl;
    nz /= nl;
    const ny = 1 / nl;
    const facing = within(0, 1, -(nx * dx + ny * dy + nz * dz));
    const mirror = 0.02 + 0.98 * (1 - facing) ** 5;
    const k = 2 * (nx * dx + ny * dy + nz * dz);
    const rx = dx - k * nx;
    const ry = Math.abs(dy - k * ny);
    const rz = dz - k * nz;
    const seen = above(rx, ry, rz);
    const sun = within(0, 1, nx * sx + ny * sy + nz * sz);
    const body = mix(s.deep, s.bright, within(0, 1, 0.2 + 0.75 * (h - 0.25) + 0.25 * sun));
    let c = mix(body, seen, within(0, 0.85, mirror));
    const glance = within(0, 1, rx * sx + ry * sy + rz * sz);
    c = plus(c, sky.sunLight, 0.85 * glance ** 420 + 0.12 * glance ** 60);
    if (s.foam) {
      const lace = cloudy(x * 1.7, z * 1.7, 5, 3) + 0.5 * cloudy(x * 7, z * 7, 3, 9);
      const crest = step(0.6, 0.85, h + 0.18 * lace) * step(-0.15, 0.35, lace);
      c = mix(c, mix(air, [0.85, 0.9, 0.92], 0.6), within(0, 1, crest * s.foam) * calm);
    }
    return hazed(c, air, Math.max(0, t - 20), 0.0045);
  };
}

/** A beach from above: sand, wet sand, two rims of foam, shallow and deep water. */
function shore(): Shader {
  const sand = light("#e3cfa8");
  const wet = light("#b3966c");
  const deeps: readonly (readonly [number, Light])[] = [
    [0, light("#b9d9c4")],
    [0.22, light("#62bdb6")],
    [0.55, light("#1f8fa3")],
    [1.2, light("#0c5f82")],
    [2.2, light("#083f63")],
  ];
  return (x, y) => {
    const wave =
      0.18 * Math.sin(y * 1.7 + 0.4) + 0.24 * cloudy(y * 0.9 + 3, 1.7, 4, 2) + 0.05 * cloudy(x * 3, y * 3, 4, 8);
    const d = x + 0.45 - wave - y * 0.22;
    const ripple = cloudy(x * 9 + 2 * cloudy(x * 2, y * 2, 3, 4), y * 9, 4, 6);
    let c: Light;
    if (d < 0) {
      const grain = cloudy(x * 60, y * 60, 3, 5) * 0.06 + cloudy(x * 5, y * 5, 4, 15) * 0.1;
      c = times(mix(sand, wet, step(-0.24, -0.015, d + 0.05 * cloudy(x * 2.4, y * 2.4, 4, 31))), 1 + grain);
    } else {
      c = along(deeps, d * (0.85 + 0.2 * cloudy(x * 1.3, y * 1.3, 3, 12)));
      const a = cell(x * 7 + 0.9 * ripple, y * 7 + 0.9 * cloudy(y * 4, x * 4, 3, 21), 4);
      const net = step(0.16, 0.0, a.next - a.near);
      c = plus(c, [0.5, 0.75, 0.7], 0.24 * net * step(0.9, 0.05, d));
      c = times(c, 1 + 0.12 * ripple);
    }
    for (const [at, thick, strength] of [
      [0.0, 0.035, 1],
      [0.17, 0.05, 0.85],
      [0.52, 0.045, 0.6],
    ] as const) {
      const line = d - at - 0.035 * cloudy(x * 2.2 + at * 30, y * 2.6, 4, 17) * (1 + at * 2);
      const lace = cell(x * 13 + 1.3 * ripple, y * 13 + ripple, 3);
      const holes = step(0.1, 0.34, lace.next - lace.near + 0.2 * ripple);
      const tail = step(-0.004, 0.004, line) * step(thick * 3.4, 0, line);
      const rim = step(thick, 0, Math.abs(line - thick * 0.3));
      const foam = within(0, 1, rim * (0.65 + 0.5 * noise(x * 22, y * 22, 4)) + tail * (1 - holes) * 0.8);
      c = mix(c, [0.93, 0.95, 0.93], foam * strength);
    }
    return c;
  };
}

const NOON: Sky = {
  stops: [
    [0, light("#d8e9ee")],
    [0.35, light("#8fc3df")],
    [1, light("#2c78b4")],
  ],
  sun: [-0.5, 0.75, 0.5],
  sunLight: [1.25, 1.2, 1.1],
  glow: 12,
  clouds: { much: 0.02, lit: [1, 1, 1], shade: light("#a9bccb"), size: 0.55, seed: 3 },
};
const DAWN: Sky = {
  stops: [
    [0, light("#ffd9a3")],
    [0.2, light("#f5b48f")],
    [0.45, light("#b9a0b8")],
    [1, light("#5a7aa8")],
  ],
  sun: [0.24, 0.065, 1],
  sunLight: [1.7, 1.15, 0.62],
  glow: 24,
  disc: true,
  clouds: { much: -0.04, lit: light("#ffd2b0"), shade: light("#9d8098"), size: 0.3, seed: 21 },
};
const STORM: Sky = {
  stops: [
    [0, light("#c9cfca")],
    [0.25, light("#8d9a9f")],
    [1, light("#3a464f")],
  ],
  sun: [0.5, 0.5, 0.8],
  sunLight: [0.75, 0.78, 0.76],
  glow: 7,
  clouds: { much: 0.3, lit: light("#c6cbc9"), shade: light("#48525a"), size: 0.42, seed: 12 },
};

export const WATER: readonly Scene[] = [
  {
    name: "sea-noon",
    shape: "wide",
    alt: "Open sea under a clear sky at noon",
    group: "Sea",
    words: ["water", "horizon", "summer", "calm", "holiday"],
    focus: [0.5, 0.5],
    room: "head",
    draw: () =>
      sea(NOON, { high: 0.55, rough: 0.8, deep: light("#06334f"), bright: light("#1c7f93"), eye: 2.4, down: 0.6 }),
  },
  {
    name: "sea-dawn",
    shape: "wide",
    alt: "Sunrise over a calm sea",
    group: "Sea",
    words: ["water", "sun", "morning", "gold", "quiet"],
    focus: [0.57, 0.45],
    room: "left",
    draw: () =>
      sea(DAWN, { high: 0.26, rough: 0.7, deep: light("#27425e"), bright: light("#7b8a9d"), eye: 1.7, down: 0.2 }),
  },
  {
    name: "sea-storm",
    shape: "wide",
    alt: "Heavy sea under grey clouds",
    group: "Sea",
    words: ["water", "weather", "wind", "autumn", "waves"],
    focus: [0.5, 0.6],
    room: "head",
    draw: () =>
      sea(STORM, {
        high: 1.5,
        rough: 1,
        deep: light("#0e2a30"),
        bright: light("#3d6f70"),
        eye: 3.1,
        down: 1.2,
        foam: 0.85,
      }),
  },
  {
    name: "shore-above",
    shape: "tall",
    alt: "Waves running out on a beach, seen from above",
    group: "Sea",
    words: ["water", "beach", "sand", "summer", "foam"],
    focus: [0.45, 0.5],
    room: "right",
    draw: shore,
  },
];
export const seaUnder = (sky: Sky, s: Swell): Shader => sea(sky, s);
