import { renderToStaticMarkup } from "react-dom/server";
import type { Product } from "~/core/goods";
import { EnvProvider, ProductCard } from "~/kinds/parts";
import { envOf, type ShopContent } from "./shop";

/** Product cards alone, as list items, for a page that asks for them later. */
export const renderCards = (products: readonly Product[], content: ShopContent): string =>
  renderToStaticMarkup(
    <EnvProvider value={envOf(content, content.draft)}>
      {products.map((product) => (
        <li key={product.id}>
          <ProductCard product={product} sizes="(min-width:1024px) 25vw, 50vw" />
        </li>
      ))}
    </EnvProvider>,
  );
