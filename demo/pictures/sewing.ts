import { COLOURWAYS } from "./colourways";
import { along, boards, shapes, SHADOW, W, WOOD } from "./interior";
import { blur, darker, joined, lighter, linear, radial, smooth, type Drawing, type Point } from "./paint";
import type { Random } from "./random";

/** Cloth that falls over the front of the table in folds, sewn of two panels; `seam`: where they meet. */
function hanging(left: number, right: number, seam: number, top: number, H: number, random: Random): Drawing {
  const folds = 12;
  const width = (right - left) / folds;
  const hem = Array.from({ length: folds * 2 + 1 }, (_, i): Point => [
    left - 24 + ((right - left + 48) / (folds * 2)) * i,
    H * 0.97 + (i % 2 ? 16 : -14) + random.between(-8, 8),
  ]).reverse();
  let defs = `<clipPath id="drop"><path d="M${left} ${top}H${right}L${right + 24} ${H * 0.97}${smooth(hem).replace("M", "L")}Z"/></clipPath>`;
  let drawn = "";
  for (let i = 0; i < folds; i++) {
    const x = left + i * width;
    const colour = x + width / 2 < seam ? COLOURWAYS.dawn.cloth[0] : COLOURWAYS.dawn.cloth[1];
    const shift = ((x + width / 2 - (left + right) / 2) / (right - left)) * 48;
    const deep = random.between(0.2, 0.42);
    defs += linear(
      `fold${i}`,
      [x, 0],
      [x + width, 0],
      [
        [0, darker(colour, deep)],
        [0.22, colour],
        [0.5, lighter(colour, random.between(0.14, 0.34))],
        [0.78, colour],
        [1, darker(colour, deep)],
      ],
    );
    drawn += `<path d="M${x - 1} ${top}H${x + width + 1}L${x + width + shift + 2} ${H}H${x + shift - 2}Z" fill="url(#fold${i})"/>`;
  }
  defs += linear(
    "dropShade",
    [0, top],
    [0, H],
    [
      [0, "#fff", 0.28],
      [0.06, "#fff", 0],
      [0.5, SHADOW, 0.05],
      [1, SHADOW, 0.42],
    ],
  );
  return {
    defs,
    shapes: `<g clip-path="url(#drop)">${drawn}<rect x="${left - 40}" y="${top}" width="${right - left + 80}" height="${H - top}" fill="url(#dropShade)"/></g>`,
  };
}

