import { expect, it } from "vitest";
import { ownerWithShop } from "../fixtures/owner";
import { tabName } from "~/core/keeping";
import { leave, meet } from "./index.server";

it("tabs of one shop see each other for as long as they are heard of, and nobody else's", async () => {
  const { shop } = await ownerWithShop();
  const { shop: other } = await ownerWithShop();
  const tab = (name: string) => `${name}-${shop.id}`;
  const at = (seconds: number) => new Date(Date.UTC(2026, 10, 25, 3, 0, seconds));
  expect(await meet(shop.id, "Ines", { tab: tab("a"), place: "home" }, at(0))).toEqual([]);
  expect(await meet(shop.id, "Tam", { tab: tab("b"), place: "about" }, at(1))).toEqual([
    { who: "Ines", place: "home", tab: tab("a") },
  ]);
  expect(await meet(other.id, "Eve", { tab: `x-${other.id}`, place: "home" }, at(2))).toEqual([]);
  expect(await meet(shop.id, "Ines", { tab: tab("a"), place: "home" }, at(5))).toEqual([
    { who: "Tam", place: "about", tab: tab("b") },
  ]);
  // Not heard of for a while: gone. Or it said goodbye.
  expect(await meet(shop.id, "Ines", { tab: tab("a"), place: "home" }, at(30))).toEqual([]);
  await meet(shop.id, "Tam", { tab: tab("b"), place: "home" }, at(31));
  await leave(shop.id, tab("b"));
  expect(await meet(shop.id, "Ines", { tab: tab("a"), place: "home" }, at(32))).toEqual([]);
  expect(tabName.safeParse("<script>").success).toBe(false);
});
