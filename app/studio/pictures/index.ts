export { Library } from "./library";
export { PicturePicker } from "./picker";
export { Uploader } from "./uploader";
export { ACCEPTED } from "./upload";
export { useScenes } from "./use-scenes";
export { useDescribe } from "./use-describe";
