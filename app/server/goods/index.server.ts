export { addArchive, MOST_ARCHIVE_BYTES } from "./archive";
export * from "./edit";
export { exportTable, importGoods, planImport, type ImportDone } from "./import";
export * from "./insights";
export * from "./reviews";
export { goodsSteps, stepGoods, type GoodsSteps } from "./change";
export {
  allGoodsOf,
  goodsAsStored,
  goodsMoved,
  goodsOf,
  goodsSince,
  ordersMoved,
  packedGoodsOf,
  reviewsOf,
  settingsOf,
  situationNow,
  stockMoved,
} from "./known";
export { MOST_FILE_BYTES, readTableFile, writeTableFile, type TableRead } from "./tables";
