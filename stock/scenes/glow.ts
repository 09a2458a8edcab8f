import { light, mix, plus, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { cell, cloudy, noise, step, within } from "../draw/noise";
import { relief } from "../draw/relief";

/** The net of light on the floor of clear water. */
function caustics(): Shader {
  const deep = light("#1d8fae");
  const pale = light("#8fdbe0");
  const net = (x: number, y: number, k: number) => {
    const bx = x + 0.16 * cloudy(x * 1.6, y * 1.6, 2, k);
    const by = y + 0.16 * cloudy(x * 1.6 + 4, y * 1.6, 2, k + 1);
    const c = cell(bx * 2.3, by * 2.3, k, 0.9);
    return Math.exp(-(c.next - c.near) * 8.5);
  };
  return (x, y) => {
    const v = y * 1.25;
    const n = net(x, v, 3) * 0.75 + net(x * 1.25 + 3, v * 1.25, 9) * 0.55 + net(x * 2.1, v * 2.1 + 5, 14) * 0.22;
    let c = mix(deep, pale, within(0, 1, 0.42 + 0.2 * y + 0.28 * cloudy(x * 0.7, y * 0.7, 3, 5)));
    c = times(c, 0.86 + 0.1 * cloudy(x * 14, y * 14, 3, 8));
    return plus(c, [0.95, 1, 0.9], 0.62 * n * n + 0.1 * n);
  };
}

/** Soft fields of colour that run into one another. */
function fields(tones: readonly (readonly [number, number, number, string])[], ground: string): Shader {
  const g = light(ground);
  const all = tones.map(([x, y, r, c]) => ({ x, y, r, c: light(c) }));
  return (x, y) => {
    const bx = x + 0.35 * cloudy(x * 0.6, y * 0.6, 2, 3);
    const by = y + 0.35 * cloudy(x * 0.6 + 7, y * 0.6, 2, 4);
    let sum: Light = times(g, 0.12);
    let weight = 0.12;
    for (const t of all) {
      const w = Math.exp(-(((bx - t.x) ** 2 + (by - t.y) ** 2) / (t.r * t.r)) * 1.6);
      sum = plus(sum, t.c, w);
      weight += w;
    }
    return times(sum, (1 / weight) * (1 + 0.02 * noise(x * 3, y * 3, 5)));
  };
}

/** Light that came through glass: bands of all colours upon a pale wall. */
function prism(): Shader {
  const wall = light("#d9d5d0");
  return (x, y) => {
    let c = times(wall, 0.72 + 0.12 * (x * 0.3 + y * 0.3) + 0.02 * cloudy(x * 6, y * 6, 4, 3));
    for (const [at, turn, wide, strong] of [
      [-0.15, 0.5, 0.34, 1],
      [0.95, 0.62, 0.16, 0.6],
      [-1.15, 0.42, 0.12, 0.45],
    ] as const) {
      const d = x - at - (y * Math.tan(turn) + 0.05 * Math.sin(y * 2));
      const t = d / (wide * (1 + 0.5 * (y + 1)));
      // Red is bent least: each colour has its own place in the band.
      const bell = (m: number, w: number) => Math.exp(-(((t - m) / w) ** 2));
      const fade = step(-1.5, 0.1, y + 0.2 * noise(x * 2, y, 3)) * strong;
      c = plus(c, [bell(-0.28, 0.2) + 0.32 * bell(0.52, 0.14), bell(0.02, 0.2), bell(0.32, 0.22)], 0.55 * fade);
      c = plus(c, [1, 0.97, 0.9], 0.35 * fade * bell(-0.78, 0.16));
    }
    return c;
  };
}

/** Waves of a thin, shining film, lit from two sides. */
function film(): Shader {
  const a = light("#3b4fd0");
  const b = light("#d86bb0");
  const h = (x: number, y: number) => {
    const u = x * 0.8 + y * 0.5;
    const bend = cloudy(x * 0.5, y * 0.5, 2, 3);
    return (
      0.32 * Math.sin(u * 2.4 + 2.6 * bend) +
      0.13 * Math.sin(u * 5.1 - y * 1.6 + 3 * bend) +
      0.05 * Math.sin(u * 9 + y * 3 + 4 * bend)
    );
  };
  const first = relief({
    height: h,
    colour: (x, y, z) => mix(a, b, within(0, 1, 0.5 + 0.9 * z + 0.25 * x)),
    from: [-0.7, 0.5, 0.5],
    sun: [1, 0.92, 1.05],
    shade: light("#6a5fae"),
    fine: 0.004,
    shine: 0.55,
    gloss: 26,
  });
  return (x, y) => {
    const e = 0.004;
    const gx = (h(x + e, y) - h(x, y)) / e;
    return plus(first(x, y), [1.0, 0.62, 0.42], 0.5 * step(0.2, 1.2, gx));
  };
}

export const GLOW: readonly Scene[] = [
  {
    name: "light-water",
    shape: "wide",
    alt: "Light dancing on the floor of clear water",
    group: "Abstract light",
    words: ["pool", "summer", "blue", "fresh", "holiday"],
    focus: [0.5, 0.5],
    room: "all",
    draw: caustics,
  },
  {
    name: "light-dawn",
    shape: "wide",
    alt: "Soft fields of apricot, rose and blue light",
    group: "Abstract light",
    words: ["gradient", "soft", "beauty", "calm", "modern"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      fields(
        [
          [-1.3, 0.8, 0.9, "#ffd0a1"],
          [-0.4, -0.7, 0.9, "#f29a9f"],
          [0.7, 0.5, 0.9, "#c9b6e8"],
          [1.4, -0.6, 0.9, "#7fb4e6"],
          [0.2, 0.9, 0.6, "#fdeacb"],
        ],
        "#f3e3dc",
      ),
  },
  {
    name: "light-forest",
    shape: "wide",
    alt: "Soft fields of green and gold light",
    group: "Abstract light",
    words: ["gradient", "dark", "green", "calm", "modern", "nature"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () =>
      fields(
        [
          [-1.2, -0.7, 0.9, "#0d3b34"],
          [-0.5, 0.6, 0.8, "#1f6f5b"],
          [0.6, -0.5, 0.8, "#69a35a"],
          [1.3, 0.7, 0.8, "#e9c867"],
          [0.3, 0.2, 0.5, "#2b8a6e"],
        ],
        "#123f38",
      ),
  },
  {
    name: "light-prism",
    shape: "wide",
    alt: "Rainbow bands of light on a pale wall",
    group: "Abstract light",
    words: ["colourful", "sun", "wall", "joy", "bright"],
    focus: [0.5, 0.5],
    room: "all",
    draw: prism,
  },
  {
    name: "light-film",
    shape: "square",
    alt: "Shining waves in blue, pink and orange",
    group: "Abstract light",
    words: ["colourful", "modern", "music", "technology", "evening"],
    focus: [0.5, 0.5],
    room: "all",
    draw: film,
  },
];
