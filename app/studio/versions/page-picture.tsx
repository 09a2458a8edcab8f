import type { Draft } from "~/core/document";
import type { Target } from "~/render";
import { useStudio } from "../keeping";
import { PaneShell, ShopFrame, ShopPage, SillName, useDressing, usePageSheets } from "../panes";

const WIDTHS = { phone: 390, wide: 1280 } as const;
const ROOM = { phone: 0.6, wide: 0.29 } as const;

type PagePictureProps = { name: string; draft: Draft; target: Target; device: keyof typeof WIDTHS };

/** A state of the page, live and only to be looked at. */
export function PagePicture({ name, draft, target, device }: PagePictureProps) {
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const { currency, locale } = useStudio((s) => s.shop);
  const dressing = useDressing(goods, pictures, currency, locale);
  const sheets = usePageSheets(draft, pictures);
  return (
    <PaneShell label={name} sill={<SillName>{name}</SillName>}>
      <ShopFrame title={name} width={WIDTHS[device]} scale={ROOM[device]} height={400} sheets={sheets}>
        <ShopPage draft={draft} target={target} dressing={dressing} />
      </ShopFrame>
    </PaneShell>
  );
}
