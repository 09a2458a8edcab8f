import type { MapDrawing, Place, Point, Reach } from "~/core/map";
import type { Cut } from "~/core/theme";
import type { TableRead } from "./table";

/** A picture made ready to be kept: upright, no larger than anything needs, without what a camera noted. */
export type PreparedPicture = {
  readonly bytes: Uint8Array;
  readonly width: number;
  readonly height: number;
  readonly vector: boolean;
  /** The colour of its shadows, as `#rrggbb`; null for a drawing, and where nothing is to be seen. */
  readonly shade: string | null;
  /** The colours that it mostly has, as `#rrggbb`, the commonest first. */
  readonly colours: readonly string[];
};
export type PictureRead =
  /** `note`: what of it could not be kept, for whoever uploaded it. */
  | { readonly ok: true; readonly picture: PreparedPicture; readonly note?: string }
  | { readonly ok: false; readonly why: string };

/** A picture of an archive, read; `file` is its path in there. */
export type ArchiveEntry = { readonly file: string; readonly at: number; readonly of: number } & PictureRead;
export type ArchiveRead =
  | { readonly ok: true; readonly problems: readonly { readonly file: string; readonly why: string }[] }
  | { readonly ok: false; readonly why: string };

/** What is asked of a reader, what it answers, and what it says on the way. */
export type Jobs = {
  readonly picture: {
    readonly ask: { readonly bytes: Uint8Array };
    readonly answer: PictureRead;
    readonly step: never;
  };
  readonly table: { readonly ask: { readonly bytes: Uint8Array }; readonly answer: TableRead; readonly step: never };
  /** A logo as a square PNG. */
  readonly icon: {
    readonly ask: { readonly bytes: Uint8Array; readonly size: number };
    readonly answer: Uint8Array;
    readonly step: never;
  };
  /** What is to be known of a picture that was made ready before. */
  readonly measure: {
    readonly ask: { readonly bytes: Uint8Array };
    readonly answer: Pick<PreparedPicture, "width" | "height" | "shade" | "colours">;
    readonly step: never;
  };
  /** A map of where a point is. It is nobody's file, but it takes long enough to stop all others. */
  readonly map: {
    readonly ask: {
      readonly point: Point;
      readonly reach: Reach;
      readonly place: string;
      readonly places: readonly Place[];
    };
    readonly answer: MapDrawing;
    readonly step: never;
  };
  /** A font with only the weights and the width of a cut, as WOFF2. */
  readonly font: {
    readonly ask: { readonly bytes: Uint8Array; readonly cut: Pick<Cut, "weights" | "stretch"> };
    readonly answer: Uint8Array;
    readonly step: never;
  };
  /** The pictures of a ZIP archive that lies at `path`. */
  readonly archive: {
    readonly ask: { readonly path: string };
    readonly answer: ArchiveRead;
    readonly step: ArchiveEntry;
  };
};
export type JobName = keyof Jobs;

/** From the application to a reader. */
export type ToReader =
  | { readonly type: "read"; readonly job: JobName; readonly ask: Jobs[JobName]["ask"] }
  /** What a step said has been taken; the reader may go on. */
  | { readonly type: "go" };

/** From a reader to the application. */
export type FromReader =
  | { readonly type: "step"; readonly step: ArchiveEntry }
  | { readonly type: "done"; readonly answer: Jobs[JobName]["answer"] }
  | { readonly type: "failed"; readonly message: string };
