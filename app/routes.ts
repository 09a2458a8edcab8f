import { index, route, type RouteConfig } from "@react-router/dev/routes";

export default [
  index("routes/start.tsx"),
  route("sign-in", "routes/sign-in.tsx"),
  route("account", "routes/account.tsx"),
  route("sign-out", "routes/sign-out.tsx"),
  route("shops/new", "routes/new-shop.tsx"),
  route("s/:shop/keep", "routes/keep.ts"),
  route("s/:shop/upload", "routes/upload.ts"),
  route("s/:shop/publish", "routes/publish.ts"),
  route("s/:shop/versions", "routes/versions.ts"),
  route("s/:shop/film", "routes/film.ts"),
  route("s/:shop/goods.csv", "routes/goods-file.ts", { id: "goods-csv" }),
  route("s/:shop/goods.xlsx", "routes/goods-file.ts", { id: "goods-xlsx" }),
  route("s/:shop/goods/change", "routes/goods-change.ts"),
  route("s/:shop/goods/bring-in", "routes/goods-bring-in.ts"),
  route("s/:shop", "routes/shop.tsx", [
    route("pages", "routes/pages.tsx"),
    route("brand", "routes/brand.tsx"),
    route("theme", "routes/theme.tsx"),
    route("goods", "routes/goods.tsx", [
      index("routes/goods-products.tsx"),
      route("import", "routes/import.tsx"),
      route("collections", "routes/goods-collections.tsx"),
      route("reviews", "routes/goods-reviews.tsx"),
      route("sells", "routes/goods-sells.tsx"),
      route("words", "routes/goods-words.tsx"),
      route("p/:product", "routes/goods-product.tsx"),
    ]),
    route("pictures", "routes/pictures.tsx"),
  ]),
] satisfies RouteConfig;
