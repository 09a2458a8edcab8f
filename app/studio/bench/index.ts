export { Bench } from "./bench";
export { useBenchFrames, type BenchFrames } from "./frames";
export { PageChoice } from "./page-choice";
export { DEVICE_NAME, DEVICE_WIDTH, scalesFor } from "./devices";
export { placeForNew, standings } from "./sections";
