import { light, mix, plus, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { cell, chance, cloudy, crested, noise, step, within } from "../draw/noise";
import { cornered, relief } from "../draw/relief";

/** Marble: clouds that are folded into each other, with veins along the folds. */
function marble(ground: string, cloud: string, vein: string, gold: string | null, seed: number): Shader {
  const [a, b, v] = [light(ground), light(cloud), light(vein)];
  const g = gold ? light(gold) : null;
  return (x, y) => {
    const px = x * 0.8 + 0.9 * cloudy(x * 0.7, y * 0.7, 4, seed);
    const py = y * 0.8 + 0.9 * cloudy(x * 0.7 + 5, y * 0.7 + 3, 4, seed + 1);
    let c = mix(a, b, step(-0.15, 0.65, cloudy(px * 1.2, py * 0.9, 5, seed + 2)));
    const fold = Math.abs(cloudy(px * 1.1 + 0.7 * py, py * 0.9, 5, seed + 3));
    const thin = Math.abs(cloudy(px * 2.6, py * 2.2, 5, seed + 4));
    const wide = step(0.1, 0, fold) * (0.35 + 0.65 * step(-0.2, 0.4, noise(x, y, seed + 7)));
    c = mix(c, v, 0.5 * wide ** 2 + 0.55 * step(0.02, 0, fold));
    c = mix(c, v, 0.28 * step(0.022, 0, thin) * step(-0.1, 0.4, noise(px, py, seed + 8)));
    if (g)
      c = mix(c, g, 0.9 * step(0.012, 0.004, Math.abs(fold - 0.05)) * step(0.02, 0.3, noise(px * 1.4, py, seed + 9)));
    return times(c, 1.02 + 0.05 * (y - x * 0.4) + 0.012 * noise(x * 90, y * 90, 3));
  };
}

/** Slate: thin layers broken at slanting edges. */
function slate(): Shader {
  const a = light("#5b656c");
  const b = light("#3a4248");
  return cornered(
    relief({
      height: (x, y) => {
        const h = 2.6 * cloudy(x * 0.8 + 0.35 * y, y * 1.1, 5, 3) + 0.4 * x;
        const i = Math.floor(h * 2.4);
        const t = h * 2.4 - i;
        return 0.03 * (i + step(0.72, 1, t)) + 0.014 * crested(x * 3, y * 3, 5, 9) + 0.004 * noise(x * 42, y * 42, 5);
      },
      colour: (x, y) =>
        times(mix(b, a, step(-0.5, 0.5, cloudy(x * 1.6, y * 1.6, 5, 12))), 1 + 0.12 * cloudy(x * 20, y * 20, 3, 2)),
      from: [-0.6, 0.6, 0.5],
      sun: [1.15, 1.12, 1.08],
      shade: light("#7d8692"),
      reach: 0.12,
      fine: 0.0018,
      shine: 0.08,
      gloss: 12,
    }),
    0.3,
  );
}

/** Chips of stone in a smooth ground, ground flat. */
function terrazzo(): Shader {
  const ground = light("#efe9df");
  const chips = ["#c9705a", "#2f5d62", "#d9a441", "#8aa39b", "#45322e", "#e3c9b8"].map(light);
  const layer = (x: number, y: number, size: number, seed: number, share: number): Light | null => {
    const bx = x * size + 0.18 * noise(x * size * 1.7, y * size * 1.7, seed);
    const by = y * size + 0.18 * noise(x * size * 1.7, y * size * 1.7, seed + 1);
    const c = cell(bx, by, seed, 0.85);
    if (c.own > share) return null;
    // A chip is a part of its cell, cut by a few straight sides.
    let far = c.next - c.near - 0.16;
    const dx = bx - c.x;
    const dy = by - c.y;
    for (let i = 0; i < 4; i++) {
      const a = 6.283 * chance(Math.floor(c.own * 1e6), i, seed);
      far = Math.min(
        far,
        0.2 + 0.2 * chance(Math.floor(c.own * 1e6), i, seed + 2) - (dx * Math.cos(a) + dy * Math.sin(a)),
      );
    }
    if (far < 0) return null;
    const tone = chips[Math.floor(c.own * 997) % chips.length]!;
    return times(tone, 0.9 + 0.18 * cloudy(bx * 5, by * 5, 3, seed + 5) + 0.1 * c.own);
  };
  return (x, y) => {
    let c = times(ground, 1 + 0.03 * cloudy(x * 9, y * 9, 4, 3));
    for (const [size, seed, share] of [
      [16, 4, 0.5],
      [8, 9, 0.5],
      [3.6, 2, 0.62],
    ] as const) {
      const chip = layer(x, y, size, seed, share);
      if (chip) c = chip;
    }
    return times(c, 1.0 + 0.05 * (y - x * 0.3));
  };
}

/** Round stones of a beach, wet ones darker. */
function pebbles(): Shader {
  const tones = ["#8d8a86", "#6b6f73", "#b5aea3", "#a08d7d", "#50565b", "#c8c3b8", "#7d6f66"].map(light);
  type Pebble = { h: number; own: number; e: number };
  const layer = (x: number, y: number, size: number, seed: number): Pebble => {
    const c = cell(x * size + 0.1 * noise(x * size * 2, y * size * 2, seed), y * size * 1.2, seed, 0.62);
    const e = c.next - c.near;
    const r = within(0, 1, Math.min(e / 0.55, (0.6 - c.near) / 0.5));
    return { h: (Math.sqrt(1 - (1 - r) ** 2) * 0.34) / size, own: c.own, e: r };
  };
  const at = (x: number, y: number): Pebble => {
    const bx = x + 0.03 * noise(x * 3, y * 3, 2);
    const big = layer(bx, y, 3.1, 5);
    const small = layer(bx + 3, y + 1, 7.4, 11);
    return big.own > 0.45 && big.e > 0.02 ? { ...big, h: big.h + 0.05 } : { ...small };
  };
  return cornered(
    relief({
      height: (x, y) => at(x, y).h + 0.0007 * noise(x * 60, y * 60, 8),
      colour: (x, y) => {
        const p = at(x, y);
        const n = Math.floor(p.own * 9973);
        let c = tones[n % tones.length]!;
        c = times(c, 0.85 + 0.3 * cloudy(x * 12 + n, y * 12, 4, 4));
        const band = Math.abs(
          (x * Math.cos(n) + y * Math.sin(n)) * 3 + 0.1 * noise(x * 6, y * 6, n) - ((p.own * 20) % 1),
        );
        if (n % 5 === 0) c = mix(c, light("#d9d6ce"), 0.6 * step(0.09, 0.05, band));
        c = mix(c, plus(c, [0.12, 0.12, 0.12]), step(0.55, 0.85, noise(x * 40, y * 40, 6)));
        return mix(times(c, 0.25), c, step(0, 0.16, p.e));
      },
      from: [-0.5, 0.7, 0.6],
      sun: [1.15, 1.1, 1.0],
      shade: light("#767d88"),
      reach: 0.16,
      fine: 0.002,
      shine: 0.16,
      gloss: 30,
    }),
    0.25,
  );
}

export const STONE: readonly Scene[] = [
  {
    name: "marble-white",
    shape: "wide",
    alt: "White marble with grey veins",
    group: "Stone",
    words: ["table", "ground", "bright", "kitchen", "bath", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => marble("#f3f2ef", "#d3d5d6", "#7c8186", null, 26),
  },
  {
    name: "marble-green",
    shape: "wide",
    alt: "Dark green marble with fine golden veins",
    group: "Stone",
    words: ["table", "dark", "ground", "gold", "jewellery", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: () => marble("#123a33", "#0b2521", "#5f9484", "#c9a25a", 17),
  },
  {
    name: "slate-dark",
    shape: "wide",
    alt: "Split grey slate",
    group: "Stone",
    words: ["ground", "dark", "rough", "kitchen", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: slate,
  },
  {
    name: "terrazzo",
    shape: "square",
    alt: "Terrazzo with chips in red, green and ochre",
    group: "Stone",
    words: ["floor", "colourful", "pattern", "ground", "kitchen"],
    focus: [0.5, 0.5],
    room: "all",
    draw: terrazzo,
  },
  {
    name: "pebbles",
    shape: "wide",
    alt: "Round pebbles of a beach",
    group: "Stone",
    words: ["beach", "grey", "natural", "ground", "texture"],
    focus: [0.5, 0.5],
    room: "all",
    draw: pebbles,
  },
];
