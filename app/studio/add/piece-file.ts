import { z } from "zod";
import type { PageDocument, Part } from "~/core/document";
import { nodeSchema } from "~/core/schema";

/** A piece as a file, so that it can be taken to another shop. Published in docs/formats. */
export const pieceFile = z.object({
  zestWindow: z.literal("piece"),
  version: z.literal(1),
  name: z.string().trim().min(1).max(60),
  sections: z.array(nodeSchema).min(1).max(60),
});

/** The largest file that is read, in bytes. */
const LARGEST = 4_000_000;

export const writePiece = (piece: PageDocument): string =>
  JSON.stringify(
    { zestWindow: "piece", version: 1, name: piece.title, sections: piece.root.slots.main ?? [] },
    null,
    1,
  );

export type ReadPiece =
  | { readonly ok: true; readonly name: string; readonly sections: readonly Part[] }
  | { readonly ok: false; readonly why: string };

/** Reads a piece from the text of a file. */
export function readPiece(text: string): ReadPiece {
  if (text.length > LARGEST) return { ok: false, why: "This file is larger than any piece." };
  let given: unknown;
  try {
    given = JSON.parse(text);
  } catch {
    return { ok: false, why: "This is not a file with a piece in it." };
  }
  const parsed = pieceFile.safeParse(given);
  if (parsed.success) return { ok: true, name: parsed.data.name, sections: parsed.data.sections };
  const isPiece = typeof given === "object" && given !== null && "zestWindow" in given;
  return {
    ok: false,
    why: isPiece
      ? "This piece was made with another version, or is damaged."
      : "This is not a file with a piece in it.",
  };
}
