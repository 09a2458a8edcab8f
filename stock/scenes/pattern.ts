import { light, mix, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, noise, step, within } from "../draw/noise";
import { relief } from "../draw/relief";

/** Scales like those of a roof, each a little different. */
function scales(tones: readonly string[]): Shader {
  const colours = tones.map(light);
  const size = 0.27;
  const at = (x: number, y: number) => {
    // The row that lies uppermost at this place: rows overlap downwards.
    const first = Math.floor((y + 2) / (size * 0.5));
    for (let j = first - 1; j <= first + 2; j++) {
      const shift = j % 2 ? 0.5 : 0;
      const i = Math.floor(x / size + shift);
      const cx = (i + 0.5 - shift) * size;
      const cy = j * size * 0.5 - 2 + size * 0.5;
      const d = Math.hypot(x - cx, y - cy) / (size * 0.5);
      if (d < 1 || y > cy) {
        if (d < 1) return { i, j, d, u: (x - cx) / size, v: (cy - y) / size };
      }
    }
    return { i: 0, j: 0, d: 1, u: 0, v: 0 };
  };
  return relief({
    height: (x, y) => {
      const p = at(x, y);
      return 0.05 * (p.v + 0.5) * size * 2 - 0.012 * step(0.9, 1, p.d) + 0.0008 * noise(x * 90, y * 90, 2);
    },
    colour: (x, y) => {
      const p = at(x, y);
      const c = colours[Math.floor(chance(p.i, p.j, 5) * colours.length)]!;
      return times(
        mix(c, times(c, 1.25), within(0, 1, p.v + 0.3)),
        (1 + 0.06 * cloudy(x * 20, y * 20, 3, 4)) * (1 - 0.25 * step(0.93, 1, p.d)),
      );
    },
    from: [-0.5, 0.7, 0.7],
    sun: [1.02, 0.98, 0.92],
    shade: light("#80828c"),
    fine: 0.002,
    reach: 0.06,
    shine: 0.1,
    gloss: 18,
  });
}

/** Glazed tiles with a joint; each has quarter bows that meet those of its neighbours. */
function tiles(): Shader {
  const white = light("#ece7dc");
  const blue = light("#2c5f8f");
  const deep = light("#193a63");
  const size = 0.42;
  const at = (x: number, y: number) => {
    const i = Math.floor(x / size);
    const j = Math.floor(y / size);
    let u = x / size - i;
    const v = y / size - j;
    if (chance(i, j, 8) > 0.5) u = 1 - u;
    return { i, j, u, v, edge: Math.min(Math.min(x / size - i, 1 - (x / size - i)), Math.min(v, 1 - v)) };
  };
  return relief({
    height: (x, y) => {
      const p = at(x, y);
      return 0.014 * step(0, 0.035, p.edge) + 0.003 * cloudy(x * 2.4 + p.i, y * 2.4 + p.j, 2, 4);
    },
    colour: (x, y) => {
      const p = at(x, y);
      if (p.edge < 0.014) return times(light("#b9b2a4"), 1 + 0.1 * noise(x * 60, y * 60, 3));
      const wobble = 0.012 * noise(x * 9, y * 9, 6);
      const a = Math.hypot(p.u, p.v) + wobble;
      const b = Math.hypot(1 - p.u, 1 - p.v) + wobble;
      const d = Math.min(a, b);
      const band = (from: number, to: number) => step(from - 0.008, from + 0.008, d) * step(to + 0.008, to - 0.008, d);
      let c: Light = white;
      c = mix(c, blue, band(0.36, 0.64));
      c = mix(c, deep, band(0.3, 0.335) + band(0.665, 0.7));
      c = mix(c, blue, step(0.16, 0.145, d));
      return times(c, 0.95 + 0.08 * chance(p.i, p.j, 3) + 0.05 * cloudy(x * 12, y * 12, 3, 9));
    },
    from: [-0.5, 0.6, 0.75],
    sun: [1, 0.98, 0.94],
    shade: light("#8a8f9a"),
    fine: 0.002,
    shine: 0.3,
    gloss: 60,
  });
}

