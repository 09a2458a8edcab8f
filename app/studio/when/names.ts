import { useMemo } from "react";
import { siteOf } from "~/core/addresses";
import type { Names } from "~/core/conditions";
import { productWith } from "~/core/goods";
import { formatMoney } from "~/core/money";
import { countryName } from "~/core/selling";
import { useStudio } from "../keeping";

/** What this shop calls what conditions name. */
export function useNames(): Names {
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const { currency, moneyFormat } = useStudio((s) => s.shop);
  return useMemo(() => {
    const called = (title: string | undefined, gone: string) => (title === undefined ? gone : `“${title}”`);
    return {
      page: (id) => called(siteOf(documents).byId.get(id)?.document.title, "a page that is gone"),
      product: (id) => called(productWith(goods, id)?.title, "a product that is gone"),
      collection: (id) => called(goods.collections.find((c) => c.id === id)?.title, "a collection that is gone"),
      country: countryName,
      money: (amount) => formatMoney(amount, currency, moneyFormat),
    };
  }, [documents, goods, currency, moneyFormat]);
}
