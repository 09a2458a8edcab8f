import { COLOURWAYS } from "./colourways";
import { along, boards, light, none, PALE, shapes, SHADOW, W } from "./interior";
import { SAILS } from "./kites";
import { blur, darker, joined, lighter, linear, picture, radial, smooth, type Drawing, type Point } from "./paint";
import { seeded, type Random } from "./random";
import { drawSail, resetIds } from "./sails";
import { sewing } from "./sewing";

// Corners of the workshop. What lies is seen from straight above and what stands from straight ahead, so that nothing in a
// picture contradicts the perspective of the rest.

export type WorkshopScene = {
  readonly name: string;
  readonly view: "bench" | "shelf" | "rolls" | "sewing";
  readonly height: number;
};

/** A spool of thread that lies on its side, seen from above; `at`: its middle. */
function lyingSpool(key: string, [x, y]: Point, colour: string, degrees: number): Drawing {
  const turns = Array.from({ length: 19 }, (_, i) => `M${-54 + i * 6} -38q3 38 0 76`).join("");
  return {
    defs: linear(
      key,
      [0, -40],
      [0, 40],
      [
        [0, lighter(colour, 0.16)],
        [0.28, lighter(colour, 0.3)],
        [0.6, colour],
        [1, darker(colour, 0.5)],
      ],
    ),
    shapes: `<g transform="translate(${x} ${y}) rotate(${degrees})"><rect x="-72" y="-34" width="150" height="96" rx="20" fill="${SHADOW}" opacity=".42" filter="url(#soft)"/><rect x="-60" y="-38" width="120" height="76" rx="6" fill="url(#${key})"/><path d="${turns}" stroke="${darker(colour, 0.45)}" stroke-opacity=".3" stroke-width="1.600" fill="none"/><rect x="-76" y="-48" width="20" height="96" rx="8" fill="#7d6143"/><rect x="56" y="-48" width="20" height="96" rx="8" fill="#5c4630"/><rect x="-76" y="-48" width="7" height="96" rx="3" fill="#a4845c"/></g>`,
  };
}

/** Tailor's shears, a little open, seen from above. */
const shears = ([x, y]: Point, degrees: number): Drawing => ({
  defs: linear(
    "steel",
    [-30, 0],
    [34, 0],
    [
      [0, "#8d979b"],
      [0.45, "#f3f6f6"],
      [0.55, "#c4ccce"],
      [1, "#7b868a"],
    ],
  ),
  shapes: (["shadow", "shears"] as const)
    .map((what) => {
      const isShadow = what === "shadow";
      const [steel, back, grip] = isShadow ? [SHADOW, SHADOW, SHADOW] : ["url(#steel)", "#9aa4a8", "#25282b"];
      const ring = (cx: number, cy: number, rx: number, ry: number, lean: number) =>
        `<ellipse cx="${cx}" cy="${cy}" rx="${rx}" ry="${ry}" transform="rotate(${lean} ${cx} ${cy})" fill="none" stroke="${grip}" stroke-width="26"/>${isShadow ? "" : `<ellipse cx="${cx - 4}" cy="${cy - 4}" rx="${rx}" ry="${ry}" transform="rotate(${lean} ${cx} ${cy})" fill="none" stroke="#5b6166" stroke-width="4" stroke-opacity=".8"/>`}`;
      return `<g transform="translate(${x + (isShadow ? 14 : 0)} ${y + (isShadow ? 20 : 0)}) rotate(${degrees})" ${isShadow ? `opacity=".45" filter="url(#soft)"` : ""}><g transform="rotate(7)"><path d="M-16 12L-22-60Q-16-250 2-372Q12-250 22-40L24 30Q40 70 54 104L26 120Q4 60-16 12Z" fill="${back}"/>${ring(58, 186, 44, 76, -12)}</g><g transform="rotate(-7)"><path d="M16 12L22-60Q16-250-2-372Q-12-250-22-40L-24 30Q-40 70-54 104L-26 120Q-4 60 16 12Z" fill="${steel}"/>${ring(-58, 186, 40, 66, 12)}</g>${isShadow ? "" : `<circle r="17" fill="#6d767a"/><circle r="17" fill="none" stroke="#3e464a" stroke-width="3"/><path d="M-9-9L9 9" stroke="#30363a" stroke-width="4"/>`}</g>`;
    })
    .join(""),
});

