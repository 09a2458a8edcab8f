export * from "./types";
export * from "./availability";
export * from "./barcode";
export * from "./collections";
export { indexOf, productWith } from "./facets";
export { findInGoods, replaceInGoods, type FoundInGoods } from "./finding";
export * from "./import";
export {
  COLUMN_MEANINGS,
  COLUMN_MEANS,
  GOODS_FIELDS,
  type ColumnChoice,
  type ColumnMeaning,
  type GoodsField,
} from "./import-columns";
export * from "./listing";
export { axesOf, goodsOn, productOn } from "./on-day";
export { packGoods, unpackGoods, updateGoods, type GoodsUpdate, type SellersGoods } from "./packing";
export * from "./ranking";
export * from "./requests";
export * from "./reviews";
export * from "./rules";
export * from "./schema";
export * from "./search";
export * from "./values";
export * from "./variants";
