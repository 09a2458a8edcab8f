export { GoodsArea } from "./area";
export { BringIn } from "./bring-in";
export { CollectionsPage } from "./collections-page";
export { ProductPage } from "./product-page";
export { ProductsTable } from "./products-table";
export { ReviewsPage } from "./reviews-page";
export { WhatSells } from "./what-sells";
export { WordsPage } from "./words-page";
