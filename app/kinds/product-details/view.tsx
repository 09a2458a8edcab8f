import type { ReactNode } from "react";
import { factWords } from "~/core/goods";
import type { ViewProps } from "../definition";
import { RichText, useEnv, useProduct, Words } from "../parts";
import type { ProductDetailsProps } from "./definition";

type Panel = { readonly at: string; readonly head: string; readonly body: ReactNode };

/** Parts as tabs: one below the other until the shop's script makes tabs of them (WAI-ARIA Authoring Practices, tabs). */
function Tabs({ parts }: { parts: readonly Panel[] }) {
  const { studio, still } = useEnv();
  if (studio || still)
    // Panes run no script of the shop: the first tab is shown as it stands there.
    return (
      <div className="is-tabs">
        <div className="tabs">
          {parts.map((p, i) => (
            <span key={p.at} className="tab" role="presentation" aria-selected={i === 0}>
              <Words at={p.at} text={p.head} hint="Head" />
            </span>
          ))}
        </div>
        {parts[0]?.body}
      </div>
    );
  return (
    <zest-tabs className="parts">
      {parts.map((p) => (
        <section key={p.at} className="part-tab">
          <h2 className="head">{p.head}</h2>
          {p.body}
        </section>
      ))}
    </zest-tabs>
  );
}

export function View({ props, arrangement }: ViewProps<ProductDetailsProps>) {
  const { studio } = useEnv();
  const found = useProduct();
  if (!found) return null;
  const { product } = found;
  const facts = [
    ...Object.entries(product.attributes).map(([name, value]) => factWords(name, value)),
    ...product.specification,
  ];
  const list: (Panel | null)[] = [
    props.description && product.description !== ""
      ? { at: "description", head: props.description, body: <RichText text={product.description} place="about" /> }
      : null,
    props.facts && facts.length
      ? {
          at: "facts",
          head: props.facts,
          body: (
            <dl className="facts">
              {facts.map(({ name, value }, i) => (
                <div key={i}>
                  <dt>{name}</dt>
                  <dd>{value}</dd>
                </div>
              ))}
            </dl>
          ),
        }
      : null,
    ...props.more.map((part, i) => ({
      at: `more.${i}.head`,
      head: part.head,
      body: <Words at={`more.${i}.text`} as="p" className="lead" text={part.text} hint="Text" />,
    })),
  ];
  const parts = list.filter((p) => p !== null).filter((p) => studio || p.head);
  if (parts.length === 0) return null;
  if (arrangement === "tabs" && parts.length > 1) return <Tabs parts={parts} />;
  if (arrangement === "folded")
    return (
      <div className="parts">
        {parts.map((p, i) => (
          <details key={p.at} className="part" open={i === 0 || undefined}>
            <summary className="part-head">
              <Words at={p.at} text={p.head} hint="Head" />
            </summary>
            <div className="part-body">{p.body}</div>
          </details>
        ))}
      </div>
    );
  return parts.map((p) => (
    <section key={p.at} className="part-open">
      <Words at={p.at} as="h2" className="head" text={p.head} hint="Head" />
      {p.body}
    </section>
  ));
}
