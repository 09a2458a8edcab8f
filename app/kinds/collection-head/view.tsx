import type { ViewProps } from "../definition";
import { Crumbs, Pic, useEnv, useTrail } from "../parts";
import type { CollectionHeadProps } from "./definition";

export function View({ props, arrangement }: ViewProps<CollectionHeadProps>) {
  const { shown, goods } = useEnv();
  const crumbs = useTrail();
  const collection = shown?.page === "collection" ? shown.collection : goods.collections[0];
  const words = (
    <div className="c-head">
      <h1 className="head">{collection?.title ?? props.everything}</h1>
      {collection?.description ? <p className="lead">{collection.description}</p> : null}
    </div>
  );
  const trail = props.trail ? (
    <Crumbs crumbs={crumbs.length > 1 ? crumbs : [...crumbs, { name: collection?.title ?? props.everything }]} />
  ) : null;
  const picture = collection?.picture ?? null;
  if (arrangement === "over" && picture)
    return (
      <div className="c-stage">
        <Pic picture={picture} sizes="100vw" eager alt="" />
        <div className="in">
          {trail}
          {words}
        </div>
      </div>
    );
  return (
    <div className="in">
      {trail}
      {arrangement === "beside" && picture ? (
        <div className="c-both">
          {words}
          <Pic picture={picture} sizes="(min-width:800px) 50vw, 100vw" eager alt="" />
        </div>
      ) : (
        words
      )}
    </div>
  );
}
