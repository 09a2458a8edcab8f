import { standing } from "./grounds";
import { darker, lighter, linear, polygon, polyline, radial, smooth, type Drawing, type Point } from "./paint";
import type { Random } from "./random";
import { tail, type Colourway } from "./sails";

const none: Drawing = { shapes: "", defs: "" };
const shaded = (id: string, from: Point, to: Point, colour: string, depth = 0.3): string =>
  linear(id, from, to, [
    [0, lighter(colour, 0.25)],
    [0.35, colour],
    [1, darker(colour, depth)],
  ]);

/** A kite rolled up in its bag, lying across the table. */
export function packed(colours: Colourway, random: Random): Drawing {
  const [main, second] = colours.cloth;
  const tilt = random.between(-19, -11);
  return {
    defs:
      shaded("bag", [0, -62], [0, 70], main, 0.4) +
      shaded("flap", [0, -62], [0, 70], second, 0.35) +
      shaded("strap", [0, -80], [0, 0], "#39434a", 0.3),
    shapes: `${standing(410, 690, 320, 44)}<g transform="translate(380 620) rotate(${tilt}) scale(.9)">
      <rect x="-330" y="-62" width="660" height="132" rx="60" fill="url(#bag)"/>
      <path d="M-210-62h120v132h-120z" fill="url(#flap)"/><path d="M-205-62v132M-95-62v132" stroke="#fffdf4" stroke-opacity=".5" stroke-width="2" stroke-dasharray="7 5"/>
      <path d="M-60-62Q60-190 210-62" fill="none" stroke="url(#strap)" stroke-width="20"/>
      <path d="M-60-62v132M210-62v132" stroke="#39434a" stroke-width="20" opacity=".92"/>
      <path d="M-290-28Q0-50 300-30" stroke="#fff" stroke-opacity=".22" stroke-width="14" fill="none" stroke-linecap="round"/>
      <path d="M-300 30Q-150 16-60 34T190 26T310 34" stroke="${darker(main, 0.5)}" stroke-opacity=".3" stroke-width="5" fill="none"/>
      <circle cx="318" cy="4" r="40" fill="${darker(main, 0.3)}"/><circle cx="318" cy="4" r="27" fill="${darker(main, 0.48)}"/><path d="M318 4q40 30 58 84" stroke="#39434a" stroke-width="5" fill="none"/><rect x="366" y="82" width="22" height="30" rx="6" fill="#39434a"/>
      <rect x="-22" y="-22" width="94" height="60" rx="5" fill="#fbf6ea"/><path d="M-4-2h58M-4 14h38" stroke="#39434a" stroke-width="5" stroke-linecap="round"/>
    </g>`,
  };
}

/** A hoop winder: line wound on a ring. */
export function hoop(colours: Colourway, random: Random, size = 250): Drawing {
  const [main, line] = [colours.cloth[0], colours.cloth[1]];
  const turns = Array.from({ length: 46 }, () => {
    const wobble = random.between(-22, 22);
    const r = size - 42 + wobble;
    return `<ellipse cx="${400 + random.between(-3, 3)}" cy="${500 + random.between(-3, 3)}" rx="${r}" ry="${r}" fill="none" stroke="${random.pick([line, lighter(line, 0.2), darker(line, 0.18)])}" stroke-width="3.400" opacity=".95"/>`;
  }).join("");
  return {
    defs: radial("ring", [400 - size / 3, 500 - size / 3], size * 1.9, [
      [0, lighter(main, 0.35)],
      [0.5, main],
      [1, darker(main, 0.4)],
    ]),
    shapes: `<circle cx="400" cy="500" r="${size}" fill="none" stroke="url(#ring)" stroke-width="26"/><circle cx="400" cy="500" r="${size - 92}" fill="none" stroke="url(#ring)" stroke-width="30"/><circle cx="400" cy="500" r="${size - 42}" fill="none" stroke="${darker(main, 0.35)}" stroke-width="70"/>${turns}<circle cx="400" cy="500" r="${size + 9}" fill="none" stroke="#fff" stroke-opacity=".3" stroke-width="3"/><path d="${smooth(
      [
        [400 + size - 60, 470],
        [400 + size + 60, 560],
        [400 + size - 10, 700],
        [400 + size + 70, 820],
      ],
    )}" fill="none" stroke="${line}" stroke-width="4"/>`,
  };
}

