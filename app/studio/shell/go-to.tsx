import { Autocomplete, Dialog, DialogContent, TextField } from "@mui/material";
import { useNavigate } from "react-router";
import { homeOf, siteOf } from "~/core/addresses";
import { LAYOUT_SORTS, layoutsOf } from "~/core/document";
import { standings } from "../bench";
import { useStudio, useStudioStore } from "../keeping";

type Destination = { readonly label: string; readonly group: string; readonly go: () => void };

type GoToProps = { open: boolean; onClose: () => void; actions: readonly Destination[] };

/** Goes to anything by typing a part of its name. */
export function GoTo({ open, ...rest }: GoToProps) {
  // What there is to go to is gathered only while somebody looks for it.
  return open ? <Goals {...rest} /> : null;
}

function Goals({ onClose, actions }: Omit<GoToProps, "open">) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const draft = useStudio((s) => s.draft);
  const shop = useStudio((s) => s.shop);
  const goods = useStudio((s) => s.goods);
  const area = (label: string, path: string): Destination => ({
    label,
    group: "Areas",
    go: () => void navigate(`/s/${shop.id}/${path}`),
  });
  const goals: readonly Destination[] = [
    area("Brand", "brand"),
    area("Themes", "theme"),
    area("All pages", "pages/all"),
    ...siteOf(draft.documents).pages.map(({ document, address }) => ({
      ...area(document.title, address === "/" ? "pages" : `pages?page=${document.id}`),
      group: "Pages",
    })),
    ...LAYOUT_SORTS.flatMap((sort) => layoutsOf(draft.documents, sort)).map((layout) => ({
      ...area(layout.title, `pages?page=${layout.id}`),
      group: "Layouts",
    })),
    area("Goods", "goods"),
    area("Collections", "goods/collections"),
    area("Reviews", "goods/reviews"),
    area("What sells", "goods/sells"),
    area("Words and search", "goods/words"),
    area("Import goods", "goods/import"),
    ...goods.products.map((p): Destination => ({
      label: p.title,
      group: "Products",
      go: () => void navigate(`/s/${shop.id}/goods/p/${p.id}`),
    })),
    area("Pictures", "pictures"),
    ...standings(draft, homeOf(draft.documents)).map(({ node, name }, i): Destination => {
      const said = String(node.props.heading ?? node.props.text ?? "").split("\n")[0];
      return {
        label: said ? `${name}: ${said}` : `${name} (${i + 1})`,
        group: "Sections of Home",
        go: () => {
          store.getState().select(node.id);
          void navigate(`/s/${shop.id}/pages`);
        },
      };
    }),
    ...actions,
  ];
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      aria-label="Go to"
      sx={{ "& .MuiDialog-container": { alignItems: "flex-start", pt: 8 } }}
    >
      <DialogContent>
        <Autocomplete<Destination>
          options={goals}
          groupBy={(g) => g.group}
          getOptionLabel={(g) => g.label}
          getOptionKey={(g) => `${g.group} ${g.label}`}
          openOnFocus
          autoHighlight
          onChange={(_event, goal) => {
            onClose();
            goal?.go();
          }}
          renderInput={(params) => <TextField {...params} autoFocus label="Go to …" />}
        />
      </DialogContent>
    </Dialog>
  );
}
