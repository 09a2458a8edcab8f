import type { ViewProps } from "../definition";
import { Pic, useEnv, Words } from "../parts";
import type { FilmProps } from "./definition";

/** The name under which a film of the library is served. */
const FILE = /^[0-9a-f]{64}\.(?:mp4|webm)$/;

/**
 * A film with a picture before it. Nothing of it is fetched before somebody asks, or, where it moves by itself, before it is in sight, and
 * then only where neither motion nor data is to be spared. Without a script it has the browser's own controls.
 */
export function View({ props, arrangement }: ViewProps<FilmProps>) {
  const { studio, picture: find } = useEnv();
  const file = props.film !== null && FILE.test(props.film) ? props.film : undefined;
  const before = find(props.picture);
  if (!file) return studio ? <p className="studio-empty">Upload a film, in Details on the left.</p> : null;
  const moves = arrangement === "itself";
  const name = props.about || props.caption || "Film";
  return (
    <>
      <zest-film className="film" data-itself={moves ? "" : undefined}>
        <video controls playsInline loop={moves} preload="none" src={`/media/${file}`} aria-label={name} />
        {before ? (
          <Pic
            picture={props.picture}
            view={props.pictureView}
            at="picture"
            sizes="(min-width:1024px) 60vw, 100vw"
            alt=""
          />
        ) : null}
        {moves ? (
          <button type="button" className="film-stop" aria-label={`Play: ${name}`}>
            <svg viewBox="0 0 24 24" aria-hidden="true">
              <path className="playing" d="M7 5h4v14H7zm6 0h4v14h-4z" />
              <path className="standing" d="M8 5l11 7-11 7z" />
            </svg>
          </button>
        ) : (
          <button type="button" className="film-go" aria-label={`Play: ${name}`}>
            <span>
              <svg viewBox="0 0 24 24" aria-hidden="true">
                <path d="M8 5l11 7-11 7z" />
              </svg>
            </span>
          </button>
        )}
      </zest-film>
      {props.caption ? <Words at="caption" as="figcaption" text={props.caption} hint="Caption" /> : null}
    </>
  );
}
