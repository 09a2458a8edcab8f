import {
  Alert,
  Autocomplete,
  Box,
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  Link,
  TextField,
  Typography,
} from "@mui/material";
import { ChevronDown, ChevronUp, Plus, Trash2, X } from "lucide-react";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { addLayout, freeName, removeLayout, renameLayout, setLayoutFor, type Outcome } from "~/core/commands";
import { layoutProps, layoutsOf, newId, type PageDocument } from "~/core/document";
import { collectionAddress } from "~/core/addresses";
import { documentOf } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK } from "../ui";

const SORTS = ["product", "collection"] as const;
type LayoutFor = { readonly sort: "products" | "collections"; readonly id: string; readonly label: string };

/** Names of pages that are listed below a layout. */
const MOST_LISTED = 200;

/** One layout, with its name and the goods that it is for. */
function Entry({
  document,
  onRun,
  onOpen,
}: {
  document: PageDocument;
  onRun: (outcome: Outcome) => void;
  onOpen: (address?: string) => void;
}) {
  const store = useStudioStore();
  const goods = useStudio((s) => s.goods);
  const documents = useStudio((s) => s.draft.documents);
  const props = layoutProps(document)!;
  const isForAll = document.id === props.of;
  const [title, setTitle] = useState(document.title);
  const draft = () => store.getState().draft;
  const users = useMemo(
    () =>
      props.of === "product"
        ? goods.products
            .filter((product) => documentOf({ page: "product", product }, documents, goods)?.id === document.id)
            .map(({ title, slug }) => ({ title, address: `/products/${slug}` }))
        : goods.collections
            .filter(
              (collection) => documentOf({ page: "collection", collection }, documents, goods)?.id === document.id,
            )
            .map((c) => ({ title: c.title, address: collectionAddress(c) })),
    [props.of, goods, documents, document.id],
  );
  const [isListed, setListed] = useState(false);
  const things: readonly LayoutFor[] = [
    ...goods.collections.map((c): LayoutFor => ({ sort: "collections", id: c.id, label: c.title })),
    ...(props.of === "product"
      ? goods.products.map((p): LayoutFor => ({ sort: "products", id: p.id, label: p.title }))
      : []),
  ];
  const noun = props.of === "product" ? ["product", "products"] : ["collection", "collections"];
  return (
    <Box
      component="li"
      sx={{
        listStyle: "none",
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        p: 1.5,
        display: "grid",
        gap: 1.25,
        bgcolor: INK.raised,
      }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
        {isForAll ? (
          <Typography sx={{ fontWeight: 600, flex: 1 }}>{document.title}, for all that have no other</Typography>
        ) : (
          <TextField
            label="Name"
            value={title}
            onChange={(e) => setTitle(e.target.value)}
            onBlur={() => title.trim() !== document.title && onRun(renameLayout(draft(), document.id, title))}
            onKeyDown={(e) => e.key === "Enter" && e.currentTarget.querySelector("input")?.blur()}
            sx={{ flex: 1 }}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
        )}
        <Button
          size="small"
          disabled={users.length === 0}
          aria-expanded={isListed}
          endIcon={isListed ? <ChevronUp size={15} aria-hidden /> : <ChevronDown size={15} aria-hidden />}
          onClick={() => setListed(!isListed)}
          sx={{ whiteSpace: "nowrap" }}
        >
          draws {users.length} {users.length === 1 ? noun[0] : noun[1]}
        </Button>
        <Button size="small" onClick={() => onOpen()}>
          Open
        </Button>
        {isForAll ? null : (
          <IconAction
            label={`Remove ${document.title}`}
            icon={Trash2}
            tone={INK.brick}
            onClick={() => onRun(removeLayout(draft(), document.id))}
          />
        )}
      </Box>
      {isListed ? (
        <Box
          component="ul"
          aria-label={`Drawn by ${document.title}`}
          sx={{ m: 0, pl: 0, listStyle: "none", columns: "220px", maxHeight: 200, overflowY: "auto" }}
        >
          {users.slice(0, MOST_LISTED).map(({ title, address }) => (
            <li key={address}>
              <Link component="button" type="button" onClick={() => onOpen(address)} sx={{ textAlign: "start" }}>
                {title}
              </Link>
            </li>
          ))}
          {users.length > MOST_LISTED ? <li>and {users.length - MOST_LISTED} more</li> : null}
        </Box>
      ) : null}
      {isForAll ? null : (
        <Autocomplete
          multiple
          size="small"
          options={things}
          groupBy={(t) =>
            t.sort === "collections" ? (props.of === "product" ? "All of a collection" : "Collections") : "Products"
          }
          getOptionLabel={(t) => t.label}
          getOptionKey={(t) => `${t.sort} ${t.id}`}
          isOptionEqualToValue={(a, b) => a.sort === b.sort && a.id === b.id}
          value={things.filter((t) => props[t.sort].includes(t.id))}
          onChange={(_e, next) =>
            onRun(
              setLayoutFor(draft(), document.id, {
                products: next.filter((t) => t.sort === "products").map((t) => t.id),
                collections: next.filter((t) => t.sort === "collections").map((t) => t.id),
              }),
            )
          }
          renderInput={(params) => (
            <TextField
              {...params}
              label="For which"
              helperText={
                props.products.length + props.collections.length
                  ? undefined
                  : "For nothing yet: choose products or collections."
              }
            />
          )}
        />
      )}
    </Box>
  );
}

/** The layouts of product and collection pages, and who uses which. */
export function LayoutsDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const shop = useStudio((s) => s.shop.id);
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const run = (outcome: Outcome) => setProblem(store.getState().run(outcome) ?? null);
  const show = (id: string, address?: string) => {
    store.getState().select(null);
    onClose();
    void navigate(`/s/${shop}/pages?page=${id}${address ? `&show=${address}` : ""}`);
  };
  const add = (sort: (typeof SORTS)[number]) => {
    const id = newId();
    const titles = layoutsOf(documents, sort).map((layout) => layout.title);
    const base = sort === "product" ? "Product, another way" : "Collection, another way";
    run(addLayout(store.getState().draft, sort, freeName(base, titles), id));
  };
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="md" aria-labelledby="layouts-title">
      <DialogTitle id="layouts-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          Layouts, and who uses which
        </Typography>
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 2.5, bgcolor: INK.paper }}>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        {SORTS.map((sort) => (
          <Box
            key={sort}
            component="section"
            aria-label={sort === "product" ? "Product layouts" : "Collection layouts"}
          >
            <Box sx={{ display: "flex", alignItems: "center", mb: 1, pt: 1 }}>
              <Typography variant="h3" sx={{ flex: 1 }}>
                {sort === "product" ? "Product pages" : "Collection pages"}
              </Typography>
              <Button size="small" startIcon={<Plus size={15} aria-hidden />} onClick={() => add(sort)}>
                Another layout, like the one for all
              </Button>
            </Box>
            <Box component="ul" sx={{ m: 0, p: 0, display: "grid", gap: 1 }}>
              {layoutsOf(documents, sort).map((d) => (
                <Entry key={d.id} document={d} onRun={run} onOpen={(address) => show(d.id, address)} />
              ))}
            </Box>
          </Box>
        ))}
      </DialogContent>
    </Dialog>
  );
}
