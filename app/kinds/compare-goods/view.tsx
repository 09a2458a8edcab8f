import { productAddress } from "~/core/addresses";
import { chosenProducts, productWith } from "~/core/goods";
import { listedCosts } from "~/core/offers";
import type { ViewProps } from "../definition";
import { Pic, Price, Rating, SectionHead, useEnv, Words } from "../parts";
import type { CompareGoodsProps } from "./definition";
import { comparedFacts } from "./facts";

export function View({ props, first }: ViewProps<CompareGoodsProps>) {
  const { goods, studio, card, costs, picture: find } = useEnv();
  const picked = props.products.flatMap((id) => productWith(goods, id) ?? []);
  const products = picked.length
    ? picked.slice(0, props.most)
    : chosenProducts(goods, props.collection, props.most, listedCosts(costs));
  if (products.length < 2 && !studio) return null;
  const facts = comparedFacts(products, props.attributes, props.differs);
  const isRated = card.rating && products.some((p) => p.rating);
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {products.length < 2 ? (
        <p className="studio-empty">Two products or more are compared here. Pick them in Details, on the left.</p>
      ) : (
        <div
          className={`contest contest-${products.length}`}
          role="group"
          aria-label={props.heading || "Goods compared"}
          tabIndex={0}
        >
          <table>
            <thead>
              <tr>
                <td />
                {products.map((p) => (
                  <th key={p.id} scope="col">
                    <Pic
                      picture={p.pictures.find((id) => find(id)) ?? null}
                      sizes="(min-width:700px) 20vw, 9rem"
                      alt=""
                    />
                    <span className="contest-title">
                      <a href={productAddress(p)}>{p.title}</a>
                    </span>
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              <tr>
                <th scope="row">Price</th>
                {products.map((p) => (
                  <td key={p.id}>
                    <Price product={p} />
                  </td>
                ))}
              </tr>
              {isRated ? (
                <tr>
                  <th scope="row">Stars</th>
                  {products.map((p) => (
                    <td key={p.id}>
                      {p.rating ? (
                        <Rating value={p.rating.average} count={p.rating.count} />
                      ) : (
                        <span className="contest-none">None yet</span>
                      )}
                    </td>
                  ))}
                </tr>
              ) : null}
              {facts.map((fact) => (
                <tr key={fact.name}>
                  <th scope="row">{fact.name}</th>
                  {fact.values.map((value, i) => (
                    <td key={i}>
                      {value ?? (
                        <span className="contest-none">
                          <span aria-hidden="true">–</span>
                          <span className="unseen">Not said</span>
                        </span>
                      )}
                    </td>
                  ))}
                </tr>
              ))}
            </tbody>
            {props.button ? (
              <tfoot>
                <tr>
                  <td />
                  {products.map((p, i) => (
                    <td key={p.id}>
                      <a className="button button-2" href={productAddress(p)}>
                        {i === 0 ? <Words at="button" text={props.button} hint="Button" /> : props.button}
                        <span className="unseen">: {p.title}</span>
                      </a>
                    </td>
                  ))}
                </tr>
              </tfoot>
            ) : null}
          </table>
        </div>
      )}
    </div>
  );
}