/** A spool of line, standing. */
export function spool(
  colours: Colourway,
  random: Random,
  { height = 260, width = 190, x = 400, base = 740 } = {},
): Drawing {
  const key = `s${Math.round(x)}`;
  const [flange, line] = [colours.spar, colours.cloth[0]];
  const top = base - height;
  const rows = Array.from({ length: Math.floor((height - 50) / 7) }, (_, i) => {
    const y = top + 32 + i * 7;
    return `<path d="M${x - width + 28} ${y}Q${x} ${y + 26 + random.between(-1.5, 1.5)} ${x + width - 28} ${y}" stroke="${random.pick([darker(line, 0.3), lighter(line, 0.25), darker(line, 0.12)])}" stroke-opacity=".55" stroke-width="3.200" fill="none"/>`;
  }).join("");
  return {
    defs:
      linear(
        `${key}l`,
        [x - width, 0],
        [x + width, 0],
        [
          [0, darker(line, 0.35)],
          [0.28, lighter(line, 0.22)],
          [0.55, line],
          [1, darker(line, 0.45)],
        ],
      ) +
      linear(
        `${key}f`,
        [x - width, 0],
        [x + width, 0],
        [
          [0, darker(flange, 0.1)],
          [0.3, lighter(flange, 0.5)],
          [1, darker(flange, 0.4)],
        ],
      ),
    shapes: `${standing(x + 20, base + 16, width * 1.15, 30)}<ellipse cx="${x}" cy="${base}" rx="${width}" ry="36" fill="url(#${key}f)"/><path d="M${x - width} ${base - 20}v20a${width} 36 0 0 0 ${width * 2} 0v-20z" fill="url(#${key}f)"/><path d="M${x - width + 26} ${top + 20}V${base - 20}a${width - 26} 30 0 0 0 ${(width - 26) * 2} 0V${top + 20}z" fill="url(#${key}l)"/>${rows}<ellipse cx="${x}" cy="${top + 18}" rx="${width}" ry="36" fill="url(#${key}f)"/><ellipse cx="${x}" cy="${top}" rx="${width}" ry="36" fill="${lighter(flange, 0.2)}"/><ellipse cx="${x}" cy="${top}" rx="${width * 0.28}" ry="11" fill="${darker(flange, 0.5)}"/><ellipse cx="${x}" cy="${top}" rx="${width * 0.82}" ry="29" fill="none" stroke="#fff" stroke-opacity=".25" stroke-width="2"/>`,
  };
}

