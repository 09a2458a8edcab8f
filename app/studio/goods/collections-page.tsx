import { Box, Button, IconButton, Typography } from "@mui/material";
import { GripVertical, Plus } from "lucide-react";
import { useMemo } from "react";
import { Link, useSearchParams } from "react-router";
import { makeCollection, sizeOf, type StoredCollection } from "~/core/goods";
import { useStudio } from "../keeping";
import { Blank, INK, ON_LEMON } from "../ui";
import { useChange, useGoods, useSay } from "./data";
import { Sorting, useSortable } from "./sorting";
import { CollectionForm } from "./collection-form";

type Node = { readonly collection: StoredCollection; readonly depth: number };

/** Collections with those inside of them below, in their order. */
function asTree(collections: readonly StoredCollection[]): readonly Node[] {
  const below = (parent: string | null, depth: number): Node[] =>
    collections
      .filter((c) => c.parent === parent)
      .flatMap((c) => [{ collection: c, depth }, ...(depth < 8 ? below(c.id, depth + 1) : [])]);
  return below(null, 0);
}

function Entry({
  node,
  index,
  isOpen,
  count,
  onOpen,
}: {
  node: Node;
  index: number;
  isOpen: boolean;
  count: number;
  onOpen: () => void;
}) {
  const { collection, depth } = node;
  const { ref, handleRef, isDragging } = useSortable({ id: collection.id, index });
  return (
    <Box
      ref={ref}
      role="listitem"
      sx={{ display: "flex", alignItems: "center", opacity: isDragging ? 0.55 : 1, pl: depth * 2.5 }}
    >
      <IconButton
        ref={handleRef}
        size="small"
        aria-label={`Move ${collection.title}`}
        sx={{ cursor: "grab", borderRadius: 1 }}
      >
        <GripVertical size={15} aria-hidden />
      </IconButton>
      <Button
        onClick={onOpen}
        aria-current={isOpen || undefined}
        sx={{
          flex: 1,
          justifyContent: "space-between",
          textAlign: "left",
          px: 1,
          gap: 1,
          fontWeight: isOpen ? 700 : 500,
          ...(isOpen ? ON_LEMON : {}),
          "&:hover": { bgcolor: isOpen ? INK.lemon : undefined },
        }}
      >
        <span>{collection.title}</span>
        <Typography component="span" variant="caption" sx={{ whiteSpace: "nowrap" }}>
          {collection.rules ? "rules · " : ""}
          {count}
        </Typography>
      </Button>
    </Box>
  );
}

/** Collections, one inside of another, and what is in them. */
export function CollectionsPage() {
  const { collections } = useGoods();
  const goods = useStudio((s) => s.goods);
  const shop = useStudio((s) => s.shop.id);
  const [search, setSearch] = useSearchParams();
  const { send } = useChange();
  const say = useSay();
  const open = search.get("open");
  const tree = asTree(collections);
  const chosen = open === "new" ? undefined : (collections.find((c) => c.id === open) ?? tree[0]?.collection);
  const fresh = useMemo(() => makeCollection({ id: "new", title: "", slug: "" }), []);
  const show = (id: string | null) => setSearch(id ? { open: id } : {}, { replace: true });
  const order = tree.map((n) => n.collection.id);
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", md: "300px minmax(0,1fr)" }, minHeight: 0 }}
    >
      <Box
        component="aside"
        aria-label="Collections"
        sx={{ borderRight: `1px solid ${INK.line}`, bgcolor: INK.raised, overflowY: "auto", p: 1.5 }}
      >
        <Box sx={{ display: "flex", alignItems: "center", mb: 1 }}>
          <Typography variant="h2" component="h1" sx={{ flex: 1, pl: 1 }}>
            Collections
          </Typography>
          <Button
            size="small"
            variant="contained"
            startIcon={<Plus size={15} aria-hidden />}
            onClick={() => show("new")}
          >
            New
          </Button>
        </Box>
        <Sorting
          order={order}
          onOrder={(next) => void send({ intent: "order-collections", ids: next }).then((a) => say(a))}
        >
          <Box role="list" aria-label="Collections in order">
            {tree.map((node, index) => (
              <Entry
                key={node.collection.id}
                node={node}
                index={index}
                isOpen={node.collection.id === chosen?.id}
                count={goods.collections.some((c) => c.id === node.collection.id) ? sizeOf(goods, node.collection) : 0}
                onOpen={() => show(node.collection.id)}
              />
            ))}
          </Box>
        </Sorting>
        <Typography variant="caption" color="text.secondary" component="p" sx={{ px: 1, pt: 1.5 }}>
          How their pages look is said in a layout: <Link to={`/s/${shop}/pages?page=collection`}>Collection</Link>.
        </Typography>
      </Box>
      <Box sx={{ overflowY: "auto", minHeight: 0 }}>
        {open === "new" ? (
          <CollectionForm key="new" stored={fresh} isNew onDone={show} />
        ) : chosen ? (
          <CollectionForm key={chosen.id} stored={chosen} isNew={false} onDone={(id) => id && show(id)} />
        ) : (
          <Blank
            title="No collections yet"
            text="A collection is a shelf of the shop. Put goods into it by hand, or let rules find them."
            action={
              <Button variant="contained" onClick={() => show("new")}>
                Make the first one
              </Button>
            }
          />
        )}
      </Box>
    </Box>
  );
}
