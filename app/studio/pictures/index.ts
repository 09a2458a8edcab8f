export { Library } from "./library";
export { PicturePicker } from "./picker";
export { Uploader } from "./uploader";
export { FileList } from "./file-list";
export { ACCEPTED } from "./upload";
export { ReworkDialog } from "./rework";
export { useScenes } from "./use-scenes";
export { useDescribe } from "./use-describe";
