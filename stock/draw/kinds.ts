import type { Shader, Shape } from "./frame";

/** Where words would stand well on a picture: where it is quiet. */
export type Room = "left" | "right" | "head" | "foot" | "middle" | "all";

/** One scene of the stock room. */
export type Scene = {
  readonly name: string;
  readonly shape: Shape;
  /** What it shows, said as the alternative text. */
  readonly alt: string;
  /** The group it is found under. */
  readonly group: string;
  /** Words by which it is found besides. */
  readonly words: readonly string[];
  /** What must stay in view, as shares of width and height from the top left. */
  readonly focus: readonly [number, number];
  readonly room: Room;
  readonly draw: () => Shader;
};
