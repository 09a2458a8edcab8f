import type { ReactNode } from "react";
import {
  filterValues,
  focusClass,
  isPlaced,
  sourceOf,
  srcSetOf,
  toneCode,
  viewClass,
  type Picture,
  type PictureView,
} from "~/core/pictures";
import { useEnv, useNodeId } from "./env";

type PicProps = {
  picture: string | null;
  /** How it is shown at this place, where the place says anything of that. */
  view?: PictureView | undefined;
  /** CSS `sizes`: how wide it stands on each device. */
  sizes: string;
  className?: string;
  /** Above the fold: fetched at once and first. */
  eager?: boolean;
  /** Path of the picture in the section's props, so that the studio can offer to choose one. */
  at?: string;
  /** Replaces the picture's own description; empty where the words beside it say the same. */
  alt?: string;
};

/** A picture at the right size, cropped around its focal point; a quiet pattern where there is none. */
export function Pic({ picture, view, sizes, className = "", eager = false, at, alt }: PicProps): ReactNode {
  const { picture: find, studio, tone: toneOf, servesTones } = useEnv();
  const node = useNodeId();
  const found = find(picture);
  const studioMark = studio && at ? { "data-picture-at": at } : {};
  if (!found) {
    return (
      <div className={`pic pic-none ${className}`.trim()} {...studioMark}>
        {studio && at ? <span className="studio-hint">Choose a picture</span> : null}
      </div>
    );
  }
  // A drawing is served as it is.
  const tone = found.vector ? undefined : toneOf(view?.tone);
  const code = tone ? toneCode(tone.matrix) : "";
  const served = servesTones ? code : "";
  const filter = code && !servesTones ? `tone-${code}` : undefined;
  const classes = [
    "pic",
    at && isPlaced(view) ? viewClass(node, at) : "",
    grainClass(tone?.grain ?? 0),
    blurClass(tone?.blur ?? 0),
    className,
  ];
  return (
    <div className={classes.filter(Boolean).join(" ")} {...studioMark}>
      {filter && tone ? (
        <svg className="pic-tone" width="0" height="0" aria-hidden="true">
          <filter id={filter} colorInterpolationFilters="sRGB">
            <feColorMatrix type="matrix" values={filterValues(tone.matrix)} />
          </filter>
        </svg>
      ) : null}
      <img
        className={focusClass(found)}
        src={sourceOf(found, 640, served)}
        srcSet={srcSetOf(found, served)}
        sizes={found.vector ? undefined : sizes}
        width={found.width}
        height={found.height}
        alt={alt ?? found.alt}
        loading={eager ? undefined : "lazy"}
        fetchPriority={eager ? "high" : undefined}
        decoding={eager ? undefined : "async"}
        {...(filter ? { style: { filter: `url(#${filter})` } } : {})}
      />
    </div>
  );
}

/** Grain lies over a picture in four strengths. */
const grainClass = (grain: number): string => (grain > 0 ? `grain grain-${Math.min(4, Math.ceil(grain / 25))}` : "");

/** A picture is out of focus in four strengths. */
const blurClass = (blur: number): string => (blur > 0 ? `blurs blur-${Math.min(4, Math.ceil(blur / 25))}` : "");

/** A picture as small as a thumbnail; described in words where nothing beside it says what it shows. */
export function Thumb({ picture, alt = "" }: { picture: Picture; alt?: string }): ReactNode {
  return (
    <span className="pic">
      <img
        className={focusClass(picture)}
        src={sourceOf(picture, 160)}
        width={picture.width}
        height={picture.height}
        alt={alt}
        loading="lazy"
        decoding="async"
      />
    </span>
  );
}
