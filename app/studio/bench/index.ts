export { benchActions } from "./actions";
export { Bench } from "./bench";
export { useBenchFrames, useEditWords, type BenchFrames, type PaneDevice } from "./frames";
export { PageChoice } from "./page-choice";
export { ShowChoice } from "./show-choice";
export { fitNarrow, fitPanes } from "./devices";
export { pageAtHand, placeForNew, standings } from "./sections";
export { nameIn, nameOfPart, partAt } from "./parts";
