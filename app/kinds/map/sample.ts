import type { MapDrawing } from "~/core/map";

/** A made-up coast, to show what a map looks like before there is one. */
export const SAMPLE_MAP: MapDrawing = {
  place: "Your place",
  lat: 54.5,
  lon: -0.6,
  reach: "region",
  land: "M0,0l420,0l40,90l70,60l20,110l90,40l-30,80l-70,60l30,110l110,70l60,110l-40,80l-700,0Z",
  borders: "M0,560l140,-50l120,40l150,-20l90,60",
  towns: [
    { name: "Sandhythe", x: 300, y: 180, side: "left", isOuter: false },
    { name: "Oysterby", x: 560, y: 640, side: "left", isOuter: false },
    { name: "Gullness", x: 690, y: 590, side: "right", isOuter: false },
  ],
};
