import { setProp } from "~/core/commands";
import type { Json, Part } from "~/core/document";
import { readAt, type Path } from "~/core/operations";
import { viewKey, type PictureView } from "~/core/pictures";
import type { Field } from "~/kinds";
import { useStudioStore } from "../keeping";

/** What the control of a value works with: the part, what its kind says of the value, and where in the part it stands. */
export type FieldProps = { node: Part; field: Field; path: Path };

/** Where in a part it is kept how a picture is shown, and what is said there. */
export const viewPath = (path: Path): Path => [...path.slice(0, -1), viewKey(String(path.at(-1)))];
export const viewAt = (node: Part, path: Path): PictureView | undefined =>
  readAt(node.props, viewPath(path)) as PictureView | undefined;

/** Sets a value of a part; gives the reason when it may not be like that, for the control to say it where it was given. */
export function useSet(node: Part, path: Path, label: string): (value: Json) => string | undefined {
  const store = useStudioStore();
  return (value) => store.getState().run(setProp(store.getState().draft, node.id, path, value, label));
}

/** The same for a control that has no place of its own for the reason. */
export function useSetOrSay(node: Part, path: Path, label: string): (value: Json) => void {
  const store = useStudioStore();
  const set = useSet(node, path, label);
  return (value) => {
    const why = set(value);
    if (why) store.getState().say(why, "problem");
  };
}
