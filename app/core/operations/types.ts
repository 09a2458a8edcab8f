import type { Audience, PageDocument, Json, Part, Place, StyleValue } from "../document";

/** A value that may be missing; survives JSON, unlike `undefined`. */
export type Held<T> = { readonly is: T } | { readonly absent: true };

export const absent = { absent: true } as const;
/** Wraps a value that may be undefined. */
export const held = <T>(value: T | undefined): Held<T> => (value === undefined ? absent : { is: value });

/** Steps into a JSON value: object keys and array positions. */
export type Path = readonly (string | number)[];

/**
 * A change as data. Each carries what it needs to be inverted without looking at the document, and names the nodes it
 * means by id, so that it can be logged, sent, replayed and rebased.
 */
export type Operation =
  | { readonly type: "insertNode"; readonly document: string; readonly to: Place; readonly node: Part }
  | { readonly type: "removeNode"; readonly document: string; readonly from: Place; readonly node: Part }
  | {
      readonly type: "moveNode";
      readonly document: string;
      readonly node: string;
      readonly from: Place;
      /** The place after the move, counted without the moved node. */
      readonly to: Place;
    }
  | {
      readonly type: "setProp";
      readonly document: string;
      readonly node: string;
      readonly path: Path;
      readonly before: Held<Json>;
      readonly after: Held<Json>;
    }
  | {
      readonly type: "setStyle";
      readonly document: string;
      readonly node: string;
      readonly audience: Audience;
      readonly property: string;
      readonly before: Held<StyleValue>;
      readonly after: Held<StyleValue>;
    }
  | {
      readonly type: "setShown";
      readonly document: string;
      readonly node: string;
      readonly before: boolean;
      readonly after: boolean;
    }
  /** What has to hold for a part to show. */
  | {
      readonly type: "setConditions";
      readonly document: string;
      readonly node: string;
      readonly before: readonly Json[];
      readonly after: readonly Json[];
    }
  | { readonly type: "addDocument"; readonly added: PageDocument }
  | { readonly type: "removeDocument"; readonly added: PageDocument }
  | { readonly type: "setTitle"; readonly document: string; readonly before: string; readonly after: string }
  | { readonly type: "setLook"; readonly path: Path; readonly before: Held<Json>; readonly after: Held<Json> };

export type ApplyFailure = {
  readonly ok: false;
  /** `gone`: what it speaks of is not there. `changed-meanwhile`: it is there, but is not what the operation expects. */
  readonly code: "gone" | "changed-meanwhile" | "duplicate-id" | "bad-place";
  readonly at: string;
};
