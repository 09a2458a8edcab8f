import type { ShouldRevalidateFunctionArgs } from "react-router";
import { requireShop } from "~/server/http/guard.server";
import { usesOf } from "~/server/offer-uses/index.server";
import { OffersArea } from "~/studio/offers";
import type { Route } from "./+types/offers";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return { uses: await usesOf(shop.id) };
}

/** Another offer is chosen by the address: what offers did is not asked for anew, and the choice waits for nothing. */
export const shouldRevalidate = ({ currentUrl, nextUrl, defaultShouldRevalidate }: ShouldRevalidateFunctionArgs) =>
  currentUrl.pathname === nextUrl.pathname && currentUrl.search !== nextUrl.search ? false : defaultShouldRevalidate;

export default function Offers() {
  return <OffersArea />;
}
