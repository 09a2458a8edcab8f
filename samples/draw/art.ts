// Plants and fruit as they are printed on packets and labels: few colours, clear edges. All stand around 0, 0, about 400 high.

const r = (n: number) => n.toFixed(1);
const around = (count: number, draw: (turn: number, i: number) => string): string =>
  Array.from({ length: count }, (_, i) => draw((i * 360) / count, i)).join("");
const at = (x: number, y: number, inner: string, turn = 0, scale = 1): string =>
  `<g transform="translate(${r(x)} ${r(y)}) rotate(${r(turn)}) scale(${scale})">${inner}</g>`;

/** A leaf or a petal from its foot upwards. `belly`: where it is widest, from the foot (0) to the tip (1). */
export const leaf = (long: number, wide: number, fill: string, vein = "", belly = 0.45): string =>
  `<path d="M0 0C${r(wide)} ${r(-long * belly * 0.6)} ${r(wide * 0.8)} ${r(-long * (belly + 0.3))} 0 ${r(-long)}C${r(-wide * 0.8)} ${r(-long * (belly + 0.3))} ${r(-wide)} ${r(-long * belly * 0.6)} 0 0Z" fill="${fill}"/>${
    vein
      ? `<path d="M0 0V${r(-long * 0.86)}${[0.2, 0.36, 0.52, 0.66].map((t) => `M0 ${r(-long * t)}L${r(wide * 0.42)} ${r(-long * (t + 0.13))}M0 ${r(-long * t)}L${r(-wide * 0.42)} ${r(-long * (t + 0.13))}`).join("")}" stroke="${vein}" stroke-width="3" fill="none" stroke-linecap="round"/>`
      : ""
  }`;
const stem = (path: string, colour: string, wide = 7): string =>
  `<path d="${path}" stroke="${colour}" stroke-width="${wide}" fill="none" stroke-linecap="round"/>`;
const dot = (x: number, y: number, radius: number, fill: string): string =>
  `<circle cx="${r(x)}" cy="${r(y)}" r="${r(radius)}" fill="${fill}"/>`;

const GREEN = "#2f5b3c";
const PALE = "#7d9f55";

const calyx = (size: number): string => around(5, (t) => at(0, 0, leaf(size, size * 0.22, GREEN), t + 18));
const ripe = (radius: number, fill: string, shade: string): string =>
  `${dot(0, 0, radius, shade)}<path d="M${-radius} 0A${radius} ${radius} 0 0 1 ${radius} 0A${radius * 1.04} ${radius * 0.9} 0 0 1 ${-radius} 0Z" fill="${fill}" transform="rotate(-32)"/><ellipse cx="${-radius * 0.36}" cy="${-radius * 0.42}" rx="${radius * 0.16}" ry="${radius * 0.09}" fill="#fff6e6" transform="rotate(-38 ${-radius * 0.36} ${-radius * 0.42})"/>`;

export const tomato = (): string =>
  stem("M-30 -200C10 -150 -20 -80 20 -20S40 90 10 150", GREEN, 9) +
  at(-40, -130, leaf(150, 62, GREEN, PALE), -70) +
  at(20, -60, leaf(130, 55, PALE, GREEN), 64) +
  [
    [-72, 20, 82],
    [86, 66, 88],
    [-26, 160, 92],
  ]
    .map(([x, y, size]) => at(x!, y!, ripe(size!, "#d9432f", "#b52d22") + at(0, -size! * 0.82, calyx(58))))
    .join("");

export const sunflower = (): string => {
  const ring = (count: number, long: number, wide: number, fill: string, off: number) =>
    around(count, (t) => at(0, 0, at(0, -62, leaf(long, wide, fill, "", 0.5)), t + off));
  const seeds = Array.from({ length: 110 }, (_, i) => {
    const far = 7 * Math.sqrt(i);
    const turn = i * 2.39996;
    return dot(far * Math.cos(turn), far * Math.sin(turn), 2.6, i % 3 ? "#6d3f1c" : "#c2822f");
  }).join("");
  return (
    stem("M0 -20C8 80 -10 150 6 250", GREEN, 12) +
    at(2, 150, leaf(150, 66, GREEN, PALE), 62) +
    at(0, 190, leaf(140, 60, PALE, GREEN), -64) +
    at(0, -60, ring(18, 104, 28, "#e09a1c", 10) + ring(18, 96, 30, "#f4bd37", 0) + dot(0, 0, 78, "#432512") + seeds)
  );
};