/** The bench from above: a sail on the cutting mat, and what it is made with around it. */
function bench(H: number, random: Random): Drawing {
  const lines = (count: number, step: number, each: (at: number, isMain: boolean) => string) =>
    Array.from({ length: count }, (_, i) => each(i * step, i % 4 === 0)).join("");
  const grid =
    lines(
      31,
      40,
      (x, isMain) =>
        `<path d="M${x - 600}-420V420" stroke="#dff0e8" stroke-opacity="${isMain ? 0.34 : 0.13}" stroke-width="${isMain ? 2 : 1.2}"/>`,
    ) +
    lines(
      22,
      40,
      (y, isMain) =>
        `<path d="M-600 ${y - 420}H600" stroke="#dff0e8" stroke-opacity="${isMain ? 0.34 : 0.13}" stroke-width="${isMain ? 2 : 1.2}"/>`,
    );
  const mat: Drawing = {
    defs:
      linear(
        "mat",
        [-600, -420],
        [600, 420],
        [
          [0, "#3c6f68"],
          [1, "#26504e"],
        ],
      ) + `<clipPath id="matCut"><rect x="-620" y="-440" width="1240" height="880" rx="22"/></clipPath>`,
    shapes: `<g transform="translate(830 ${H * 0.5}) rotate(-4)"><rect x="-612" y="-424" width="1248" height="890" rx="22" fill="${SHADOW}" opacity=".5" filter="url(#soft)"/><g clip-path="url(#matCut)"><rect x="-620" y="-440" width="1240" height="880" fill="url(#mat)"/>${grid}</g><rect x="-600" y="-420" width="1200" height="840" fill="none" stroke="#e8f4ec" stroke-opacity=".5" stroke-width="3"/></g>`,
  };
  const paper = `<g transform="translate(1180 ${H * 0.77}) rotate(7)"><path d="M-330-150L330-170L350 250L-340 260Z" transform="translate(10 16)" fill="${SHADOW}" opacity=".4" filter="url(#soft)"/><path d="M-330-150L330-170L350 250L-340 260Z" fill="#f4ead2"/><path d="M-270 190L-60-100L270 120Z" fill="none" stroke="#3d5a68" stroke-width="4" stroke-dasharray="20 11"/><path d="M-240 176L-62-68L226 112Z" fill="none" stroke="#b3402a" stroke-width="2.500"/><path d="M-60-100L0 160" stroke="#3d5a68" stroke-width="2.500" stroke-dasharray="4 9"/></g>`;
  const sail = drawSail(SAILS.delta, COLOURWAYS.shoal, random, { centre: [760, H * 0.43], size: 470, angle: -8 });
  const ticks = Array.from({ length: 61 }, (_, i) => `M${-590 + i * 19.6} -31v${i % 5 ? 14 : 26}`).join("");
  const rule: Drawing = {
    defs: linear(
      "rule",
      [0, -32],
      [0, 32],
      [
        [0, "#f4dd93"],
        [0.5, "#ecc965"],
        [1, "#c79a3a"],
      ],
    ),
    shapes: `<g transform="translate(690 ${H * 0.885}) rotate(-2.500)"><rect x="-600" y="-24" width="1204" height="70" fill="${SHADOW}" opacity=".45" filter="url(#soft)"/><rect x="-600" y="-32" width="1200" height="64" rx="4" fill="url(#rule)"/><path d="${ticks}" stroke="#5d4715" stroke-width="2.600"/><circle cx="572" cy="8" r="11" fill="#8b6a2c"/></g>`,
  };
  const heads = ["#d62f3c", "#f2b632", "#f7f2e7", "#168a9a"];
  const pins = [
    [520, 0.33, 40],
    [640, 0.27, 62],
    [905, 0.25, 118],
    [1015, 0.34, 150],
    [1330, 0.2, 20],
    [1375, 0.235, 75],
    [1300, 0.255, 130],
  ].map(([x = 0, share = 0, lean = 0], i) => {
    return `<g transform="translate(${x} ${H * share}) rotate(${lean})"><path d="M5 7L69 11" stroke="${SHADOW}" stroke-opacity=".4" stroke-width="5"/><path d="M0 0H66" stroke="#dfe5e6" stroke-width="3"/><circle r="10" fill="${heads[i % heads.length]}"/><circle cx="-3" cy="-3" r="3" fill="#fff" opacity=".7"/></g>`;
  });
  const tail: Point[] = [
    [236, H * 0.27],
    [300, H * 0.32],
    [262, H * 0.41],
    [340, H * 0.46],
    [402, H * 0.4],
  ];
  return joined(
    { ...none, defs: blur("soft", 12) },
    boards(0, H, 6, random),
    mat,
    shapes(paper),
    shapes(
      `<g opacity=".45" filter="url(#soft)" transform="translate(16 26)">${sail.shapes.replace(/(fill|stroke)="[^"]*"/g, `$1="${SHADOW}"`)}</g>`,
    ),
    sail,
    rule,
    shears([1395, H * 0.5], 24),
    shapes(
      `<path d="${smooth(tail)}" stroke="${SHADOW}" stroke-opacity=".3" stroke-width="5" fill="none" transform="translate(4 6)"/><path d="${smooth(tail)}" stroke="#ef6a45" stroke-width="3.500" fill="none"/>`,
    ),
    lyingSpool("sp1", [150, H * 0.25], "#ef6a45", -14),
    lyingSpool("sp2", [130, H * 0.42], "#168a9a", 18),
    lyingSpool("sp3", [196, H * 0.6], "#f2b632", -38),
    shapes(pins.join("")),
  );
}

