import { text } from "./bytes";

// Drawings (SVG) that mean harm: by references, depth, entities, or by what comes before them.

const svg = (inner: string, head = "") =>
  text(`${head}<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inner}</svg>`);
const SHAPE = '<path d="M0 0h9v9z"/>';

/** Each level uses the one before it ten times. */
export const useTower = (levels: number, width = 10) => {
  let defs = `<g id="l0">${SHAPE}</g>`;
  for (let level = 1; level <= levels; level++)
    defs += `<g id="l${level}">${`<use href="#l${level - 1}"/>`.repeat(width)}</g>`;
  return svg(`<defs>${defs}</defs><use href="#l${levels}"/>`);
};
const referenceTower = (levels: number, element: "mask" | "clipPath", attribute: "mask" | "clip-path") => {
  let defs = `<${element} id="l0">${SHAPE}</${element}>`;
  for (let level = 1; level <= levels; level++)
    defs += `<${element} id="l${level}">${`<rect width="9" height="9" ${attribute}="url(#l${level - 1})"/>`.repeat(8)}</${element}>`;
  return svg(`<defs>${defs}</defs><rect width="9" height="9" ${attribute}="url(#l${levels})"/>`);
};
export const laughs = (levels: number) => {
  let entities = '<!ENTITY a0 "ha">';
  for (let i = 1; i <= levels; i++) entities += `<!ENTITY a${i} "${`&a${i - 1};`.repeat(10)}">`;
  return `<!DOCTYPE svg [${entities}]>`;
};

export const DRAWINGS: readonly (readonly [string, () => Buffer])[] = [
  ...[50, 60, 500].map((n) => [`${n} empty comments and no drawing`, () => text("<!---->".repeat(n))] as const),
  ["421 bytes of empty comments", () => text(`${"<!---->".repeat(60)} `)],
  ["comments and blanks in turn", () => text(`${"<!-- --> \n".repeat(400)}<sv`)],
  ["a comment that never ends", () => text(`<!--${"-".repeat(4000)}`)],
  ["a doctype that never ends", () => text(`<!DOCTYPE svg [${"[".repeat(4000)}`)],
  ["doctypes in a row", () => text("<!DOCTYPE [".repeat(400))],
  ["blanks and no drawing", () => text(" ".repeat(400_000))],
  ["declarations in a row", () => text("<?xml ?>".repeat(500))],
  ...[4, 6, 9, 20].map((n) => [`uses ${n} levels deep, ten times each`, () => useTower(n)] as const),
  ["uses 60 levels deep, twice each", () => useTower(60, 2)],
  ["a use of itself", () => svg('<g id="a"><use href="#a"/></g><path d="M0 0h9"/>')],
  ["uses of each other", () => svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g><path d="M0 0h9"/>')],
  ...[4, 8, 16].flatMap((n) => [
    [`masks ${n} levels deep`, () => referenceTower(n, "mask", "mask")] as const,
    [`clip paths ${n} levels deep`, () => referenceTower(n, "clipPath", "clip-path")] as const,
  ]),
  ...[1_000, 60_000].map(
    (n) => [`groups ${n} deep`, () => svg(`${"<g>".repeat(n)}${SHAPE}${"</g>".repeat(n)}`)] as const,
  ),
  ["groups that never end", () => text(`<svg>${"<g>".repeat(120_000)}`)],
  ["elements that never end", () => text(`<svg ${"<g ".repeat(120_000)}`)],
  ["ends without beginnings", () => svg("</g>".repeat(100_000) + SHAPE)],
  ["a quote that never ends", () => text(`<svg a="${"x".repeat(400_000)}`)],
  [
    "60,000 attributes",
    () => svg(`<path d="M0 0" ${Array.from({ length: 60_000 }, (_, i) => `a${i}=""`).join(" ")}/>`),
  ],
  ["60,000 shapes", () => svg('<path d="M0 0h9"/>'.repeat(28_000))],
  ["a path of 490 KB", () => svg(`<path d="M0 0${"l1 1".repeat(122_000)}"/>`)],
  ["a path of more than that", () => svg(`<path d="M0 0${"l1 1".repeat(200_000)}"/>`)],
  ...[3, 9, 30].map(
    (n) => [`entities ${n} levels deep`, () => svg(`<text>&a${n};</text>${SHAPE}`, laughs(n))] as const,
  ),
  [
    "an entity that is a file",
    () => svg(`<text>&x;</text>${SHAPE}`, "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]>"),
  ],
  [
    "a size of a billion",
    () => text(`<svg xmlns="http://www.w3.org/2000/svg" width="999999999" height="999999999">${SHAPE}</svg>`),
  ],
  [
    "a size of nothing",
    () => text(`<svg xmlns="http://www.w3.org/2000/svg" width="0" height="0" viewBox="0 0 0 0">${SHAPE}</svg>`),
  ],
  ["dashes without end", () => svg('<path d="M0 0H99999999" stroke="red" stroke-dasharray="0.00001"/>')],
  ["a script", () => svg(`<script>alert(1)</script>${SHAPE}`)],
  ["a drawing in UTF-16", () => Buffer.from(`\ufeff<svg>${SHAPE}</svg>`, "utf16le")],
];
