import type { ViewProps } from "../definition";
import { Pic, useEnv, Words } from "../parts";
import type { SplitTilesProps } from "./definition";

export function View({ props, first }: ViewProps<SplitTilesProps>) {
  const { studio, href, titleOf, pictureOf, picture: find } = useEnv();
  const tiles = props.tiles
    .map((tile, index) => ({
      ...tile,
      index,
      // What says nothing itself shows what it leads to.
      shown: tile.picture ?? pictureOf(tile.link) ?? null,
      name: tile.heading || (titleOf(tile.link) ?? ""),
    }))
    .filter((tile) => studio || tile.name || find(tile.shown));
  if (tiles.length === 0 && !studio) return null;
  return (
    <div className="in">
      <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />
      {tiles.length ? (
        <ul className={`splits splits-${tiles.length}`}>
          {tiles.map((tile) => {
            const address = href(tile.link);
            const at = `tiles.${tile.index}`;
            const inside = (
              <>
                <Pic
                  picture={tile.shown}
                  view={tile.pictureView}
                  at={`${at}.picture`}
                  sizes="(min-width:600px) 50vw, 100vw"
                  eager={first && tile.index < 2}
                  {...(tile.name ? { alt: "" } : {})}
                />
                {studio || tile.name || tile.text ? (
                  <span className="split-words">
                    <Words at={`${at}.heading`} className="split-head" text={tile.name} hint="Heading" />
                    {tile.text ? <Words at={`${at}.text`} className="split-text" text={tile.text} hint="Text" /> : null}
                    {tile.more && (address || studio) ? (
                      <Words at={`${at}.more`} className="split-more" text={tile.more} hint="Words of the link" />
                    ) : null}
                  </span>
                ) : null}
              </>
            );
            return (
              <li key={tile.index}>
                {address || studio ? (
                  <a className="split" href={address ?? "#"} {...(studio && !address ? { "data-dead": "" } : {})}>
                    {inside}
                  </a>
                ) : (
                  <div className="split">{inside}</div>
                )}
              </li>
            );
          })}
        </ul>
      ) : (
        <p className="goods-none studio-empty">Add the first tile, in Details on the left.</p>
      )}
    </div>
  );
}
