import { light } from "../../stock/draw/colour";
import type { Shader, Shape } from "../../stock/draw/frame";
import { plain, SOFT, stage, type Stage, type Thing } from "../../stock/scenes/stage";

/** One picture of a sample shop. */
export type Shot = {
  readonly name: string;
  readonly alt: string;
  readonly shape: Shape;
  /** What must stay in view, as shares of width and height from the top left. */
  readonly focus: readonly [number, number];
  readonly draw: () => Promise<Shader>;
};

/** A picture of goods: upright, on a plain ground that runs up behind them. */
export const packshot = (
  name: string,
  alt: string,
  ground: string,
  things: () => Promise<readonly Thing[]>,
  look: { readonly up?: number; readonly lens?: number; readonly high?: number } = {},
): Shot => ({
  name,
  alt,
  shape: "tall",
  focus: [0.5, 0.56],
  draw: async () =>
    stage({
      things: await things(),
      wall: light(ground),
      table: plain(ground, 0.02),
      back: 2.6,
      bow: 1.5,
      sun: { ...SOFT, light: [1.2, 1.13, 1.02], soft: 0.22 },
      above: light("#b4b8bd"),
      below: light("#a39a8e"),
      eye: [0, look.high ?? 1.6, -6.2],
      at: [0, look.up ?? 0.66, 0],
      lens: look.lens ?? 4.9,
    }),
});

/** A wide picture with everything that a stage has. */
export const scene = (
  name: string,
  alt: string,
  focus: readonly [number, number],
  build: () => Promise<Stage>,
): Shot => ({ name, alt, shape: "wide", focus, draw: async () => stage(await build()) });
