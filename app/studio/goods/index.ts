export { GoodsList } from "./goods-list";
export { ImportGoods, type ImportAnswer } from "./import-goods";
