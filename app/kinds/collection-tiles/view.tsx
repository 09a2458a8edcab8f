import type { ViewProps } from "../definition";
import { collectionAddress } from "~/core/addresses";
import { gridClass, Pic, useEnv, Words } from "../parts";
import type { CollectionTilesProps } from "./definition";

const countWords = (count: number) => (count === 1 ? "1 product" : `${count} products`);

export function View({ props, first }: ViewProps<CollectionTilesProps>) {
  const { goods, studio } = useEnv();
  const used = new Set<string>();
  const tiles = props.tiles.map((tile, index) => {
    const collection = goods.collections.find((c) => c.id === tile.collection);
    const inside = collection ? goods.products.filter((p) => p.collections.includes(collection.id)) : [];
    // A collection without a picture borrows one of its goods, and no two tiles show the same.
    const borrowed = inside.flatMap((p) => p.pictures[0] ?? []).find((id) => !used.has(id));
    const picture = collection?.picture ?? borrowed ?? null;
    if (picture) used.add(picture);
    return {
      collection,
      index,
      words: tile.words,
      count: inside.length,
      picture,
    };
  });
  const shown = studio ? tiles : tiles.filter((t) => t.collection);
  if (shown.length === 0 && !studio) return null;
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      {shown.length ? (
        <ul className={gridClass(shown.length)}>
          {shown.map(({ collection, index, words, count, picture }) => (
            <li key={index}>
              <a
                className="tile"
                href={collection ? collectionAddress(collection) : "#"}
                {...(studio && !collection ? { "data-dead": "" } : {})}
              >
                <Pic picture={picture} sizes="(min-width:600px) 33vw, 50vw" alt="" />
                <span className="tile-name">
                  <Words
                    at={`tiles.${index}.words`}
                    text={words || (collection?.title ?? "")}
                    hint="Choose a collection"
                  />
                  {collection ? <span className="tile-count">{countWords(count)}</span> : null}
                </span>
              </a>
            </li>
          ))}
        </ul>
      ) : (
        <p className="goods-none">Choose the collections to show here, in Details on the left.</p>
      )}
    </div>
  );
}
