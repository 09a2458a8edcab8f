import type { ReactNode } from "react";
import { focusClass, sourceOf, srcSetOf, type Picture } from "~/core/pictures";
import { useEnv } from "./env";

type PicProps = {
  picture: string | null;
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
export function Pic({ picture, sizes, className = "", eager = false, at, alt }: PicProps): ReactNode {
  const { picture: find, studio } = useEnv();
  const found = find(picture);
  const studioMark = studio && at ? { "data-picture-at": at } : {};
  if (!found) {
    return (
      <div className={`pic pic-none ${className}`.trim()} {...studioMark}>
        {studio && at ? <span className="studio-hint">Choose a picture</span> : null}
      </div>
    );
  }
  return (
    <div className={`pic ${className}`.trim()} {...studioMark}>
      <img
        className={focusClass(found)}
        src={sourceOf(found)}
        srcSet={srcSetOf(found)}
        sizes={found.vector ? undefined : sizes}
        width={found.width}
        height={found.height}
        alt={alt ?? found.alt}
        loading={eager ? undefined : "lazy"}
        fetchPriority={eager ? "high" : undefined}
        decoding={eager ? undefined : "async"}
      />
    </div>
  );
}

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
