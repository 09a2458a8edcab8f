import { Alert, Box, Button } from "@mui/material";
import { useEffect, useState, type RefObject } from "react";
import { collectionAddress, productAddress } from "~/core/addresses";
import { layoutFor, sameJson } from "~/core/document";
import { collectionsWith, LONGEST_SHARED, type Collection, type GoodsSharing, type Product } from "~/core/goods";
import { changeGoods } from "~/core/protocol";
import { madeFromCollection, madeFromProduct } from "~/render";
import { useReload, useStudio } from "../keeping";
import { hostOf, SharingForm } from "../sharing";

export type SharedGoods =
  { readonly of: "product"; readonly it: Product } | { readonly of: "collection"; readonly it: Collection };

type GoodsSharingProps = {
  goods: SharedGoods;
  /** Keeps what was written, for whoever goes on to another; false where it could not be kept. */
  keepingRef: RefObject<(() => Promise<boolean>) | null>;
};

/** What search engines and shared links say of a product or a collection. It is kept when it is left, and holds at once. */
export function GoodsSharingFields({ goods, keepingRef }: GoodsSharingProps) {
  const client = useStudio((s) => s.client);
  const reload = useReload();
  const identity = useStudio((s) => s.draft.look.identity);
  const shop = useStudio((s) => s.shop);
  const { of, it } = goods;
  const layout = useStudio((s) =>
    of === "product"
      ? layoutFor(s.draft.documents, of, { product: it.id, collections: collectionsWith(s.goods, it) })
      : layoutFor(s.draft.documents, of, { collections: [it.id] }),
  );
  const [search, setSearch] = useState<GoodsSharing>(it.search);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const isDirty = !sameJson({ ...search }, { ...it.search });
  const keep = async (): Promise<boolean> => {
    if (!isDirty) return true;
    setBusy(true);
    setProblem(null);
    const reply = await client.ask(changeGoods, { intent: "share", of, id: it.id, search });
    if (reply.ok) await reload();
    else setProblem(reply.problems[0]?.why ?? reply.why);
    setBusy(false);
    return reply.ok;
  };
  useEffect(() => {
    keepingRef.current = keep;
    return () => {
      keepingRef.current = null;
    };
  });
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      {problem ? <Alert severity="error">{problem}</Alert> : null}
      <SharingForm
        own={search}
        made={of === "product" ? madeFromProduct(it, identity, layout) : madeFromCollection(it, identity, layout)}
        from={of}
        address={hostOf(shop.address) + (of === "product" ? productAddress(it) : collectionAddress(it))}
        longest={LONGEST_SHARED}
        onChange={(change) => setSearch({ ...search, ...change })}
      />
      <Button variant="contained" disabled={!isDirty || busy} onClick={() => void keep()} sx={{ justifySelf: "start" }}>
        {busy ? "Keeping it …" : isDirty ? "Save" : "Saved"}
      </Button>
    </Box>
  );
}
