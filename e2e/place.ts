import type { Place } from "./global-setup";

const places = JSON.parse(process.env.E2E_PLACES ?? "[]") as readonly Place[];
// While journeys are only listed there is no place for them yet.
const here = places[Number(process.env.TEST_PARALLEL_INDEX ?? 0)] ?? {
  studio: "",
  shopPort: 0,
  database: "",
  data: "",
};

/** The studio of this worker's own server. */
export const STUDIO = here.studio;
export const SHOP_PORT = here.shopPort;
export const DATABASE = here.database;
export const DATA = here.data;