/** Thread on three shelves, from red to violet. */
function shelf(H: number, random: Random): Drawing {
  const rows = 3;
  const parts: Drawing[] = [
    {
      defs:
        blur("soft", 14) +
        linear(
          "wall",
          [0, 0],
          [W, H],
          [
            [0, "#efe3cb"],
            [1, "#cbb894"],
          ],
        ),
      shapes: `<rect width="${W}" height="${H}" fill="url(#wall)"/>`,
    },
  ];
  for (let row = 0; row < rows; row++) {
    const room = H / rows;
    const y = room * (row + 1) - 40;
    // The shelf above throws its shadow on the wall.
    parts.push({
      defs: linear(
        `under${row}`,
        [0, y - room + 40],
        [0, y - room + 190],
        [
          [0, SHADOW, 0.42],
          [1, SHADOW, 0],
        ],
      ),
      shapes: `<rect y="${y - room + 40}" width="${W}" height="150" fill="url(#under${row})"/>`,
    });
    for (let x = -40, i = 0; x < W; i++) {
      const w = random.between(92, 132);
      const h = random.between(0.56, 0.76) * (room - 70);
      const colour = random.next() > 0.87 ? random.pick(PALE) : along((x + 60) / (W + 60));
      const key = `p${row}-${i}`;
      const isCone = random.next() > 0.62;
      const [upper, lower] = isCone ? [w * 0.34, w * 0.47] : [w * 0.43, w * 0.43];
      const middle = x + w / 2;
      const body = `M${middle - upper} ${y - h}L${middle + upper} ${y - h}L${middle + lower} ${y - 14}L${middle - lower} ${y - 14}Z`;
      const turns = Array.from({ length: Math.floor(h / 7) }, (_, k) => {
        const share = (k * 7) / h;
        const half = upper + (lower - upper) * share;
        return `M${(middle - half).toFixed(1)} ${(y - h + k * 7).toFixed(1)}q${half.toFixed(1)} 9 ${(2 * half).toFixed(1)} 0`;
      }).join("");
      parts.push({
        defs: linear(
          key,
          [middle - lower, 0],
          [middle + lower, 0],
          [
            [0, darker(colour, 0.34)],
            [0.28, lighter(colour, 0.24)],
            [0.6, colour],
            [1, darker(colour, 0.46)],
          ],
        ),
        shapes: `<path d="${body}" transform="translate(26 10)" fill="${SHADOW}" opacity=".3" filter="url(#soft)"/><path d="${body}" fill="url(#${key})"/><path d="${turns}" stroke="${darker(colour, 0.4)}" stroke-opacity=".34" stroke-width="1.700" fill="none"/><rect x="${middle - lower - 5}" y="${y - 15}" width="${2 * lower + 10}" height="15" rx="5" fill="#4b3a28"/><rect x="${middle - upper - 4}" y="${y - h - 13}" width="${2 * upper + 8}" height="15" rx="5" fill="#6a5239"/><rect x="${middle - upper - 4}" y="${y - h - 13}" width="${2 * upper + 8}" height="4" rx="2" fill="#94764f"/>`,
      });
      x += w + random.between(4, 16);
    }
    parts.push(
      boards(y, y + 34, 1, random),
      shapes(`<rect y="${y}" width="${W}" height="4" fill="#fff" opacity=".3"/>`),
    );
  }
  return joined(...parts);
}

