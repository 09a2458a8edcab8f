import { Component, type ReactNode } from "react";
import type { Part } from "~/core/document";
import { nameOf } from "~/kinds";

/** What stands in a pane in place of a part that can't be drawn: what it is, why, and what can be done. */
export function Undrawable({ node, why }: { node: Part; why: string }): ReactNode {
  return (
    <div className="s" data-node={node.id} data-undrawable="">
      <div className="in">
        <p className="undrawable">
          “{nameOf(node)}” can’t be drawn here. {why} It is kept as it is, and the shop leaves it out. Undo what was
          changed last, bring back an earlier version of the page, or remove it.
        </p>
      </div>
    </div>
  );
}

type State = { readonly hasFailed: boolean; readonly node: Part };
type Props = { readonly node: Part; readonly children: ReactNode };

/** In panes: a part that fails while it is drawn takes nothing else with it. It is tried again once it has changed. */
export class Boundary extends Component<Props, State> {
  override state: State = { hasFailed: false, node: this.props.node };

  static getDerivedStateFromError(): Partial<State> {
    return { hasFailed: true };
  }

  static getDerivedStateFromProps({ node }: Props, state: State): State | null {
    return node === state.node ? null : { hasFailed: false, node };
  }

  override render(): ReactNode {
    const { node, children } = this.props;
    if (!this.state.hasFailed) return children;
    return <Undrawable node={node} why="Something went wrong while drawing it." />;
  }
}
