import { stateOf, stateWords } from "~/core/goods";
import { useEnv, useProduct } from "../parts";

export function View() {
  const { goods, locale } = useEnv();
  const found = useProduct();
  if (!found) return null;
  const { product, variant } = found;
  return (
    <p className="state" data-live="state" data-state={stateOf(product, variant)} aria-live="polite">
      {stateWords(product, variant, { day: goods.asOf.day, locale, words: goods.words })}
    </p>
  );
}
