import type { Device } from "~/core/document";

/** Width of the page on each device, as panes show it, in CSS px. */
export const DEVICE_WIDTH: Readonly<Record<Device, number>> = { phone: 390, tablet: 820, wide: 1280 };
/** What is said of all of them: "hidden on phones". */
export const DEVICE_PLURAL: Readonly<Record<Device, string>> = {
  phone: "phones",
  tablet: "tablets",
  wide: "wide screens",
};
export const DEVICE_NAME: Readonly<Record<Device, string>> = { phone: "Phone", tablet: "Tablet", wide: "Wide" };