/** Lines that follow each other like the rakes of a garden of sand. */
function raked(): Shader {
  const c = light("#d9d2c3");
  const stones: readonly (readonly [number, number, number])[] = [
    [0.75, 0.12, 0.24],
    [0.42, -0.1, 0.13],
  ];
  const far = (x: number, y: number) => {
    let d = 9;
    for (const [sx, sy, r] of stones) d = Math.min(d, Math.hypot(x - sx, (y - sy) * 1.1) - r);
    return d;
  };
  return relief({
    height: (x, y) => {
      const d = far(x, y) + 0.012 * noise(x * 3, y * 3, 4);
      if (d < 0) {
        const r = within(0, 1, -d / 0.16);
        return 0.24 * Math.sqrt(1 - (1 - r) ** 2) + 0.02 * cloudy(x * 5, y * 5, 4, 3);
      }
      const ring = d < 0.56 ? 1 : 0;
      const line = Math.sin(mix1(y + 0.05 * Math.sin(x * 1.4), d, ring) * 62);
      return 0.013 * line * step(0.01, 0.05, d) + 0.0016 * noise(x * 110, y * 110, 3);
    },
    colour: (x, y) =>
      far(x, y) < -0.005
        ? times(light("#6c6c6a"), 1 + 0.22 * cloudy(x * 7, y * 7, 5, 7))
        : times(c, 1 + 0.05 * noise(x * 120, y * 120, 5)),
    from: [-0.7, 0.5, 0.5],
    sun: [1.06, 1.0, 0.9],
    shade: light("#7d8292"),
    fine: 0.002,
    reach: 0.3,
  });
}
const mix1 = (a: number, b: number, t: number): number => a + (b - a) * t;

/** A woven check of wide and narrow stripes. */
function check(a: string, b: string, line: string): Shader {
  const [ca, cb, cl] = [light(a), light(b), light(line)];
  const stripe = (t: number): Light => {
    const p = t - Math.floor(t);
    if (p < 0.42) return cb;
    if (Math.abs(p - 0.71) < 0.025) return cl;
    return ca;
  };
  const fold = (x: number, y: number) => 0.1 * cloudy(x * 0.6 + 0.3 * y, y * 0.9, 3, 13);
  return relief({
    height: (x, y) => fold(x, y) + 0.0022 * (Math.sin((x + y) * 330) * 0.5 + noise(x * 90, y * 90, 4)),
    colour: (x, y) => {
      const bx = x + 0.08 * cloudy(x, y, 2, 6);
      const by = y + 0.08 * cloudy(x + 5, y, 2, 7);
      // Where a thread of the warp lies above, its colour shows, else that of the weft.
      const twill = step(-0.2, 0.2, Math.sin((bx + by) * 330));
      const c = mix(stripe(bx * 2.1), stripe(by * 2.1), 0.28 + 0.44 * twill);
      return times(c, 1 + 0.06 * noise(bx * 160, by * 160, 3));
    },
    from: [-0.6, 0.6, 0.6],
    sun: [1.02, 0.98, 0.92],
    shade: light("#80828c"),
    fine: 0.0015,
  });
}

export const PATTERN: readonly Scene[] = [
  {
    name: "pattern-scales",
    shape: "wide",
    alt: "Overlapping round tiles in sea green",
    group: "Patterns",
    words: ["tiles", "roof", "green", "bath", "colourful"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => scales(["#2f8078", "#3f968b", "#256b6c", "#57a99a", "#1f5a61"]),
  },
  {
    name: "pattern-tiles",
    shape: "wide",
    alt: "Glazed tiles with blue bows on white",
    group: "Patterns",
    words: ["kitchen", "blue", "white", "travel", "ceramics"],
    focus: [0.5, 0.5],
    room: "all",
    draw: tiles,
  },
  {
    name: "pattern-raked",
    shape: "wide",
    alt: "Raked sand around two stones",
    group: "Patterns",
    words: ["garden", "calm", "sand", "spa", "lines"],
    focus: [0.68, 0.46],
    room: "left",
    draw: raked,
  },
  {
    name: "pattern-check",
    shape: "wide",
    alt: "A woven check in red and cream",
    group: "Patterns",
    words: ["cloth", "picnic", "winter", "table", "country"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => check("#efe6d4", "#a83a32", "#33485f"),
  },
];
