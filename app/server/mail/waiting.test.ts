import { expect, it } from "vitest";
import { readCsv } from "~/core/formats";
import { tellWhenThere } from "../carts/index.server";
import { AlertRow } from "../database/index.server";
import { letters } from "../fixtures/letters";
import { ownerWithShop } from "../fixtures/owner";
import { changeProducts, goodsOf, importGoods } from "../goods/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { freshShop } from "../shops/index.server";
import { letterContent } from "../storefront/index.server";
import { answerWaiting } from "./index.server";

it("tells whoever asked once something can be had, one letter each, and keeps no address", async () => {
  const { shop } = await ownerWithShop();
  await importGoods(shop, readCsv("SKU,Title,Price,Stock\nA,Apple,1.00,0\nB,Bread,2.00,0\n"));
  await publish(shop.id, (await pendingChanges(shop.id)).seq);
  const goods = await goodsOf(await freshShop(shop));
  const [apple, bread] = goods.products;
  const to = (name: string) => `${name}-${shop.id}@quill.example`;
  for (const [product, address] of [
    [apple!, to("ada")],
    [apple!, to("bo")],
    [bread!, to("ada")],
  ] as const)
    await tellWhenThere(shop.id, goods, { product: product.id, variant: "", address });
  const told = async () =>
    (await letters())
      .filter((letter) => letter.to?.[0]?.address?.includes(shop.id))
      .map(({ to: [at] = [], subject }) => [at?.address, subject]);
  await answerWaiting(letterContent);
  expect(await told()).toEqual([]);
  await changeProducts(await freshShop(shop), { ids: [apple!.id], set: { stock: 3 } });
  // Two processes at once send it once.
  await Promise.all([answerWaiting(letterContent), answerWaiting(letterContent)]);
  expect((await told()).map(([address]) => address).toSorted()).toEqual([to("ada"), to("bo")]);
  expect((await told())[0]![1]).toMatch(/^Apple can be had at /);
  expect((await AlertRow.findAll({ where: { shopId: shop.id } })).map(({ productId }) => productId)).toEqual([
    bread!.id,
  ]);
});
