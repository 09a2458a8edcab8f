export { addArchive, MOST_ARCHIVE_BYTES } from "./archive";
export * from "./edit";
export { exportTable, importGoods, planImport, type ImportDone, type ImportPlan } from "./import";
export * from "./insights";
export * from "./reviews";
export {
  allGoodsOf,
  goodsMoved,
  goodsOf,
  goodsSteps,
  reviewsOf,
  settingsOf,
  stepGoods,
  type GoodsSteps,
  type StoredCollection,
  type StoredProduct,
} from "./store";
export { MOST_FILE_BYTES, readTableFile, writeTableFile, type TableRead } from "./tables";
