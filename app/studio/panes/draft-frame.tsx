import type { Device, Draft } from "~/core/document";
import type { KindEnv } from "~/kinds/parts";
import type { Target } from "~/render";
import { useStudio } from "../keeping";
import { DEVICE_WIDTH } from "./devices";
import { useDrawnWith } from "./drawn-with";
import { ShopFrame } from "./shop-frame";
import { ShopPage, useDressing, usePageSheets } from "./shop-page";

type DraftFrameProps = {
  title: string;
  /** Any state of the shop: an earlier one, one that is proposed, the one at hand. */
  draft: Draft;
  target: Target;
  device: Device;
  scale: number;
  height: number;
  extra?: string;
  inert?: boolean;
  studio?: KindEnv["studio"];
  onDocument?: (frame: Document | null) => void;
};

/** A page of a state of the shop, with the goods and pictures of today, to be looked at or measured. */
export function DraftFrame({ draft, target, device, studio, ...frame }: DraftFrameProps) {
  const { goods, pictures } = useDrawnWith();
  const shop = useStudio((s) => s.shop);
  const dressing = useDressing(goods, pictures, shop);
  const sheets = usePageSheets(draft, pictures);
  return (
    <ShopFrame width={DEVICE_WIDTH[device]} sheets={sheets} {...frame}>
      <ShopPage draft={draft} target={target} dressing={dressing} {...(studio ? { studio } : {})} />
    </ShopFrame>
  );
}
