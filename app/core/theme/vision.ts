import { hexOf, linearOf } from "./oklch";
import type { Hex } from "./colour";

/** Ways of seeing colours, as 3 × 3 matrices on linear-light RGB, row by row. */
export type Vision = {
  readonly id: "protanopia" | "deuteranopia" | "tritanopia" | "grey";
  readonly name: string;
  readonly matrix: readonly number[];
};

/**
 * Machado, Oliveira and Fernandes, "A Physiologically-based Model for Simulation of Color Vision Deficiency" (IEEE TVCG
 * 15, 2009), severity 1.0 (values from memory); grey is relative luminance.
 */
export const VISIONS: readonly Vision[] = [
  {
    id: "protanopia",
    name: "No red sense",
    matrix: [0.152286, 1.052583, -0.204868, 0.114503, 0.786281, 0.099216, -0.003882, -0.048116, 1.051998],
  },
  {
    id: "deuteranopia",
    name: "No green sense",
    matrix: [0.367322, 0.860646, -0.227968, 0.280085, 0.672501, 0.047413, -0.01182, 0.04294, 0.968881],
  },
  {
    id: "tritanopia",
    name: "No blue sense",
    matrix: [1.255528, -0.076749, -0.178779, -0.078411, 0.930809, 0.147602, 0.004733, 0.691367, 0.3039],
  },
  { id: "grey", name: "No colour", matrix: [0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722, 0.2126, 0.7152, 0.0722] },
];

/** A colour as somebody with that vision sees it. */
export function seenWith(vision: Vision, hex: Hex): Hex {
  const [r, g, b] = linearOf(hex);
  const m = vision.matrix;
  const row = (i: number) => m[i]! * r + m[i + 1]! * g + m[i + 2]! * b;
  return hexOf([row(0), row(3), row(6)]);
}

/** The values of an SVG `feColorMatrix` that does the same; its filter must work in linear RGB, which is SVG's default. */
export const filterValues = ({ matrix }: Vision): string =>
  [0, 3, 6].map((i) => `${matrix[i]} ${matrix[i + 1]} ${matrix[i + 2]} 0 0`).join(" ") + " 0 0 0 1 0";
