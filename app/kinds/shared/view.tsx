import { useEnv } from "../parts";

/** Nothing in the shop; whoever works on the page is told. */
export function View() {
  const { studio } = useEnv();
  return studio ? (
    <p className="undrawable">The shared section that stood here is no longer there. Remove this, or undo.</p>
  ) : null;
}