/** A windsock: a tapering tube of hoops that blows to the right. */
export function windsock(colours: Colourway, random: Random, kind: "cone" | "fish" | "turbine"): Drawing {
  const bands = kind === "cone" ? 7 : 9;
  const length = 560;
  let shapes = "";
  let defs = "";
  const radius = (t: number) =>
    kind === "cone"
      ? 118 - 62 * t
      : kind === "fish"
        ? 74 + 62 * Math.sin(Math.min(1, t * 1.25) * Math.PI) - 30 * t
        : 96 * Math.sin((0.12 + 0.88 * (1 - t)) * Math.PI * 0.52);
  const middle = (t: number): Point => [130 + length * t, 470 + Math.sin(t * 4) * 16 + 60 * t * t];
  for (let i = bands - 1; i >= 0; i--) {
    const [a, b] = [i / bands, (i + 1) / bands];
    const steps = 6;
    const upper = Array.from({ length: steps + 1 }, (_, k) => a + ((b - a) * k) / steps);
    const top = upper.map((t): Point => [middle(t)[0], middle(t)[1] - radius(t)]);
    const low = upper.toReversed().map((t): Point => [middle(t)[0], middle(t)[1] + radius(t)]);
    const colour =
      colours.cloth[
        kind === "fish"
          ? i === 0
            ? 3
            : i % 2
              ? 0
              : 1
          : i % (kind === "turbine" ? 4 : 2) === 0
            ? 0
            : kind === "turbine"
              ? i % 4
              : 2
      ]!;
    defs += linear(
      `b${i}`,
      [0, middle(a)[1] - radius(a)],
      [0, middle(a)[1] + radius(a)],
      [
        [0, lighter(colour, 0.3)],
        [0.3, colour],
        [0.75, darker(colour, 0.2)],
        [1, darker(colour, 0.42)],
      ],
    );
    shapes += `<path d="${polygon([...top, ...low])}" fill="url(#b${i})"/><path d="${polyline([top.at(-1)!, low[0]!])}" stroke="${darker(colour, 0.5)}" stroke-opacity=".4" stroke-width="2"/>`;
    if (kind === "fish" && i > 1 && i < 8) {
      for (let k = -2; k <= 2; k++) {
        const c = middle((a + b) / 2);
        const y = c[1] + (k / 2.6) * radius(a);
        shapes += `<path d="M${c[0] - 26} ${y - 17}q52 17 0 34" fill="none" stroke="${k % 2 ? colours.cloth[2] : colours.cloth[3]}" stroke-width="4" opacity=".75"/>`;
      }
    }
  }
  const mouth = middle(0);
  const r0 = radius(0);
  shapes += `<ellipse cx="${mouth[0]}" cy="${mouth[1]}" rx="${r0 * 0.3}" ry="${r0}" fill="${darker(colours.cloth[0], 0.55)}"/><ellipse cx="${mouth[0]}" cy="${mouth[1]}" rx="${r0 * 0.3}" ry="${r0}" fill="none" stroke="#f4efe2" stroke-width="5"/>`;
  if (kind === "fish") {
    const eye = middle(0.09);
    const end = middle(1);
    shapes += `<circle cx="${eye[0] + 10}" cy="${eye[1] - 30}" r="23" fill="#fbf6ea"/><circle cx="${eye[0] + 14}" cy="${eye[1] - 28}" r="12" fill="#1b2226"/>`;
    defs += linear(
      "fin",
      [0, end[1] - 100],
      [0, end[1] + 120],
      [
        [0, lighter(colours.cloth[0], 0.2)],
        [1, darker(colours.cloth[0], 0.3)],
      ],
    );
    shapes += `<path d="M${end[0] - 8} ${end[1] - 40}q70-70 120-84q-34 70-24 124q4 60 30 116q-70-20-126-84z" fill="url(#fin)"/><path d="M${middle(0.4)[0]} ${middle(0.4)[1] - radius(0.4)}q60-74 150-70q-40 34-44 82z" fill="${colours.cloth[3]}"/>`;
  } else {
    for (let k = 0; k < 5; k++) {
      const from: Point = [middle(1)[0] - 4, middle(1)[1] - radius(1) + (radius(1) * 2 * k) / 4];
      shapes += `<g transform="rotate(-74 ${from[0]} ${from[1]})">${tail(from, 110 + random.between(0, 50), 0.1, 13, [colours.cloth[k % 3]!, colours.cloth[2]], random)}</g>`;
    }
  }
  shapes +=
    [-0.8, 0, 0.8]
      .map((k) => `<path d="M${mouth[0]} ${mouth[1] + r0 * k}L44 470" stroke="#2b3438" stroke-width="2.500"/>`)
      .join("") +
    `<circle cx="44" cy="470" r="9" fill="none" stroke="#8d9498" stroke-width="5"/><path d="M44 461V0" stroke="#2b3438" stroke-opacity=".35" stroke-width="3"/>`;
  return { shapes: `<g transform="translate(36 90) rotate(7 44 470) scale(.86)">${shapes}</g>`, defs };
}