export const carrot = (): string =>
  [
    [-88, 12, "#e0762a", "#b9551a"],
    [88, -12, "#e98a35", "#c2601f"],
    [0, 0, "#ee7f26", "#c75e18"],
  ]
    .map(([x, turn, fill, line]) => {
      const top = Array.from({ length: 7 }, (_, i) => {
        const way = (i - 3) * 11;
        const sprig = Array.from({ length: 7 }, (_, k) => {
          const y = -40 - k * 20;
          return `M0 ${y}l${16 - k} -14M0 ${y}l${k - 16} -14`;
        }).join("");
        return at(0, 0, stem(`M0 0V-176${sprig}`, i % 2 ? GREEN : PALE, 4.5), way);
      }).join("");
      const rings = [30, 70, 104, 150, 186]
        .map((y, i) => `M${(i % 2 ? -1 : 1) * (46 - y / 6)} ${y}h${(i % 2 ? 1 : -1) * (24 - y / 14)}`)
        .join("");
      return at(
        Number(x),
        -16,
        `${top}<path d="M-54 10C-58 -18 58 -18 54 10C52 90 22 190 0 262C-22 190 -52 90 -54 10Z" fill="${fill}"/>${stem(rings, String(line), 4)}`,
        Number(turn),
      );
    })
    .join("");

export const pea = (): string => {
  const pod = (open: boolean) =>
    `<path d="M-190 0C-110 -74 110 -74 190 0C110 74 -110 74 -190 0Z" fill="${open ? "#55893f" : PALE}"/>${
      open
        ? `<path d="M-170 0C-100 -46 100 -46 170 0C100 50 -100 50 -170 0Z" fill="#b9d07c"/>${[-112, -58, 0, 58, 112].map((x, i) => dot(x, 2, [25, 31, 33, 31, 25][i]!, "#7fb04a") + dot(x - 8, -8, 7, "#cfe39a")).join("")}`
        : stem("M-180 0C-80 -16 80 -16 180 0", GREEN, 4)
    }`;
  return (
    stem("M-120 -210C-40 -190 60 -170 40 -110S-60 -60 -20 -10", GREEN, 7) +
    stem("M40 -130C120 -150 150 -90 110 -76S80 -110 112 -116", GREEN, 5) +
    at(-20, -160, leaf(120, 58, GREEN, PALE), -64) +
    at(60, -150, leaf(110, 54, PALE, GREEN), 58) +
    at(-8, 30, pod(true), -16) +
    at(14, 150, pod(false), -8, 0.92)
  );
};

export const nasturtium = (): string => {
  const round = (size: number, fill: string, line: string) =>
    dot(0, 0, size, fill) +
    stem(
      around(8, (t) => `M0 0L${r(Math.cos(t / 57.3) * size * 0.86)} ${r(Math.sin(t / 57.3) * size * 0.86)}`),
      line,
      3,
    );
  const flower = (fill: string, deep: string) =>
    around(5, (t) => at(0, 0, leaf(84, 62, fill, "", 0.62) + at(0, -14, leaf(40, 12, deep)), t)) +
    dot(0, 0, 13, "#f7d25c");
  return (
    stem("M-110 220C-90 120 -60 60 -70 -30M10 240C10 140 30 60 60 -80M110 230C100 160 120 110 100 60", GREEN, 7) +
    at(-106, 110, round(86, PALE, GREEN)) +
    at(104, 130, round(94, GREEN, PALE)) +
    at(6, 190, round(70, "#94b06a", GREEN)) +
    at(-74, -50, flower("#e8622a", "#a52f18")) +
    at(66, -112, flower("#f09a2c", "#c4481d")) +
    at(96, 40, flower("#d84527", "#8c2114"), 0, 0.8)
  );
};

export const beetroot = (): string =>
  [-34, -10, 16, 40].map((t, i) => at(i * 12 - 18, -6, leaf(214, 62, i % 2 ? GREEN : PALE, "#a32450"), t)).join("") +
  `<path d="M-112 70C-116 -40 116 -40 112 70C108 150 40 178 0 262C-40 178 -108 150 -112 70Z" fill="#7c1d42"/>` +
  `<ellipse cx="0" cy="70" rx="92" ry="76" fill="#9c2a56"/>` +
  [74, 54, 34, 14]
    .map(
      (size) =>
        `<ellipse cx="0" cy="70" rx="${size}" ry="${size * 0.82}" fill="none" stroke="#d987a6" stroke-width="7"/>`,
    )
    .join("");

