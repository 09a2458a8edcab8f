import type { ViewProps } from "../definition";
import { CONTENTS } from "../outline-places";
import { useEnv, useNodeId, Words } from "../parts";
import type { ContentsProps } from "./definition";

export function View({ props, arrangement }: ViewProps<ContentsProps>) {
  const { studio, outline, partsOf } = useEnv();
  const at = partsOf(CONTENTS).indexOf(useNodeId());
  const entries = outline().filter((entry) => props.deep || !entry.isDeep);
  if (entries.length === 0)
    return studio ? (
      <p className="studio-empty">The headings of the other sections stand here as soon as there are some.</p>
    ) : null;
  const words = <Words at="heading" as="h2" className="head" text={props.heading} hint="Heading" />;
  const list = (
    <ol className="contents-list">
      {entries.map((entry) => (
        <li key={entry.id} className={entry.isDeep ? "is-deep" : undefined}>
          <a href={`#${entry.id}`}>{entry.title}</a>
        </li>
      ))}
    </ol>
  );
  return (
    <div className="in">
      <nav aria-label={`${props.heading || "On this page"}${at > 0 ? ` ${at + 1}` : ""}`}>
        {arrangement === "folded" ? (
          <details className="contents-fold">
            <summary>{words}</summary>
            {list}
          </details>
        ) : (
          <>
            {words}
            {list}
          </>
        )}
      </nav>
    </div>
  );
}
