import { sourceOf } from "~/core/pictures";
import { badgeOf } from "~/core/goods";
import type { ViewProps } from "../definition";
import { Pic, Thumb, useEnv, usePartId, useProduct } from "../parts";
import type { GalleryProps } from "./definition";

const SIZES = "(min-width:800px) 55vw, 100vw";

type Shot = { readonly picture: string | null } | { readonly film: string };

export function View({ props, arrangement }: ViewProps<GalleryProps>) {
  const { picture: find, shown, card, goods, locale, costs } = useEnv();
  const id = usePartId("shot");
  const found = useProduct();
  if (!found) return null;
  const { product, variant } = found;
  // Whoever asked for a variant sees it first.
  const asked = shown?.page === "product" && shown.variant ? variant?.picture : null;
  const inUse = product.variants.flatMap((v) =>
    v.picture && !product.pictures.includes(v.picture) ? [v.picture] : [],
  );
  const order = [...new Set([...(asked ? [asked] : []), ...product.pictures, ...inUse])].filter((each) => find(each));
  const shots: Shot[] = order.map((picture) => ({ picture }));
  if (product.video) shots.splice(Math.min(product.video.after, shots.length), 0, { film: product.video.file });
  if (shots.length === 0) shots.push({ picture: null });
  const badge = card.badge
    ? badgeOf(product, { day: goods.asOf.day, locale, words: goods.words }, costs.of(product))
    : undefined;
  const name = (i: number) => `${product.title}, ${i + 1} of ${shots.length}`;
  return (
    <zest-gallery className="gallery" data-zoom={props.zoom ? "" : undefined}>
      <div className="stage" tabIndex={0} role="group" aria-label={`Pictures of ${product.title}`}>
        {shots.map((shot, i) => {
          if ("film" in shot)
            return (
              <div className="shot" id={`${id}-${i + 1}`} key={shot.film}>
                <video
                  controls
                  playsInline
                  preload="none"
                  src={`/media/${shot.film}`}
                  aria-label={product.video?.alt || `Film of ${product.title}`}
                />
              </div>
            );
          const picture = find(shot.picture);
          const pic = (
            <Pic
              picture={shot.picture}
              sizes={arrangement === "grid" && i ? "(min-width:800px) 28vw, 86vw" : SIZES}
              eager={i === 0}
              {...(picture && picture.alt === "" ? { alt: name(i) } : {})}
            />
          );
          return (
            <div className="shot" id={`${id}-${i + 1}`} key={shot.picture} data-picture={shot.picture ?? undefined}>
              {props.zoom && picture ? (
                <a
                  className="shot-open"
                  href={sourceOf(picture, picture.width)}
                  aria-label={`Look closely: ${name(i)}`}
                >
                  {pic}
                </a>
              ) : (
                pic
              )}
            </div>
          );
        })}
      </div>
      {shots.length > 1 ? (
        <ul className="thumbs">
          {shots.map((shot, i) => {
            const picture = "film" in shot ? undefined : find(shot.picture);
            return (
              <li key={i}>
                <a href={`#${id}-${i + 1}`} aria-label={name(i)} {...(i === 0 ? { "aria-current": "true" } : {})}>
                  {picture ? <Thumb picture={picture} /> : <span className="thumb-film">Film</span>}
                </a>
              </li>
            );
          })}
        </ul>
      ) : null}
      {badge ? <span className={`badge badge-${badge.look} shot-badge`}>{badge.words}</span> : null}
    </zest-gallery>
  );
}
