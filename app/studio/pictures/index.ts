export { Library } from "./library";
export { PicturePicker } from "./picker";
export { Uploader } from "./uploader";
export { FilmList } from "./film-list";
export { ACCEPTED, uploadFilm } from "./upload";
export { ReworkDialog } from "./rework";
export { useScenes } from "./use-scenes";
export { useDescribe } from "./use-describe";