/** Tubes of carbon or glass fibre, lying side by side. */
export function tubes(colours: Colourway, count: number, random: Random): Drawing {
  let shapes = "";
  let defs = "";
  for (let i = 0; i < count; i++) {
    const x = 400 + (i - (count - 1) / 2) * 58 + random.between(-5, 5);
    const tip = colours.cloth[i % 4]!;
    defs += linear(
      `t${i}`,
      [x - 15, 0],
      [x + 15, 0],
      [
        [0, "#14181a"],
        [0.3, "#6a7377"],
        [0.5, "#2b3134"],
        [1, "#0c0f10"],
      ],
    );
    const top = 130 + random.between(-16, 16);
    shapes += `<rect x="${x - 13}" y="${top}" width="26" height="730" rx="5" fill="url(#t${i})"/><rect x="${x - 16}" y="${top - 8}" width="32" height="60" rx="8" fill="${tip}"/><rect x="${x - 16}" y="${top - 8}" width="9" height="60" rx="4" fill="#fff" opacity=".3"/><rect x="${x - 13}" y="${top + 400}" width="26" height="46" fill="#f4efe2"/><path d="M${x - 6} ${top + 423}h12" stroke="#14181a" stroke-width="3"/>`;
  }
  return { shapes: `<g transform="rotate(14 400 500)">${shapes}</g>`, defs };
}

/** Small parts laid out in rows: caps, ferrules, swivels, rings. */
export function parts(colours: Colourway, kind: "caps" | "ferrules" | "swivels", random: Random): Drawing {
  let shapes = "";
  const defs = linear(
    "brass",
    [0, 0],
    [0, 1],
    [
      [0, "#f6e3a6"],
      [0.5, "#c79a3a"],
      [1, "#7d5a1a"],
    ],
  ).replace('gradientUnits="userSpaceOnUse"', "");
  for (let row = 0; row < 4; row++) {
    for (let column = 0; column < 4; column++) {
      const [x, y] = [205 + column * 130, 270 + row * 150];
      const turn = random.between(-12, 12);
      const colour = colours.cloth[(row + column) % 4]!;
      const drawn = {
        caps: `<rect x="-22" y="-46" width="44" height="92" rx="20" fill="${colour}"/><rect x="-22" y="6" width="44" height="14" fill="${darker(colour, 0.25)}"/><rect x="-13" y="-36" width="9" height="66" rx="4" fill="#fff" opacity=".35"/><ellipse cy="44" rx="15" ry="7" fill="${darker(colour, 0.6)}"/>`,
        ferrules: `<rect x="-14" y="-58" width="28" height="116" rx="5" fill="url(#brass)" transform="rotate(90)"/><rect x="-58" y="-3" width="116" height="5" fill="#fff" opacity=".35"/>`,
        swivels: `<ellipse cy="-34" rx="17" ry="22" fill="none" stroke="#8b9296" stroke-width="9"/><rect x="-13" y="-16" width="26" height="34" rx="9" fill="url(#brass)"/><ellipse cy="38" rx="17" ry="22" fill="none" stroke="#8b9296" stroke-width="9"/><path d="M-12-44q8-10 16-6" stroke="#fff" stroke-width="3" fill="none" opacity=".7"/>`,
      }[kind];
      shapes += `<g transform="translate(${x} ${y}) rotate(${turn})">${drawn}</g>`;
    }
  }
  return { shapes, defs };
}

