import type { ViewProps } from "../definition";
import { collectionAddress } from "~/core/addresses";
import { Pic, useEnv, Words } from "../parts";
import type { CollectionInsideProps } from "./definition";

export function View({ props }: ViewProps<CollectionInsideProps>) {
  const { shown, goods, studio } = useEnv();
  const collection = shown?.page === "collection" ? shown.collection : undefined;
  const inside = goods.collections.filter((c) => c.parent === (collection?.id ?? null));
  // Everything has all collections inside; a collection without any says nothing.
  if (inside.length === 0)
    return studio && collection ? (
      <div className="in">
        <p className="over">No collection stands inside of this one.</p>
      </div>
    ) : null;
  return (
    <div className="in">
      <Words at="heading" as="h2" className="head" text={props.heading} hint="Heading, or none" />
      <ul className="c-tiles">
        {inside.map((c) => (
          <li key={c.id}>
            <a className="c-tile" href={collectionAddress(c)}>
              {c.picture ? <Pic picture={c.picture} sizes="4rem" alt="" /> : null}
              <span>{c.title}</span>
            </a>
          </li>
        ))}
      </ul>
    </div>
  );
}
