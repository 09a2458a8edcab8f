import { light, mix, plus, times, type Light } from "../draw/colour";
import type { Shader } from "../draw/frame";
import type { Scene } from "../draw/kinds";
import { chance, cloudy, noise, step, within } from "../draw/noise";
import { cornered, relief } from "../draw/relief";

/** Paper that was crushed and laid flat again: planes between sharp creases. */
function crumpled(): Shader {
  // The lowest of many pits with three flat sides each: planes that meet in creases, and no gap between them.
  const plane = (x: number, y: number, size: number, seed: number) => {
    const u = x * size;
    const v = y * size;
    let low = 9;
    for (let j = Math.floor(v) - 1; j <= Math.floor(v) + 1; j++)
      for (let i = Math.floor(u) - 1; i <= Math.floor(u) + 1; i++) {
        const dx = u - i - chance(i, j, seed);
        const dy = v - j - chance(i, j, seed + 1);
        const turn = 6.283 * chance(i, j, seed + 2);
        let pit = -9;
        for (let k = 0; k < 3; k++) {
          const a = turn + k * 2.094 + 0.7 * (chance(i, j, seed + 3 + k) - 0.5);
          pit = Math.max(pit, dx * Math.cos(a) + dy * Math.sin(a));
        }
        low = Math.min(low, pit + 0.3 * chance(i, j, seed + 9));
      }
    return low / size;
  };
  const white = light("#efe9dd");
  return relief({
    height: (x, y) => {
      const bx = x + 0.12 * cloudy(x * 1.3, y * 1.3, 2, 6);
      const by = y + 0.12 * cloudy(x * 1.3 + 9, y * 1.3, 2, 7);
      return (
        0.36 * plane(bx, by, 1.1, 3) +
        0.3 * plane(bx + 0.3, by, 2.4, 8) +
        0.22 * plane(bx, by + 0.7, 5.5, 14) +
        0.0006 * noise(x * 150, y * 150, 2)
      );
    },
    colour: (x, y) => times(white, 1 + 0.03 * cloudy(x * 30, y * 30, 3, 5)),
    from: [-0.6, 0.6, 0.75],
    sun: [0.98, 0.95, 0.88],
    shade: light("#8b8f9a"),
  });
}

type Sheet = { readonly edge: (x: number) => number; readonly colour: Light };

/** Sheets with cut edges that lie upon each other; each throws a soft shadow on those behind. */
function sheets(all: readonly Sheet[], fall: readonly [number, number]): Shader {
  return (x, y) => {
    let c: Light = all[0]!.colour;
    for (const [i, sheet] of all.entries()) {
      if (i === 0) continue;
      const inside = sheet.edge(x) - y;
      // The shadow is wide where the sheet stands off and dark at its foot.
      const off = sheet.edge(x - fall[0]) - (y + fall[1]);
      if (inside <= 0) {
        const dark =
          0.5 * step(-0.11, 0.05, off) + 0.28 * step(-0.03, 0.02, sheet.edge(x - fall[0] * 0.3) - (y + fall[1] * 0.3));
        c = times(c, 1 - within(0, 0.75, dark));
      } else {
        const rim = step(0.012, 0.002, inside);
        c = plus(times(sheet.colour, 1 + 0.1 * y * 0.4), [1, 1, 1], 0.07 * rim);
      }
      if (Math.abs(inside) < 0.0001) c = sheet.colour;
    }
    const grain = 1 + 0.035 * noise(x * 90, y * 90, 3) + 0.03 * noise(x * 210, y * 210, 4);
    return times(c, grain * (1.02 + 0.06 * (y - x * 0.3)));
  };
}

function hills(colours: readonly string[], seed: number, top: number, bottom: number): Shader {
  return sheets(
    colours.map((colour, i) => ({
      colour: light(colour),
      edge: (x: number) =>
        top +
        ((bottom - top) * i) / (colours.length - 1) +
        0.2 * Math.sin(x * (1.3 + 0.5 * chance(i, seed)) + 6.28 * chance(i, seed, 2)) +
        0.09 * Math.sin(x * (2.9 + chance(i, seed, 3)) + 6.28 * chance(i, seed, 4)),
    })),
    [0.03, -0.06],
  );
}

/** Paper folded to and fro, as a fan seen from the front. */
function pleated(): Shader {
  const a = light("#e7b7a0");
  const b = light("#d69a83");
  return cornered(
    relief({
      height: (x, y) => {
        const angle = Math.atan2(x + 0.15, y + 1.75);
        const r = Math.hypot(x + 0.15, y + 1.75);
        const p = angle * 9.5;
        const t = Math.abs(p - Math.floor(p) - 0.5) * 2;
        return 0.045 * r * 0.5 * (t + 0.04 * Math.sin(t * 9)) + 0.0006 * noise(x * 120, y * 120, 2);
      },
      colour: (x, y) => times(mix(b, a, 0.6), 1 + 0.03 * cloudy(x * 24, y * 24, 3, 5)),
      from: [-0.75, 0.25, 0.6],
      sun: [1.1, 1.02, 0.95],
      shade: light("#8d7f88"),
      reach: 0.24,
    }),
    0.25,
  );
}

/** A sheet with a raised pattern of round steps, pressed into it. */
function pressed(): Shader {
  const white = light("#e9e7e1");
  return cornered(
    relief({
      height: (x, y) => {
        const h = cloudy(x * 0.62 + 4, y * 0.62 + 1, 2, 9) * 7;
        const i = Math.floor(h);
        const t = h - i;
        return 0.028 * (i + step(0.86, 1, t)) + 0.0005 * noise(x * 140, y * 140, 2);
      },
      colour: (x, y) => times(white, 1 + 0.02 * cloudy(x * 30, y * 30, 3, 5)),
      from: [-0.55, 0.6, 0.62],
      sun: [1, 0.98, 0.94],
      shade: light("#8f97a6"),
      reach: 0.22,
      fine: 0.002,
    }),
    0.15,
  );
}

export const PAPER: readonly Scene[] = [
  {
    name: "paper-crumpled",
    shape: "wide",
    alt: "Crumpled cream paper",
    group: "Paper",
    words: ["texture", "ground", "craft", "white", "letter"],
    focus: [0.5, 0.5],
    room: "all",
    draw: crumpled,
  },
  {
    name: "paper-hills",
    shape: "wide",
    alt: "Hills cut from paper in green and blue",
    group: "Paper",
    words: ["cut", "layers", "craft", "landscape", "children"],
    focus: [0.5, 0.6],
    room: "head",
    draw: () => hills(["#eee6cf", "#bcd3c2", "#86b5a8", "#4f9190", "#2f6d78", "#1f4c5c"], 5, 0.62, -0.78),
  },
  {
    name: "paper-fan",
    shape: "tall",
    alt: "A fan of folded apricot paper",
    group: "Paper",
    words: ["fold", "craft", "pink", "party", "texture"],
    focus: [0.5, 0.6],
    room: "all",
    draw: pleated,
  },
  {
    name: "paper-steps",
    shape: "wide",
    alt: "White paper with raised curved steps",
    group: "Paper",
    words: ["relief", "layers", "white", "calm", "texture", "contour"],
    focus: [0.5, 0.5],
    room: "all",
    draw: pressed,
  },
];
