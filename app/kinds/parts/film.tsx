import type { ReactNode } from "react";

/** The sign of a button that stops what plays, or lets it play. */
export const StopSign = (): ReactNode => (
  <svg viewBox="0 0 24 24" aria-hidden="true">
    <path className="playing" d="M7 5h4v14H7zm6 0h4v14h-4z" />
    <path className="standing" d="M8 5l11 7-11 7z" />
  </svg>
);

/**
 * A film behind everything that stands in a section, over the picture that is seen before it. It has no sound, comes only
 * once it is in sight, where neither data nor motion is to be spared, and can be stopped. Without a script the picture stays.
 */
export const GroundFilm = ({ file }: { file: string }): ReactNode => (
  <zest-film className="ground-film" data-itself="" data-ground="" data-name="the film behind this">
    <video playsInline muted loop preload="none" src={`/media/${file}`} aria-hidden="true" tabIndex={-1} />
    <button type="button" className="film-stop" aria-label="Play: the film behind this">
      <StopSign />
    </button>
  </zest-film>
);