/** Rolls of repair tape, stacked and leaning. */
export function tape(colours: Colourway): Drawing {
  let shapes = standing(420, 770, 250, 34);
  let defs = "";
  colours.cloth.forEach((colour, i) => {
    const y = 700 - i * 92;
    const x = 400 + (i % 2 ? 14 : -10);
    defs += linear(
      `r${i}`,
      [x - 190, 0],
      [x + 190, 0],
      [
        [0, darker(colour, 0.3)],
        [0.3, lighter(colour, 0.25)],
        [0.6, colour],
        [1, darker(colour, 0.4)],
      ],
    );
    shapes += `<path d="M${x - 190} ${y}v62a190 58 0 0 0 380 0v-62z" fill="url(#r${i})"/><ellipse cx="${x}" cy="${y}" rx="190" ry="58" fill="${lighter(colour, 0.18)}"/><ellipse cx="${x}" cy="${y}" rx="150" ry="45" fill="none" stroke="${darker(colour, 0.2)}" stroke-opacity=".35" stroke-width="3"/><ellipse cx="${x}" cy="${y + 2}" rx="98" ry="29" fill="#e7dcc3"/><ellipse cx="${x}" cy="${y + 8}" rx="88" ry="24" fill="#6d604b"/>`;
  });
  const flag = colours.cloth[3];
  return { shapes: `${shapes}<path d="M590 440q60 40 56 130q-30-18-54-4q2-70-12-110z" fill="${flag}"/>`, defs };
}

/** A folded piece of cloth, or a stack of them. */
export function cloths(colours: Colourway, count: number): Drawing {
  let shapes = standing(410, 790, 300, 36);
  let defs = "";
  for (let i = 0; i < count; i++) {
    const y = 760 - i * 66;
    const colour = colours.cloth[i % 4]!;
    const x = 130 + (i % 3) * 12;
    defs += linear(
      `c${i}`,
      [0, y - 60],
      [0, y + 10],
      [
        [0, lighter(colour, 0.22)],
        [0.6, colour],
        [1, darker(colour, 0.3)],
      ],
    );
    shapes += `<path d="M${x} ${y}q-26-30 0-58h520q36 26 6 58z" fill="url(#c${i})"/><path d="M${x + 4} ${y - 29}h530" stroke="${darker(colour, 0.4)}" stroke-opacity=".35" stroke-width="3"/><path d="M${x + 14} ${y - 48}h480" stroke="#fff" stroke-opacity=".25" stroke-width="4"/>`;
  }
  return { shapes, defs };
}

/** A box of a kit, open, with rolled cloth, spars and a sheet of instructions. */
export function kitBox(colours: Colourway): Drawing {
  const card = "#cda873";
  return {
    defs:
      linear(
        "front",
        [0, 560],
        [0, 830],
        [
          [0, lighter(card, 0.18)],
          [1, darker(card, 0.22)],
        ],
      ) +
      linear(
        "side",
        [560, 0],
        [690, 0],
        [
          [0, darker(card, 0.2)],
          [1, darker(card, 0.42)],
        ],
      ) +
      colours.cloth
        .map((c, i) =>
          linear(
            `k${i}`,
            [170 + i * 92, 0],
            [262 + i * 92, 0],
            [
              [0, darker(c, 0.25)],
              [0.35, lighter(c, 0.25)],
              [1, darker(c, 0.35)],
            ],
          ),
        )
        .join(""),
    shapes: `${standing(420, 836, 330, 40)}<path d="M120 560l90-80h500l-70 80z" fill="${darker(card, 0.5)}"/>
      ${colours.cloth.map((c, i) => `<g><rect x="${172 + i * 92}" y="${300 + (i % 2) * 34}" width="86" height="330" rx="12" fill="url(#k${i})"/><ellipse cx="${215 + i * 92}" cy="${302 + (i % 2) * 34}" rx="43" ry="15" fill="${lighter(c, 0.2)}"/><ellipse cx="${215 + i * 92}" cy="${302 + (i % 2) * 34}" rx="17" ry="6" fill="${darker(c, 0.45)}"/></g>`).join("")}
      <path d="M560 610L610 210M590 610L650 236" stroke="#22292d" stroke-width="13" stroke-linecap="round"/><path d="M556 606L606 206" stroke="#fff" stroke-opacity=".3" stroke-width="3"/>
      <path d="M640 560l70-80v250l-70 100z" fill="url(#side)"/><path d="M110 560h530v270H110z" fill="url(#front)"/><path d="M110 560h530v8H110z" fill="#fff" opacity=".3"/>
      <rect x="230" y="626" width="290" height="140" rx="6" fill="#fbf6ea"/><path d="M375 640l52 46-52 66-52-66z" fill="${colours.cloth[0]}"/><path d="M375 640v112M323 686h104" stroke="#fbf6ea" stroke-width="4"/><path d="M375 752q-18 8-30 4t-26 6" stroke="${colours.cloth[0]}" stroke-width="4" fill="none"/>`,
  };
}

