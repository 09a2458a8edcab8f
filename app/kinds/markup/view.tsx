import { toJsxRuntime } from "hast-util-to-jsx-runtime";
import { Fragment, jsx, jsxs } from "react/jsx-runtime";
import { useMemo, type ReactElement } from "react";
import { cleanMarkup } from "~/core/code";
import type { ViewProps } from "../definition";
import { useEnv } from "../parts";
import type { MarkupProps } from "./definition";

/** HTML of a seller as elements of the page: what may not be there is left out, and nothing of it runs. */
export function View({ props: { html } }: ViewProps<MarkupProps>) {
  const { studio } = useEnv();
  const drawn = useMemo(() => {
    const tree = cleanMarkup(html);
    return tree.children.length ? (toJsxRuntime(tree, { Fragment, jsx, jsxs }) as ReactElement) : null;
  }, [html]);
  if (!drawn) return studio ? <p className="studio-empty">Write HTML, in Details on the left.</p> : null;
  return drawn;
}
