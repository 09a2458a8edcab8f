import type { ReactNode } from "react";
import { productAddress } from "~/core/addresses";
import { canBuy, productWith, stateWords, type Product } from "~/core/goods";
import type { ViewProps } from "../definition";
import { Pic, Price, useEnv, usePartId, Words } from "../parts";
import type { LookPointsProps } from "./definition";

/** What opens at a point: the product, its price, and the way into the cart where there is nothing to choose first. */
function Card({ product }: { product: Product }): ReactNode {
  const { goods, locale } = useEnv();
  const can = canBuy(product);
  return (
    <div className="spot-card">
      <a href={productAddress(product)}>{product.title}</a>
      <Price product={product} variant={undefined} />
      {!can ? (
        <p>{stateWords(product, undefined, { day: goods.asOf.day, locale, words: goods.words })}</p>
      ) : product.variants.length === 0 ? (
        <form method="post" action="/cart/add">
          <input type="hidden" name="product" value={product.id} />
          <input type="hidden" name="count" value={1} />
          <button className="button" type="submit">
            Add to cart
          </button>
        </form>
      ) : (
        <a className="button button-2" href={productAddress(product)}>
          Choose one
        </a>
      )}
    </div>
  );
}

const placeClass = (x: number, y: number) =>
  [x < 28 ? " spot-left" : x > 72 ? " spot-right" : "", y > 55 ? " spot-low" : ""].join("");

export function View({ props, arrangement, first }: ViewProps<LookPointsProps>) {
  const { studio, goods, picture: find } = useEnv();
  const group = usePartId("look");
  const found = find(props.picture);
  const points = props.points
    .map((point, index) => ({
      ...point,
      index,
      goods: point.product === null ? undefined : productWith(goods, point.product),
    }))
    .filter((point) => studio || point.goods);
  if (!studio && !found) return null;
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      <div className="look-in">
        <div className={found && found.height > found.width ? "look is-tall" : "look"}>
          <Pic picture={props.picture} at="picture" sizes="(min-width:1024px) 1200px, 100vw" eager={first} />
          {points.map((point) => (
            <details
              key={point.index}
              className={`spot spot-${point.index + 1}${placeClass(point.x, point.y)}`}
              name={group}
              {...(studio ? { "data-spot-at": `points.${point.index}` } : {})}
            >
              <summary aria-label={point.goods?.title ?? `Point ${point.index + 1}`}>
                <span className="spot-n" aria-hidden="true">
                  {point.index + 1}
                </span>
              </summary>
              {point.goods ? (
                <Card product={point.goods} />
              ) : (
                <p className="spot-card studio-empty">Choose a product.</p>
              )}
            </details>
          ))}
        </div>
        {arrangement === "listed" && points.some((p) => p.goods) ? (
          <ul className="look-goods">
            {points.map((point) =>
              point.goods ? (
                <li key={point.index}>
                  <span className="spot-n" aria-hidden="true">
                    {point.index + 1}
                  </span>
                  <Pic picture={point.goods.pictures[0] ?? null} sizes="5rem" alt="" />
                  <span>
                    <a href={productAddress(point.goods)}>{point.goods.title}</a>
                    <Price product={point.goods} variant={undefined} />
                  </span>
                </li>
              ) : null,
            )}
          </ul>
        ) : null}
      </div>
    </div>
  );
}
