export { SharingForm, type SharingValues } from "./fields";
export { hostOf, ResultPreview } from "./previews";
export { RESULT_WIDTH, widthInResult } from "./pixels";
