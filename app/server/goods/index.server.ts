export { addArchive, MOST_ARCHIVE_BYTES } from "./archive";
export * from "./edit";
export { exportTable, importGoods, planImport, type ImportDone } from "./import";
export * from "./insights";
export * from "./reviews";
export {
  allGoodsOf,
  goodsMoved,
  goodsOf,
  goodsSteps,
  packedGoodsOf,
  reviewsOf,
  settingsOf,
  stepGoods,
  type GoodsSteps,
} from "./store";
export { MOST_FILE_BYTES, readTableFile, writeTableFile, type TableRead } from "./tables";