/** The sewing machine at its window, two panels of cloth under the needle. */
export function sewing(H: number, random: Random): Drawing {
  const level = H * 0.66;
  const front = H * 0.76;
  const needle = 640;
  const pane = (x: number, y: number, w: number, h: number) =>
    `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="url(#outside)"/><path d="M${x} ${y + h * 0.75}h${w}v${h * 0.25}h${-w}z" fill="#6fa3ad" opacity="${y > 200 ? 0.9 : 0}"/>`;
  const window: Drawing = {
    defs:
      linear(
        "wall",
        [0, 0],
        [W, H],
        [
          [0, "#f2e8d4"],
          [0.6, "#dfcfb1"],
          [1, "#bda684"],
        ],
      ) +
      linear(
        "outside",
        [0, 60],
        [0, 560],
        [
          [0, "#9cc8dd"],
          [0.7, "#e4f0ee"],
          [1, "#f5ead0"],
        ],
      ) +
      blur("soft", 14) +
      blur("away", 5),
    shapes: `<rect width="${W}" height="${H}" fill="url(#wall)"/><g filter="url(#away)"><rect x="92" y="62" width="516" height="520" fill="#fbf6ea"/>${pane(116, 84, 222, 220)}${pane(362, 84, 222, 220)}${pane(116, 328, 222, 220)}${pane(362, 328, 222, 220)}<rect x="70" y="572" width="560" height="30" fill="#efe4cc"/></g>`,
  };
  // A rail with spools on the wall behind, out of focus.
  const pegs = Array.from({ length: 7 }, (_, i): string => {
    const x = 1010 + i * 84;
    const colour = along(i / 7);
    return `<rect x="${x}" y="${i % 2 ? 166 : 152}" width="56" height="${i % 2 ? 78 : 92}" rx="6" fill="${colour}"/><rect x="${x + 36}" y="${i % 2 ? 166 : 152}" width="20" height="${i % 2 ? 78 : 92}" rx="6" fill="${darker(colour, 0.35)}"/><rect x="${x - 5}" y="142" width="66" height="12" rx="4" fill="#7d6143"/><rect x="${x - 5}" y="240" width="66" height="12" rx="4" fill="#6a5239"/>`;
  }).join("");
  const rail = shapes(
    `<g filter="url(#away)"><rect x="980" y="252" width="640" height="20" fill="#a87b4c"/><rect x="980" y="272" width="640" height="26" fill="${SHADOW}" opacity=".2"/>${pegs}</g>`,
  );
  const table = joined(boards(level, front, 2, random), {
    defs: linear(
      "apron",
      [0, front],
      [0, H],
      [
        [0, darker(WOOD, 0.3)],
        [0.12, darker(WOOD, 0.48)],
        [1, darker(WOOD, 0.72)],
      ],
    ),
    shapes: `<rect y="${front}" width="${W}" height="${H - front}" fill="url(#apron)"/><rect y="${front - 3}" width="${W}" height="6" fill="#e0b983" opacity=".7"/>`,
  });
  const metal = (key: string, y: number, h: number): string =>
    linear(
      key,
      [0, y],
      [0, y + h],
      [
        [0, "#7fb0b6"],
        [0.1, "#3f7680"],
        [0.5, "#235661"],
        [0.9, "#123841"],
        [1, "#0c2a32"],
      ],
    );
  const y = level;
  const machine: Drawing = {
    defs:
      metal("arm", y - 430, 130) +
      metal("bed", y - 70, 82) +
      linear(
        "pillar",
        [1060, 0],
        [1220, 0],
        [
          [0, "#123841"],
          [0.25, "#2f6b76"],
          [0.5, "#3f7f89"],
          [1, "#0c2a32"],
        ],
      ) +
      linear(
        "head",
        [560, 0],
        [720, 0],
        [
          [0, "#0f323b"],
          [0.35, "#4a8993"],
          [0.6, "#2a626d"],
          [1, "#103640"],
        ],
      ) +
      radial("wheel", [1246, y - 392], 120, [
        [0, "#5f99a1"],
        [0.7, "#1f505a"],
        [1, "#0c2a32"],
      ]),
    shapes: `<ellipse cx="900" cy="${y + 18}" rx="430" ry="26" fill="${SHADOW}" opacity=".5" filter="url(#soft)"/>
<rect x="520" y="${y - 66}" width="740" height="80" rx="16" fill="url(#bed)"/>
<path d="M1060 ${y - 60}Q1080 ${y - 130} 1072 ${y - 320}H1216Q1222 ${y - 130} 1240 ${y - 60}Z" fill="url(#pillar)"/>
<circle cx="1252" cy="${y - 366}" r="78" fill="url(#wheel)"/><circle cx="1252" cy="${y - 366}" r="70" fill="none" stroke="#d8b25a" stroke-width="5"/><circle cx="1252" cy="${y - 366}" r="22" fill="#c9d0d3"/>
<path d="M566 ${y - 380}Q572 ${y - 436} 640 ${y - 436}H1150Q1226 ${y - 436} 1226 ${y - 366}V${y - 300}H760Q724 ${y - 300} 716 ${y - 262}L706 ${y - 190}H578Z" fill="url(#arm)"/>
<path d="M566 ${y - 380}Q572 ${y - 436} 640 ${y - 436}H716V${y - 262}L706 ${y - 190}H578Z" fill="url(#head)" opacity=".85"/>
<path d="M640 ${y - 428}H1140" stroke="#cfe6e6" stroke-opacity=".55" stroke-width="7" stroke-linecap="round"/>
<path d="M786 ${y - 384}q40 -22 80 0t80 0t80 0t80 0" stroke="#d8b25a" stroke-width="5" fill="none"/><path d="M786 ${y - 346}H1106" stroke="#d8b25a" stroke-width="3"/>
<circle cx="644" cy="${y - 330}" r="24" fill="#d5dadc"/><circle cx="644" cy="${y - 330}" r="24" fill="none" stroke="#7b868a" stroke-width="4"/><path d="M644 ${y - 350}v40M624 ${y - 330}h40" stroke="#7b868a" stroke-width="3"/>
<rect x="${needle - 15}" y="${y - 196}" width="30" height="52" rx="5" fill="#c4cbce"/><rect x="${needle - 15}" y="${y - 196}" width="9" height="52" rx="4" fill="#eef2f3"/><path d="M${needle - 3} ${y - 146}h6l-2 76h-2z" fill="#f4f7f7"/>
<path d="M${needle + 22} ${y - 192}v96l26 16v12h-64v-10l24 -10v-104z" fill="#9aa4a8"/><path d="M${needle - 14} ${y - 78}h66" stroke="#eef2f3" stroke-width="4"/>
<rect x="870" y="${y - 452}" width="70" height="16" rx="5" fill="#7d6143"/><rect x="878" y="${y - 546}" width="54" height="96" rx="6" fill="${COLOURWAYS.dawn.cloth[0]}"/><rect x="912" y="${y - 546}" width="20" height="96" rx="6" fill="${darker(COLOURWAYS.dawn.cloth[0], 0.35)}"/><rect x="870" y="${y - 560}" width="70" height="16" rx="5" fill="#94764f"/><rect x="902" y="${y - 584}" width="6" height="26" fill="#c9d0d3"/>
<path d="M880 ${y - 520}Q760 ${y - 500} 690 ${y - 446}L600 ${y - 400}L604 ${y - 300}L${needle - 4} ${y - 192}L${needle} ${y - 110}" stroke="${darker(COLOURWAYS.dawn.cloth[0], 0.1)}" stroke-width="2.600" fill="none"/>
<circle cx="690" cy="${y - 446}" r="7" fill="#c9d0d3"/>`,
  };
  // The cloth lies on bed and table, seen almost from the side, and comes towards us.
  const [left, right, nearLeft, nearRight] = [388, 1004, 300, 1092];
  const laid: Drawing = {
    defs:
      linear(
        "laidA",
        [left, 0],
        [needle, 0],
        [
          [0, darker(COLOURWAYS.dawn.cloth[0], 0.16)],
          [0.4, lighter(COLOURWAYS.dawn.cloth[0], 0.2)],
          [1, COLOURWAYS.dawn.cloth[0]],
        ],
      ) +
      linear(
        "laidB",
        [needle, 0],
        [right, 0],
        [
          [0, COLOURWAYS.dawn.cloth[1]],
          [0.5, lighter(COLOURWAYS.dawn.cloth[1], 0.3)],
          [1, darker(COLOURWAYS.dawn.cloth[1], 0.2)],
        ],
      ),
    shapes: `<path d="M${left - 20} ${y - 50}L${nearLeft - 16} ${front}H${nearRight + 26}L${right + 24} ${y - 50}Z" fill="${SHADOW}" opacity=".42" filter="url(#soft)"/><path d="M${left} ${y - 72}Q520 ${y - 84} ${needle} ${y - 74}L${needle} ${front + 1}H${nearLeft}Q330 ${y + 10} ${left} ${y - 72}Z" fill="url(#laidA)"/><path d="M${needle} ${y - 74}Q820 ${y - 86} ${right} ${y - 72}Q1050 ${y + 10} ${nearRight} ${front + 1}H${needle}Z" fill="url(#laidB)"/><path d="M${needle} ${y - 72}V${front}" stroke="#7d2a14" stroke-opacity=".55" stroke-width="3" stroke-dasharray="9 6"/>`,
  };
  const drop = hanging(nearLeft, nearRight, needle, front, H, random);
  return joined(
    window,
    rail,
    table,
    machine,
    laid,
    shapes(
      `<rect x="${nearLeft - 10}" y="${front}" width="${nearRight - nearLeft + 50}" height="${H - front}" fill="${SHADOW}" opacity=".45" filter="url(#soft)"/>`,
    ),
    drop,
    shapes(
      `<path d="M${needle} ${front}V${H * 0.97}" stroke="#7d2a14" stroke-opacity=".5" stroke-width="3" stroke-dasharray="9 6"/>`,
    ),
    // Needle and foot stand before the cloth.
    shapes(
      `<path d="M${needle - 3} ${y - 146}h6l-2 74h-2z" fill="#f4f7f7"/><path d="M${needle - 14} ${y - 80}h66v9h-66z" fill="#b9c2c5"/>`,
    ),
  );
}
