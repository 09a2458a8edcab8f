import { useState } from "react";
import { Outlet, type ShouldRevalidateFunctionArgs } from "react-router";
import { unpackGoods } from "~/core/goods";
import { codeOrigin } from "~/server/config/index.server";
import { loadDraft } from "~/server/drafts/index.server";
import { packedGoodsOf } from "~/server/goods/index.server";
import { requireShop, shopAddress } from "~/server/http/guard.server";
import { picturesOf } from "~/server/pictures/index.server";
import { publishedDraft } from "~/server/publishing/index.server";
import { namesOf, shopsOf } from "~/server/shops/index.server";
import { createStudioStore, StudioProvider } from "~/studio/keeping";
import { Shell } from "~/studio/shell";
import { createKeyFrames, KeyFramesProvider } from "~/studio/ui";
import type { Route } from "./+types/shop";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { owner, shop } = await requireShop(request, params.shop);
  const [loaded, goods, pictures, published, shops] = await Promise.all([
    loadDraft(shop.id),
    packedGoodsOf(shop),
    picturesOf(shop.id),
    shop.publicationId ? publishedDraft(shop.publicationId) : undefined,
    shopsOf(owner.id),
  ]);
  const names = await namesOf(shops);
  return {
    ...loaded,
    goods,
    pictures,
    published,
    versions: { goods: shop.goodsVersion, pictures: shop.picturesVersion, publication: shop.publicationId },
    now: Date.now(),
    shop: {
      id: shop.id,
      host: shop.host,
      address: shopAddress(shop),
      currency: shop.currency,
      locale: shop.locale,
      timeZone: shop.timeZone,
      moneyFormat: shop.moneyFormat,
      codeOrigin: codeOrigin(),
    },
    shops: shops.map(({ id, host }) => ({ id, host, name: names.get(id) ?? host })),
    owner: owner.name,
    me: owner.id,
  };
}

// All of it is loaded once. The draft in this tab is always newer than what a reload would bring, and what changes of goods and
// pictures is fetched by itself (`reload`).
export const shouldRevalidate = ({ currentParams, nextParams }: ShouldRevalidateFunctionArgs) =>
  currentParams.shop !== nextParams.shop;

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.draft.look.identity.name ?? "Shop"} · Zest Window` },
];

function Studio({ loaderData }: Pick<Route.ComponentProps, "loaderData">) {
  const [store] = useState(() => createStudioStore({ ...loaderData, ...unpackGoods(loaderData.goods) }));
  const [keyFrames] = useState(createKeyFrames);
  return (
    <StudioProvider value={store}>
      <KeyFramesProvider value={keyFrames}>
        <Shell shops={loaderData.shops} owner={loaderData.owner}>
          <Outlet />
        </Shell>
      </KeyFramesProvider>
    </StudioProvider>
  );
}

export default function Shop({ loaderData }: Route.ComponentProps) {
  // Another shop is another state altogether.
  return <Studio key={loaderData.shop.id} loaderData={loaderData} />;
}
