export { Library } from "./library";
export { PicturePicker } from "./picker";
export { Uploader } from "./uploader";
