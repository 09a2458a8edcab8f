export { Library } from "./library";
export { PictureChoice } from "./picture-choice";
export { PicturePicker } from "./picker";
export { Uploader } from "./uploader";
export { FileList } from "./file-list";
export { ACCEPTED, upload } from "./upload";
export { ReworkDialog } from "./rework";
export { useScenes } from "./use-scenes";
export { useDescribe } from "./use-describe";
