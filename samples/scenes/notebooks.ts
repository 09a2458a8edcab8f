import { light } from "../../stock/draw/colour";
import { MORNING, plain, planks, pot, glazed } from "../../stock/scenes/stage";
import { leaf } from "../draw/art";
import { lettering } from "../draw/letters";
import { printed } from "../draw/sheet";
import { book, pencil, type Book } from "../draw/things";
import { packshot, scene, type Shot } from "./shot";

const W = 640;
const H = 880;
const r = (n: number) => n.toFixed(1);

/** A small plate of paper on a cover, with a word. */
const plate = (word: string, ink: string, paper = "#f4eddd", y = -190): string =>
  `<rect x="-150" y="${y - 62}" width="300" height="124" rx="6" fill="${paper}"/><rect x="-138" y="${y - 50}" width="276" height="100" fill="none" stroke="${ink}" stroke-width="3"/>${lettering(word, 0, y + 17, 34, ink, { most: 220 })}`;

const rows = (count: number, draw: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => draw(i)).join("");

/** What is printed on the covers. */
const COVERS = {
  plain: () => printed(W, H, "#31505a", plate("NOTES", "#31505a")),
  stripes: () =>
    printed(
      W,
      H,
      "#f1e7d3",
      rows(12, (i) => `<rect x="${-W / 2 + i * 56}" y="${-H / 2}" width="26" height="${H}" fill="#c2553b"/>`) +
        plate("IDEAS", "#8f3a26"),
    ),
  waves: () =>
    printed(
      W,
      H,
      "#1f3d52",
      rows(22, (i) => {
        const y = -H / 2 + i * 42;
        return `<path d="M${-W / 2} ${y}${rows(8, () => "q20 -26 40 0t40 0")}" fill="none" stroke="${["#8fb7bf", "#e9dcc0", "#5a8b9a"][i % 3]}" stroke-width="6"/>`;
      }),
    ),
  terrazzo: () =>
    printed(
      W,
      H,
      "#efe7d8",
      rows(90, (i) => {
        const x = ((i * 137.5) % W) - W / 2;
        const y = ((i * 89.3 * 3.1) % H) - H / 2;
        const size = 10 + ((i * 53) % 26);
        return `<path d="M0 ${-size}L${size} ${r(-size * 0.2)}L${r(size * 0.6)} ${size}L${r(-size * 0.8)} ${r(size * 0.5)}Z" transform="translate(${r(x)} ${r(y)}) rotate(${(i * 71) % 360})" fill="${["#c8694a", "#3f6f72", "#e0b15a", "#2f3a44"][i % 4]}"/>`;
      }),
    ),
  leaves: () =>
    printed(
      W,
      H,
      "#dfe5d2",
      rows(48, (i) => {
        const x = (i % 6) * 116 - 290 + (Math.floor(i / 6) % 2) * 58;
        const y = Math.floor(i / 6) * 122 - 400;
        return `<g transform="translate(${x} ${y}) rotate(${i % 2 ? 34 : -34})">${leaf(96, 30, i % 3 ? "#567f5a" : "#a8b98a", "#e9eeda")}</g>`;
      }),
    ),
  dots: () =>
    printed(
      W,
      H,
      "#e9b44c",
      rows(
        204,
        (i) => `<circle cx="${(i % 12) * 54 - 297}" cy="${Math.floor(i / 12) * 54 - 430}" r="8" fill="#7a3e1d"/>`,
      ),
    ),
  suns: () =>
    printed(
      W,
      H,
      "#d86f4d",
      rows(3, (i) => {
        const y = 330 - i * 270;
        return rows(
          6,
          (k) =>
            `<path d="M${-250 + k * 40} ${y}A${250 - k * 40} ${250 - k * 40} 0 0 1 ${250 - k * 40} ${y}" fill="${k % 2 ? "#d86f4d" : "#f6e2bd"}"/>`,
        );
      }),
    ),
  week: () =>
    printed(
      W,
      H,
      "#f0ece2",
      rows(
        7,
        (i) =>
          `<rect x="-250" y="${-150 + i * 62}" width="500" height="44" rx="8" fill="${["#2f4858", "#33658a", "#86a8bf", "#c9d3cf", "#e6c27a", "#e09f3e", "#9e4a32"][i]}"/>`,
      ) + lettering("WEEKS", 0, -230, 74, "#2f4858", { weight: 1.05 }),
    ),
  recipes: () =>
    printed(
      W,
      H,
      "#7b2f37",
      rows(8, (i) =>
        rows(11, (k) =>
          (i + k) % 2 ? `<rect x="${-320 + i * 80}" y="${-440 + k * 80}" width="80" height="80" fill="#93434a"/>` : "",
        ),
      ) + plate("RECIPES", "#7b2f37"),
    ),
  sketch: () =>
    printed(
      W,
      H,
      "#2c2d2f",
      `<path d="M-190 150C-150 -120 -90 -160 -40 40S60 220 100 20S150 -180 200 -100" fill="none" stroke="#f2ead9" stroke-width="9" stroke-linecap="round"/>` +
        lettering("DRAW", 0, 320, 52, "#f2ead9"),
    ),
  marble: () =>
    printed(
      W,
      H,
      "#dbe3e2",
      rows(16, (i) => {
        const y = -H / 2 + i * 60 - 20;
        const bend = 60 + ((i * 37) % 50);
        return `<path d="M${-W / 2} ${y}C-160 ${y + bend} -60 ${y - bend} 60 ${y + bend * 0.6}S240 ${y - bend} ${W / 2} ${y + 20}" fill="none" stroke="${["#2f6f78", "#c98b4a", "#5b8f8f", "#1f3f4a"][i % 4]}" stroke-width="${10 + ((i * 17) % 22)}"/>`;
      }),
    ),
  lines: () =>
    printed(
      W,
      H,
      "#f3eddf",
      rows(11, (i) =>
        rows(5, (k) => `<path d="M-320 ${-400 + i * 84 + k * 9}H320" stroke="#39454b" stroke-width="2"/>`),
      ) + plate("MUSIC", "#39454b", "#f3eddf", -20),
    ),
} as const;
type CoverName = keyof typeof COVERS;

