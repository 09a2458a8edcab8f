import { DEVICES, type Device } from "../document/types";
import type { Tone } from "./tone";

// How a picture is shown at one place: which part of it, which way round, in which tone. What a place says nothing of is as the
// picture itself has it.

/** Which part of a picture is seen: what must stay in view, in percent, and how much it is enlarged, in percent of just filling its frame. */
export type Crop = {
  readonly focus?: readonly [x: number, y: number] | undefined;
  readonly zoom?: number | undefined;
};

export type PictureView = Crop & {
  readonly mirror?: boolean | undefined;
  /** One of the shop's tones by its id, or one of this place's own. */
  readonly tone?: string | Tone | undefined;
} & { readonly [device in Device]?: Crop | undefined };

export const MOST_ZOOM = 400;

/** The crop that a place has on a device. */
export const cropOn = (view: PictureView | undefined, device: Device): Crop => {
  const { focus, zoom } = view ?? {};
  return { focus, zoom, ...view?.[device] };
};

/** The key beside a picture's own under which its place keeps how it is shown: `picture` → `pictureView`. */
export const viewKey = (key: string): string => `${key}View`;

/** The class under which a page's CSS says how a picture is cropped at a place. `at`: the path of the picture in its part's values. */
export const viewClass = (node: string, at: string): string => `v-${node}-${at.replaceAll(".", "-")}`;

/** Whether a place says anything that its CSS has to. */
export const isPlaced = (view: PictureView | undefined): view is PictureView =>
  view !== undefined &&
  (view.mirror === true || [view, ...DEVICES.map((device) => view[device])].some((c) => c?.focus || c?.zoom));

/**
 * What shows a crop: the frame is filled, and enlarged about the point that must stay in view, which stands as far through the frame as
 * through the picture. A mirrored picture is turned about the middle of its frame.
 */
function declarations({ focus, zoom = 100 }: Crop, mirror: boolean): string {
  const [x, y] = focus ?? [50, 50];
  const large = zoom / 100;
  const transforms = mirror
    ? [...(large > 1 && x !== 50 ? [`translateX(${100 - 2 * x}%)`] : []), `scale(${-large},${large})`]
    : large > 1
      ? [`scale(${large})`]
      : [];
  // Without enlarging, turning about the middle is the same for every point.
  const about = large > 1 ? `${x}% ${y}%` : "50% 50%";
  return [
    ...(focus ? [`object-position:${x}% ${y}%`] : []),
    ...(transforms.length ? [`transform:${transforms.join(" ")}`, `transform-origin:${about}`] : ["transform:none"]),
  ].join(";");
}

/** The rules of a picture at a place; `media`: the query of each device. */
export function viewCss(className: string, view: PictureView, media: Readonly<Record<Device, string>>): string {
  const mirror = view.mirror ?? false;
  const rule = (crop: Crop) => `.${className} img{${declarations(crop, mirror)}}`;
  const own = DEVICES.filter((device) => view[device]?.focus || view[device]?.zoom);
  return rule(view) + own.map((device) => `@media ${media[device]}{${rule(cropOn(view, device))}}`).join("");
}
