import { makeColumn } from "~/core/commands";
import type { Json } from "~/core/document";
import type { Start } from "../definition";
import { makeWidget } from "../make-widget";

// Rows to begin with for whoever writes code, or has been given some. What has to come from elsewhere is asked for in a comment, and
// until it is there nothing of it is in the shop.

const coded = (props: Readonly<Record<string, Json>>, width: "narrow" | "content" = "narrow") => ({
  style: { all: { width } },
  slots: { columns: [makeColumn([makeWidget("code", props)])] },
});

const SUM = {
  title: "How much you need",
  html: `<form>
  <label>Length in m <input name="long" type="number" min="0" step="0.1" value="3"></label>
  <label>Width in m <input name="wide" type="number" min="0" step="0.1" value="2"></label>
  <p>That is <output></output> m².</p>
</form>`,
  css: `form { display: flex; flex-wrap: wrap; gap: 1rem; align-items: end }
label { display: grid; gap: .25rem }
input { font: inherit; width: 8rem; padding: .6rem }
p { flex-basis: 100%; margin: 0; font-size: 1.25rem }`,
  script: `const form = document.querySelector("form");
const sum = () => {
  const area = form.long.valueAsNumber * form.wide.valueAsNumber;
  form.querySelector("output").value = Number.isFinite(area) ? area.toFixed(2) : "…";
};
form.addEventListener("input", sum);
form.addEventListener("submit", (event) => event.preventDefault());
sum();`,
  height: 140,
};

const SNOW = {
  title: "Falling snow",
  html: `<canvas></canvas>`,
  css: `canvas { display: block; width: 100%; height: 160px; background: linear-gradient(#31465f, #8fa6bd) }`,
  script: `const canvas = document.querySelector("canvas");
const brush = canvas.getContext("2d");
const flakes = Array.from({ length: 120 }, () => ({
  x: Math.random(), y: Math.random(), r: 1 + Math.random() * 2.5, fall: 0.02 + Math.random() * 0.05,
}));
const still = matchMedia("(prefers-reduced-motion: reduce)").matches;
let before = performance.now();
function draw(now) {
  canvas.width = canvas.clientWidth;
  canvas.height = canvas.clientHeight;
  brush.fillStyle = "#fff";
  for (const flake of flakes) {
    flake.y = (flake.y + (flake.fall * (now - before)) / 1000) % 1;
    brush.beginPath();
    brush.arc(flake.x * canvas.width, flake.y * canvas.height, flake.r, 0, 7);
    brush.fill();
  }
  before = now;
  if (!still) requestAnimationFrame(draw);
}
draw(before);`,
  height: 160,
};

export const CODE_STARTS: readonly Start[] = [
  {
    id: "code-booking",
    name: "A frame to book in",
    build: () =>
      coded({
        title: "Book a time",
        html: "<!-- Paste here what your booking service gives you to put into a page. -->\n",
        height: 640,
      }),
  },
  {
    id: "code-embed",
    name: "Something from another site",
    build: () =>
      coded(
        { html: "<!-- Paste here what the other site gives you to put into a page. -->\n", height: 400 },
        "content",
      ),
  },
  { id: "code-sum", name: "A calculator", build: () => coded(SUM) },
  { id: "code-snow", name: "Falling snow", build: () => coded(SNOW, "content") },
];
