/** Times the solving of whole brands, each with its CSS, in milliseconds, and prints the result as JSON. */
import { lookCss, solveBrand } from "../../app/core/theme";
import { THEMES } from "../../app/themes";

const times: number[] = [];
for (let i = 0; i < 700; i++) {
  // A walk through all colours that is the same every time (Knuth's multiplicative hash).
  const colour = `#${((Math.imul(i + 1, 2654435761) >>> 8) & 0xffffff).toString(16).padStart(6, "0")}`;
  const brand = { colour, contrast: i % 2 ? "AA" : "AAA" };
  const start = performance.now();
  lookCss(solveBrand(THEMES[i % THEMES.length]!, brand));
  if (i >= 100) times.push(performance.now() - start);
}
times.sort((a, b) => a - b);
const at = (share: number) => Math.round(times[Math.floor(times.length * share)]! * 100) / 100;
console.log(JSON.stringify({ p50: at(0.5), p95: at(0.95), target: 10 }));