const bookOf = async (name: CoverName, more: Omit<Book, "cover" | "size"> & Partial<Pick<Book, "size">>) =>
  book({ size: [0.52, 0.715, 0.085], cover: await COVERS[name](), ...more });

const STANDING = { yaw: 0.42, lean: -0.1 } as const;
const flat = (y: number, yaw: number) => ({ yaw, lean: Math.PI / 2, at: [0, y, 0] as const });

export const NOTEBOOKS: readonly Shot[] = [
  packshot("paper-plain", "A dark blue notebook with a paper plate and a band", "#d9d5cb", async () => [
    await bookOf("plain", { at: [0, 0.73, 0.1], ...STANDING, spine: "#29444d", band: "#d9a441" }),
  ]),
  packshot("paper-stripes", "A notebook with red stripes", "#d8dedb", async () => [
    await bookOf("stripes", { at: [0, 0.73, 0.1], ...STANDING, spine: "#a8452e", quarter: 0.14 }),
  ]),
  packshot("paper-waves", "A notebook covered in waves", "#e5dccb", async () => [
    await bookOf("waves", { at: [0, 0.73, 0.1], ...STANDING, spine: "#17303f" }),
  ]),
  packshot(
    "paper-pocket",
    "Three pocket notebooks, one upon another",
    "#e4e0d3",
    async () => [
      await bookOf("terrazzo", { ...flat(0.05, 0.4), size: [0.44, 0.62, 0.045], spine: "#3f6f72" }),
      await bookOf("dots", { ...flat(0.145, 0.12), size: [0.44, 0.62, 0.045], spine: "#7a3e1d" }),
      await bookOf("leaves", { ...flat(0.24, -0.2), size: [0.44, 0.62, 0.045], spine: "#567f5a" }),
    ],
    { high: 3.4, up: 0.14, lens: 6.4 },
  ),
  packshot("paper-sketch", "A black sketchbook with a pencil lying before it", "#dcdad4", async () => [
    await bookOf("sketch", { at: [0, 0.6, 0.2], yaw: -0.34, lean: -0.1, size: [0.62, 0.58, 0.12], spine: "#1f2022" }),
    pencil([-0.75, -0.62], [0.55, -0.9], 0.03, "#d58a2e"),
  ]),
  packshot("paper-week", "A planner with a coloured bar for each day", "#d5dbe0", async () => [
    await bookOf("week", { at: [0, 0.73, 0.1], yaw: -0.4, lean: -0.1, spine: "#2f4858", quarter: 0.1 }),
  ]),
  packshot("paper-recipes", "A thick recipe book in dark red checks", "#e6d9cf", async () => [
    await bookOf("recipes", {
      at: [0, 0.73, 0.1],
      yaw: 0.46,
      lean: -0.1,
      size: [0.55, 0.715, 0.15],
      spine: "#662229",
      band: "#e9dcc2",
    }),
  ]),
  packshot("paper-marble", "A journal bound in marbled paper and cloth", "#dfd9cd", async () => [
    await bookOf("marble", {
      at: [0, 0.73, 0.1],
      yaw: -0.42,
      lean: -0.1,
      size: [0.52, 0.715, 0.12],
      spine: "#5d3a2a",
      quarter: 0.2,
    }),
  ]),
  packshot("paper-music", "A book of music paper", "#d6d6cf", async () => [
    await bookOf("lines", {
      at: [0, 0.73, 0.1],
      ...STANDING,
      size: [0.56, 0.72, 0.06],
      spine: "#39454b",
      quarter: 0.12,
    }),
  ]),
  packshot("paper-suns", "A notebook with three rising suns", "#e9ddc8", async () => [
    await bookOf("suns", { at: [0, 0.73, 0.1], yaw: -0.38, lean: -0.1, spine: "#b5553a" }),
  ]),
  scene("paper-desk", "Notebooks on a desk, with pencils in a cup", [0.6, 0.55], async () => ({
    things: [
      await bookOf("marble", { at: [0.4, 0.09, 0.15], yaw: 0.3, lean: Math.PI / 2, spine: "#5d3a2a", quarter: 0.2 }),
      await bookOf("plain", {
        at: [0.44, 0.27, 0.15],
        yaw: 0.02,
        lean: Math.PI / 2,
        spine: "#29444d",
        band: "#d9a441",
      }),
      await bookOf("stripes", { at: [1.75, 0.73, 0.75], yaw: -0.3, lean: -0.14, spine: "#a8452e", quarter: 0.14 }),
      pot(-0.9, 0.5, 0.62, [0.3, 0.34, 0.34, 0.34], glazed("#b58a62", "#e9e4d8", 0.1, 5), {
        wall: 0.035,
        rings: 0.001,
      }),
      pencil([-0.3, -0.75], [0.9, -0.98], 0.03, "#c2553b"),
      pencil([1.2, -0.6], [2.2, -0.3], 0.03, "#2f5b6c"),
    ],
    wall: light("#cfd3cd"),
    table: planks("#c19a6b", "#93703f", 0.62),
    back: 2.4,
    sun: MORNING,
    above: light("#a8afb5"),
    below: light("#88765d"),
    eye: [0.1, 2, -5.4],
    at: [0.35, 0.42, 0],
    lens: 4.3,
    tableShine: 0.1,
  })),
  scene("paper-row", "Six notebooks side by side", [0.5, 0.5], async () => ({
    things: await Promise.all(
      (["waves", "dots", "leaves", "recipes", "week", "suns"] as const).map((name, i) =>
        bookOf(name, {
          at: [(i - 2.5) * 1.1, 0.715, 0.1],
          yaw: 0.2,
          lean: -0.08,
          spine: ["#17303f", "#7a3e1d", "#567f5a", "#662229", "#2f4858", "#b5553a"][i]!,
        }),
      ),
    ),
    wall: light("#dfdbd0"),
    table: plain("#d2ccbd", 0.03),
    back: 1.7,
    bow: 0.8,
    sun: MORNING,
    above: light("#adb1b4"),
    below: light("#968c78"),
    eye: [0, 1.3, -6.6],
    at: [0, 0.66, 0],
    lens: 3.7,
  })),
];