/** A printed pattern sheet, half unfolded, with a pencil. */
export function patterns(colours: Colourway): Drawing {
  return {
    defs: linear(
      "paper",
      [150, 200],
      [650, 850],
      [
        [0, "#fffdf6"],
        [1, "#e8e0cc"],
      ],
    ),
    shapes: `<g transform="rotate(-6 400 500)"><path d="M130 190h530v640H130z" fill="url(#paper)"/><path d="M395 190v640M130 510h530" stroke="#b9ad92" stroke-opacity=".5" stroke-width="2"/><path d="M395 250L610 520 395 780 180 520z" fill="${lighter(colours.cloth[1], 0.7)}" stroke="${colours.cloth[3]}" stroke-width="5"/><path d="M395 250v530M180 520h430" stroke="${colours.cloth[3]}" stroke-width="3" stroke-dasharray="12 8"/><path d="M395 232L628 520 395 798 162 520z" fill="none" stroke="${colours.cloth[0]}" stroke-width="2" stroke-dasharray="5 6"/><path d="M170 226h120M170 250h80" stroke="#39434a" stroke-width="6" stroke-linecap="round"/><path d="M500 800h120" stroke="#39434a" stroke-width="4"/><path d="M500 792v16M540 794v12M580 794v12M620 792v16" stroke="#39434a" stroke-width="3"/></g><g transform="rotate(38 560 700)"><rect x="380" y="690" width="330" height="26" fill="${colours.cloth[0]}"/><rect x="380" y="690" width="330" height="8" fill="#fff" opacity=".28"/><path d="M710 690l48 13-48 13z" fill="#ead2a8"/><path d="M742 699l16 4-16 4z" fill="#22292d"/><rect x="360" y="690" width="26" height="26" fill="#c8ccd0"/></g>`,
  };
}

/** A needle with thread on a card. */
export function needle(colours: Colourway): Drawing {
  return {
    defs: linear(
      "card",
      [200, 200],
      [600, 800],
      [
        [0, "#fbf6ea"],
        [1, "#e3d8bf"],
      ],
    ),
    shapes: `<g transform="rotate(5 400 500)"><rect x="190" y="170" width="420" height="660" rx="10" fill="url(#card)"/><circle cx="400" cy="222" r="18" fill="#c9bfa6"/>${colours.cloth.map((c, i) => `<g>${Array.from({ length: 9 }, (_, k) => `<path d="M250 ${322 + i * 108 + k * 8}h300" stroke="${k % 2 ? darker(c, 0.12) : lighter(c, 0.12)}" stroke-width="7"/>`).join("")}<rect x="236" y="${312 + i * 108}" width="20" height="88" rx="6" fill="#d9ccb0"/><rect x="544" y="${312 + i * 108}" width="20" height="88" rx="6" fill="#d9ccb0"/></g>`).join("")}<path d="M270 790L560 690" stroke="#7f888c" stroke-width="7" stroke-linecap="round"/><path d="M272 786L556 688" stroke="#fff" stroke-width="2"/><path d="${smooth(
      [
        [552, 694],
        [600, 720],
        [560, 780],
        [610, 850],
        [560, 890],
      ],
    )}" fill="none" stroke="${colours.cloth[0]}" stroke-width="4"/></g>`,
  };
}

