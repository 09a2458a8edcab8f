import type { ReactNode } from "react";
import { entryOf } from "~/core/document";
import { sourceOf } from "~/core/pictures";
import { NO_LINK } from "~/core/schema";
import type { ViewProps } from "../definition";
import { gridClass, Pic, useEnv, Words } from "../parts";
import type { PicturesProps } from "./definition";
import { unequal } from "./unequal";

type Shot = PicturesProps["pictures"][number] & { readonly index: number };

const SIZES: Readonly<Record<string, string>> = {
  even: "(min-width:600px) 33vw, 50vw",
  unequal: "(min-width:600px) 66vw, 100vw",
  own: "(min-width:600px) 33vw, 50vw",
  swipe: "(min-width:600px) 30vw, 75vw",
  before: "(min-width:1024px) 1200px, 100vw",
};

/** A picture with what is said of it. Whoever presses it comes to where it leads, or sees it large. */
function Shown({ shot, sizes, large, eager }: { shot: Shot; sizes: string; large: boolean; eager: boolean }) {
  const { href, picture: find } = useEnv();
  const found = find(shot.picture);
  const address = href(shot.link);
  const pic = (
    <Pic
      picture={shot.picture}
      view={shot.pictureView}
      at={`pictures.${shot.index}.picture`}
      sizes={sizes}
      eager={eager}
    />
  );
  const caption = (
    <Words
      at={`pictures.${shot.index}.caption`}
      as="figcaption"
      className="shot-words"
      text={shot.caption}
      hint="Caption"
    />
  );
  const name = shot.caption || found?.alt || `picture ${shot.index + 1}`;
  return (
    <figure>
      {address ? (
        <a href={address} aria-label={found?.alt ? undefined : name}>
          {pic}
        </a>
      ) : large && found && !found.vector ? (
        <a className="shot-open" href={sourceOf(found, found.width)} aria-label={`Look closely: ${name}`}>
          {pic}
        </a>
      ) : (
        pic
      )}
      {shot.caption ? caption : null}
    </figure>
  );
}

/** One picture over another, with a slider between them; side by side where there is no script. */
function Compared({ shots, sizes, eager }: { shots: readonly Shot[]; sizes: string; eager: boolean }): ReactNode {
  const [before, after] = shots;
  if (!before || !after) return null;
  return (
    <zest-compare className="compare">
      {[before, after].map((shot) => (
        // The slider lies over both: nobody could press a link below it.
        <Shown key={shot.index} shot={{ ...shot, link: NO_LINK }} sizes={sizes} large={false} eager={eager} />
      ))}
      <input
        className="compare-at"
        type="range"
        min={0}
        max={100}
        defaultValue={50}
        aria-label={`${before.caption || "Before"} and ${after.caption || "after"}: how much of each is seen`}
      />
    </zest-compare>
  );
}

export function View({ props, arrangement, first }: ViewProps<PicturesProps>) {
  const { studio, picture: find } = useEnv();
  const all = props.pictures.map((shot, index) => ({ ...shot, index }));
  // What shows nothing takes no place in the shop.
  const shots = studio ? all : all.filter((shot) => find(shot.picture));
  if (shots.length === 0 && !studio) return null;
  const sizes = entryOf(SIZES, arrangement) ?? SIZES.even!;
  const heading = <Words at="heading" as={first ? "h1" : "h2"} className="head" text={props.heading} hint="Heading" />;
  const eager = (at: number) => first && at < 2;
  if (shots.length === 0)
    return (
      <div className="in">
        {heading}
        <p className="goods-none studio-empty">Choose the pictures to show here, in Details on the left.</p>
      </div>
    );
  if (arrangement === "before" && shots.length > 1)
    return (
      <div className="in">
        {heading}
        <Compared shots={shots} sizes={sizes} eager={first} />
      </div>
    );
  const tiles = arrangement === "unequal" ? unequal(shots.length) : [];
  const even = arrangement === "even" ? ` ${gridClass(shots.length)}` : "";
  const list = (
    <ul className={`shots${even}`} {...(arrangement === "swipe" ? { tabIndex: 0 } : {})}>
      {shots.map((shot, at) => {
        const tile = tiles[at];
        return (
          <li key={shot.index} className={tile ? `shot-${tile.tile}${tile.right ? " shot-right" : ""}` : undefined}>
            <Shown shot={shot} sizes={sizes} large={props.large} eager={eager(at)} />
          </li>
        );
      })}
    </ul>
  );
  return (
    <div className="in">
      {heading}
      {props.large ? <zest-pictures>{list}</zest-pictures> : list}
    </div>
  );
}