/** Rolls of cloth, stacked as high as the picture and wider, seen from their ends; their colours run across it. */
function rolls(H: number, random: Random): Drawing {
  const R = 96;
  const [across, down] = [R * 2 + 2, R * 1.74];
  const parts: Drawing[] = [{ defs: blur("soft", 12), shapes: `<rect width="${W}" height="${H}" fill="#2a2019"/>` }];
  const rows = Math.ceil(H / down) + 2;
  for (let row = 0; row < rows; row++) {
    for (let column = -1; column <= W / across + 1; column++) {
      const x = column * across + (row % 2 ? across / 2 : 0) + random.between(-3, 3);
      const y = H + R * 0.4 - row * down;
      const radius = R - random.between(0, 7);
      const share = (x / W) * 0.86 + (1 - y / H) * 0.14;
      const colour = random.next() > 0.86 ? random.pick(PALE) : along(share + random.between(-0.05, 0.05));
      const key = `o${row}-${column + 1}`;
      const turns = Array.from({ length: 9 }, (_, k) => {
        const r = radius - 5 - k * 6.6;
        return `<circle cx="${(x + random.between(-1.6, 1.6)).toFixed(1)}" cy="${(y + random.between(-1.6, 1.6)).toFixed(1)}" r="${r.toFixed(1)}" fill="none" stroke="${k % 3 ? darker(colour, 0.5) : lighter(colour, 0.35)}" stroke-opacity="${k % 3 ? 0.3 : 0.22}" stroke-width="${random.between(1, 2.4).toFixed(1)}"/>`;
      }).join("");
      // Where the cloth ends, its edge stands off the roll a little.
      const end = random.between(0, 360);
      const flap = `<path d="M0 ${-radius}q${radius * 0.62} ${radius * 0.02} ${radius * 0.86} ${radius * 0.46}" transform="translate(${x} ${y}) rotate(${end.toFixed(0)})" stroke="${darker(colour, 0.35)}" stroke-width="4" stroke-linecap="round" fill="none"/>`;
      parts.push({
        defs: radial(key, [x - 34, y - 40], radius * 1.75, [
          [0, lighter(colour, 0.34)],
          [0.55, colour],
          [1, darker(colour, 0.5)],
        ]),
        shapes: `<circle cx="${x + 9}" cy="${y + 13}" r="${radius}" fill="#120c06" opacity=".5" filter="url(#soft)"/><circle cx="${x}" cy="${y}" r="${radius}" fill="url(#${key})"/>${turns}${flap}<circle cx="${x}" cy="${y}" r="29" fill="#8d6d45"/><circle cx="${x}" cy="${y}" r="26" fill="#cfb184"/><circle cx="${x}" cy="${y}" r="19" fill="#2c2015"/><path d="M${x - 13} ${y + 14}a19 19 0 0 0 26 0" stroke="#6a5236" stroke-width="4" fill="none"/>`,
      });
    }
  }
  return joined(...parts);
}

const VIEWS = { bench, shelf, rolls, sewing } as const;

/** Draws a corner of the workshop as SVG text. */
export function drawWorkshop({ name, view, height: H }: WorkshopScene): string {
  resetIds();
  return picture(W, H, joined(VIEWS[view](H, seeded(name)), light(H)));
}
