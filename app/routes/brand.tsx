import { Bench } from "~/studio/bench";
import { BrandSheet } from "~/studio/brand";

export default function Brand() {
  return <Bench page="home" title="Home" panel={<BrandSheet />} panelLabel="Brand" />;
}
