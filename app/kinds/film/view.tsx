import type { ReactNode } from "react";
import type { ViewProps } from "../definition";
import { isFilm, outsideFilm, Pic, StopSign, useEnv, Words, type OutsideFilm } from "../parts";
import type { FilmProps } from "./definition";

const GoSign = () => (
  <span>
    <svg viewBox="0 0 24 24" aria-hidden="true">
      <path d="M8 5l11 7-11 7z" />
    </svg>
  </span>
);

/**
 * A film with a picture before it. Nothing of it is fetched before somebody asks, or, where it moves by itself, before it is in sight, and
 * then only where neither motion nor data is to be spared. Without a script it has the browser's own controls.
 */
export function View({ props, arrangement }: ViewProps<FilmProps>) {
  const { studio, picture: find } = useEnv();
  const outside = isFilm(props.film) ? undefined : outsideFilm(props.address);
  const moves = arrangement === "itself" && !outside;
  const name = props.about || props.caption || "Film";
  const before = find(props.picture) ? (
    <Pic picture={props.picture} view={props.pictureView} at="picture" sizes="(min-width:1024px) 60vw, 100vw" alt="" />
  ) : null;
  if (!isFilm(props.film) && !outside)
    return studio ? (
      <>
        {before ? <div className="film">{before}</div> : null}
        <p className="studio-empty">Choose a film, in Details on the left.</p>
      </>
    ) : null;
  return (
    <>
      {outside ? (
        <Outside film={outside} name={name}>
          {before}
        </Outside>
      ) : (
        <zest-film className="film" data-itself={moves ? "" : undefined} data-name={name}>
          <video controls playsInline loop={moves} preload="none" src={`/media/${props.film}`} aria-label={name} />
          {before}
          {moves ? (
            <button type="button" className="film-stop" aria-label={`Play: ${name}`}>
              <StopSign />
            </button>
          ) : (
            <button type="button" className="film-go" aria-label={`Play: ${name}`}>
              <GoSign />
            </button>
          )}
        </zest-film>
      )}
      {props.caption ? <Words at="caption" as="figcaption" text={props.caption} hint="Caption" /> : null}
    </>
  );
}

/**
 * A film of somebody else's. Whose it is stands there before anything of it is loaded, and pressing it is the consent;
 * without a script it is a link.
 */
const Outside = ({ film, name, children }: { film: OutsideFilm; name: string; children: ReactNode }) => (
  <zest-film className="film" data-name={name} data-from={film.isFile ? "file" : "page"}>
    {children}
    <a
      className="film-go"
      href={film.address}
      target="_blank"
      rel="noopener noreferrer"
      aria-label={`Play from ${film.host}: ${name}`}
    >
      <GoSign />
    </a>
    <p className="film-from">It plays from {film.host}, which then learns that you are here.</p>
  </zest-film>
);