export const chilli = (): string =>
  [
    [-96, -30, 14, "#d8342a"],
    [0, 0, 2, "#c0271f"],
    [98, -40, -12, "#e2502c"],
  ]
    .map(([x, y, turn, fill]) =>
      at(
        Number(x),
        Number(y),
        `<path d="M-44 -70C-58 40 -40 150 36 226C20 130 48 20 44 -70C30 -92 -30 -92 -44 -70Z" fill="${fill}"/><path d="M-24 -50C-32 20 -26 80 -8 132" stroke="#f8b9a0" stroke-width="9" fill="none" stroke-linecap="round"/><path d="M-52 -66C-30 -104 30 -104 52 -66C30 -80 -30 -80 -52 -66Z" fill="${GREEN}"/>${stem("M0 -88C0 -130 16 -150 34 -166", GREEN, 10)}`,
        Number(turn),
      ),
    )
    .join("");

export const cornflower = (): string => {
  const flower = (fill: string, deep: string) =>
    around(11, (t) =>
      at(0, 0, `<path d="M0 0L-24 -76L-9 -66L0 -86L9 -66L24 -76Z" fill="${fill}" transform="translate(0 -14)"/>`, t),
    ) + around(9, (t) => at(0, 0, leaf(40, 9, deep), t + 20));
  return (
    stem("M-84 240C-70 120 -100 60 -80 -60M6 250C16 120 -6 40 14 -130M96 240C80 160 110 110 92 10", GREEN, 6) +
    [
      [-82, 120, -42],
      [8, 150, 36],
      [94, 160, 48],
      [-76, 60, 40],
      [10, 60, -38],
    ]
      .map(([x, y, t]) => at(x!, y!, leaf(96, 14, PALE), t))
      .join("") +
    at(-82, -80, flower("#4f7fd0", "#26418f")) +
    at(14, -150, flower("#3c66bd", "#1f3479")) +
    at(94, -6, flower("#6e97dd", "#2d4da0"), 0, 0.86)
  );
};

export const lettuce = (): string => {
  const frill = (size: number, fill: string, lobes: number, off: number) => {
    const edge = Array.from({ length: lobes * 8 }, (_, i) => {
      const t = (i / (lobes * 8)) * Math.PI * 2 + off;
      const far = size * (1 + 0.09 * Math.sin(t * lobes) + 0.035 * Math.sin(t * lobes * 2.7 + 1));
      return `${r(Math.cos(t) * far)} ${r(Math.sin(t) * far * 0.94)}`;
    });
    return `<path d="M${edge.join("L")}Z" fill="${fill}"/>`;
  };
  const rings: readonly (readonly [number, string, number])[] = [
    [206, "#4c7a3a", 11],
    [176, "#6d9a48", 10],
    [142, "#8eb559", 9],
    [108, "#abcb72", 8],
    [74, "#c9de93", 7],
    [40, "#e3eeb9", 6],
  ];
  return (
    rings.map(([size, fill, lobes], i) => frill(size, fill, lobes, i * 0.7)).join("") +
    around(14, (t) => at(0, 0, stem("M0 -26V-150", "#eef4cf", 3), t + 6))
  );
};

export const poppy = (): string => {
  const petals = (fill: string, deep: string) =>
    [0, 90, 180, 270].map((t) => at(0, 0, leaf(132, 118, t % 180 ? fill : deep, "", 0.6), t + 20)).join("") +
    dot(0, 0, 34, "#23301f") +
    around(16, (t) => at(0, 0, dot(0, -48, 5, "#1c1a1c") + stem("M0 -30V-46", "#1c1a1c", 2.5), t)) +
    around(8, (t) => at(0, 0, stem("M0 -4V-22", "#9fb078", 4), t));
  return (
    stem("M-20 10C-10 90 -40 160 -10 250M96 -60C150 40 80 140 60 250", GREEN, 7) +
    `<path d="M96 -60C60 -110 78 -190 112 -190S150 -100 96 -60Z" fill="${GREEN}" transform="rotate(150 96 -60)"/>` +
    at(-14, 190, leaf(120, 40, PALE, GREEN), -52) +
    at(66, 200, leaf(110, 38, GREEN, PALE), 56) +
    at(-30, -50, petals("#d8402c", "#c02f22"))
  );
};

export const basil = (): string =>
  stem("M0 250C6 120 -6 20 0 -150", GREEN, 8) +
  [
    [210, 170],
    [120, 160],
    [30, 140],
    [-60, 110],
    [-130, 70],
  ]
    .map(
      ([y, long], i) =>
        at(0, y!, leaf(long!, long! * 0.46, i % 2 ? PALE : GREEN, i % 2 ? GREEN : PALE), 66) +
        at(0, y!, leaf(long!, long! * 0.46, i % 2 ? GREEN : PALE, i % 2 ? PALE : GREEN), -66),
    )
    .join("") +
  at(0, -140, leaf(70, 30, "#a9c07a", GREEN));

