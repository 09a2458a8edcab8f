import { OffersArea } from "~/studio/offers";

export default function Offers() {
  return <OffersArea />;
}
