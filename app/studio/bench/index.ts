export { Bench } from "./bench";
export { PageChoice } from "./page-choice";
export { DEVICE_NAME, DEVICE_WIDTH, scalesFor } from "./devices";
export { placeForNew, standings } from "./sections";
