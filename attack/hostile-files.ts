import { ARCHIVES, SLOW_ARCHIVES } from "./hostile-archives";
import { DRAWINGS } from "./hostile-drawings";
import { PICTURES } from "./hostile-pictures";
import { SLOW_TABLES, TABLES } from "./hostile-tables";

// Files that mean harm, made when they are asked for; none is stored. Each is what somebody could upload: a picture, a goods file
// or an archive of pictures.

export type HostileFile = {
  readonly name: string;
  readonly as: "picture" | "table" | "archive";
  readonly make: () => Buffer;
  /** It takes many seconds, most of them until the reader's time or memory is over. */
  readonly slow?: true;
};

/** Every hostile file there is, by what it would be uploaded as. */
export const HOSTILE_FILES: readonly HostileFile[] = [
  ...DRAWINGS.map(([name, make]) => ({ name, as: "picture" as const, make })),
  ...PICTURES.map(([name, make]) => ({ name, as: "picture" as const, make })),
  ...ARCHIVES.map(([name, make]) => ({ name, as: "archive" as const, make })),
  ...TABLES.map(([name, make]) => ({ name, as: "table" as const, make })),
  ...SLOW_ARCHIVES.map(([name, make]) => ({ name, as: "archive" as const, make, slow: true as const })),
  ...SLOW_TABLES.map(([name, make]) => ({ name, as: "table" as const, make, slow: true as const })),
];
