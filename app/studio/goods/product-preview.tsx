import { Box } from "@mui/material";
import { memo, useMemo } from "react";
import { type Goods, type Product } from "~/core/goods";
import { useStudio, wornDraft } from "../keeping";
import { paneCss, PaneShell, ShopFrame, ShopPage, SillName, SillScale, useDressing, usePageSheets } from "../panes";
import { useSize } from "../ui";

const PHONE = 390;

/** The product's page as shoppers would see it, on a phone, with what is being written. */
export const Preview = memo(function Preview({ product: written }: { product: Product }) {
  const product = useMemo(() => (written.title ? written : { ...written, title: "New product" }), [written]);
  const draft = useStudio(wornDraft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  const sheets = usePageSheets(draft, pictures);
  const { ref, size } = useSize();
  const withThis = useMemo<Goods>(
    () => ({
      ...goods,
      products: goods.products.some((p) => p.id === product.id)
        ? goods.products.map((p) => (p.id === product.id ? product : p))
        : [...goods.products, product],
    }),
    [goods, product],
  );
  const dressing = useDressing(withThis, pictures, shop);
  const target = useMemo(() => ({ page: "product" as const, product }), [product]);
  const scale = size ? Math.min(1, (size.width - 2) / PHONE) : 0;
  return (
    <Box ref={ref} sx={{ height: "100%", minHeight: 0, overflow: "hidden" }}>
      {size && scale > 0 ? (
        <PaneShell
          label="Phone view of the product"
          sill={
            <>
              <SillName>Phone</SillName>
              <SillScale width={PHONE} scale={scale} />
            </>
          }
        >
          <ShopFrame
            title="The product’s page on a phone"
            width={PHONE}
            scale={scale}
            height={Math.max(200, size.height - 44)}
            sheets={sheets}
            extra={paneCss(scale)}
          >
            <ShopPage draft={draft} target={target} dressing={dressing} />
          </ShopFrame>
        </PaneShell>
      ) : null}
    </Box>
  );
});