/** A stake for the sand, with a loop. */
export function stake(colours: Colourway): Drawing {
  return {
    defs: linear(
      "steel",
      [370, 0],
      [430, 0],
      [
        [0, "#5c666b"],
        [0.3, "#eef1f2"],
        [0.6, "#a5adb1"],
        [1, "#4a5358"],
      ],
    ),
    shapes: `<g transform="rotate(16 400 500)"><path d="M386 250h28v470l-14 90-14-90z" fill="url(#steel)"/>${Array.from({ length: 9 }, (_, i) => `<ellipse cx="400" cy="${420 + i * 38}" rx="${62 - i * 5}" ry="13" fill="none" stroke="url(#steel)" stroke-width="10"/>`).join("")}<rect x="290" y="220" width="220" height="44" rx="22" fill="${colours.cloth[0]}"/><rect x="306" y="228" width="188" height="10" rx="5" fill="#fff" opacity=".35"/><path d="${smooth(
      [
        [400, 270],
        [500, 330],
        [560, 260],
        [620, 360],
        [560, 470],
        [640, 560],
      ],
    )}" fill="none" stroke="${colours.cloth[1]}" stroke-width="11" stroke-linecap="round"/></g>`,
  };
}

/** A tall mast with a long banner. */
export function mast(colours: Colourway): Drawing {
  const banner = (i: number): Point[] => [
    [330 + i * 0, 140 + i * 96],
    [560 - i * 14, 160 + i * 98],
    [548 - i * 14, 256 + i * 96],
    [330, 236 + i * 96],
  ];
  return {
    defs:
      linear(
        "pole",
        [300, 0],
        [330, 0],
        [
          [0, "#2a3236"],
          [0.35, "#dfe3e3"],
          [1, "#39434a"],
        ],
      ) +
      colours.cloth
        .map((c, i) =>
          linear(
            `m${i}`,
            [330, 0],
            [570, 0],
            [
              [0, darker(c, 0.2)],
              [0.25, lighter(c, 0.15)],
              [0.6, c],
              [1, darker(c, 0.22)],
            ],
          ),
        )
        .join(""),
    shapes: `${standing(330, 900, 190, 26)}<path d="M318 900L210 925M318 900l120 30M318 900l-20 40" stroke="#39434a" stroke-width="14" stroke-linecap="round"/><rect x="306" y="80" width="24" height="826" rx="10" fill="url(#pole)"/>${[0, 1, 2, 3, 4, 5].map((i) => `<path d="${polygon(banner(i))}" fill="url(#m${i % 4})"/>`).join("")}<circle cx="318" cy="76" r="18" fill="${colours.cloth[3]}"/>`,
  };
}

/** Streamers on a wand. */
export function streamers(colours: Colourway, random: Random): Drawing {
  const ribbons = colours.cloth
    .map(
      (c, i) =>
        `<g transform="rotate(${-96 + i * 9} 250 360)">${tail([250, 360], 470, 0.16 - i * 0.05, 30, [c, lighter(c, 0.25)], random)}</g>`,
    )
    .join("");
  return {
    ...none,
    defs: linear(
      "wood",
      [0, 0],
      [0, 40],
      [
        [0, "#e5c48d"],
        [1, "#9a713b"],
      ],
    ),
    shapes: `${ribbons}<g transform="rotate(62 250 360)"><rect x="240" y="346" width="470" height="26" rx="13" fill="url(#wood)" transform="translate(0 0)"/><rect x="250" y="351" width="440" height="6" rx="3" fill="#fff" opacity=".35"/></g><circle cx="250" cy="360" r="20" fill="${colours.spar}"/>`,
  };
}
