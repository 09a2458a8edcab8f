export { SharingForm, type SharingValues } from "./fields";
export { hostOf } from "./previews";
export { RESULT_WIDTH, widthInResult } from "./pixels";