/** A fruit cut in two or whole, small, for a label. */
export const FRUIT = {
  apricot: () =>
    at(-46, 6, ripe(74, "#ef9a3d", "#d97a26")) +
    at(62, 24, `${dot(0, 0, 70, "#f6b765")}${dot(0, 0, 58, "#f9cf8d")}<ellipse rx="24" ry="32" fill="#8a4f27"/>`) +
    at(-46, -66, leaf(84, 30, GREEN, PALE), 58),
  plum: () =>
    at(-50, 10, ripe(76, "#5d3568", "#432350")) +
    at(58, 28, ripe(68, "#70407a", "#4d2a5a")) +
    at(-48, -64, leaf(86, 30, GREEN, PALE), 52),
  quince: () =>
    `<path d="M-4 -84C40 -88 44 -44 78 -10C112 40 70 100 0 100S-112 40 -82 -10C-50 -46 -48 -80 -4 -84Z" fill="#e3b93c"/><path d="M-40 -40C-70 0 -76 40 -54 70" stroke="#f4dc86" stroke-width="13" fill="none" stroke-linecap="round"/>${stem("M0 -84V-112", "#5b4428", 9)}${at(6, -96, leaf(96, 36, GREEN, PALE), 66)}`,
  strawberry: () =>
    `<path d="M0 -60C70 -84 104 -26 82 24C62 76 22 104 0 112C-22 104 -62 76 -82 24C-104 -26 -70 -84 0 -60Z" fill="#cf3038"/>${[
      [-44, -10],
      [0, -20],
      [44, -10],
      [-26, 24],
      [24, 24],
      [0, 60],
    ]
      .map(([x, y]) => `<ellipse cx="${x}" cy="${y}" rx="5" ry="8" fill="#f7d98b"/>`)
      .join("")}${at(0, -60, calyx(62))}`,
  orange: () =>
    dot(0, 10, 96, "#e37a1b") +
    dot(0, 10, 84, "#fbe3b5") +
    around(9, (t) => at(0, 10, at(0, -10, leaf(66, 24, "#f0952f", "", 0.7)), t)),
  currant: () =>
    stem("M0 -110C10 -50 -10 20 4 90", GREEN, 6) +
    [
      [-34, -50],
      [34, -34],
      [-40, 8],
      [30, 26],
      [-26, 62],
      [20, 84],
    ]
      .map(([x, y]) => at(x!, y!, ripe(32, "#3b2440", "#25142b")))
      .join("") +
    at(4, -104, leaf(96, 46, PALE, GREEN), 62),
  pear: () =>
    `<path d="M0 -108C32 -108 32 -56 50 -18C82 34 60 104 0 104S-82 34 -50 -18C-32 -56 -32 -108 0 -108Z" fill="#b7b23f"/><path d="M-26 -30C-50 10 -52 44 -36 68" stroke="#e0dc85" stroke-width="12" fill="none" stroke-linecap="round"/>${stem("M0 -106C2 -124 8 -130 16 -138", "#5b4428", 8)}${at(4, -112, leaf(86, 30, GREEN, PALE), 64)}`,
  green: () =>
    at(-48, 16, ripe(72, "#8aa545", "#6b8733") + at(0, -60, calyx(48))) +
    at(60, 30, ripe(64, "#a3b85a", "#7d963f") + at(0, -54, calyx(42))),
  rhubarb: () =>
    [-40, 0, 40]
      .map((x, i) =>
        at(
          x,
          110,
          `<path d="M-17 0C-15 -80 -13 -130 -8 -190H8C13 -130 15 -80 17 0Z" fill="${i === 1 ? "#d0506a" : "#b83a56"}"/>${stem("M-5 -10V-170M6 -10V-170", "#eaa0ae", 3)}`,
          (i - 1) * 10,
        ),
      )
      .join(""),
  hive: () =>
    [0, 1, 2, 3, 4]
      .map(
        (i) =>
          `<rect x="${-[46, 74, 90, 90, 78][i]!}" y="${-90 + i * 38}" width="${[46, 74, 90, 90, 78][i]! * 2}" height="34" rx="17" fill="${i % 2 ? "#e0a32a" : "#efbd4d"}"/>`,
      )
      .join("") + `<ellipse cx="0" cy="66" rx="22" ry="18" fill="#5a3a14"/>`,
} as const;
