import { Button, Divider, ListSubheader, Menu, MenuItem, Typography } from "@mui/material";
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { LAYOUT_SORTS, layoutsOf, textPages, type PageDocument, entryOf } from "~/core/document";
import { LAYOUT_NAMES } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { LayoutsDialog } from "./layouts-dialog";

/** Which of the shop's pages or layouts lies on the bench. */
export function PageChoice({ page }: { page: string }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const shop = useStudio((s) => s.shop);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [managing, setManaging] = useState(false);
  const current = entryOf(documents, page) ?? documents.home!;
  const entry = (each: PageDocument, name = each.title) => (
    <MenuItem
      key={each.id}
      component={Link}
      to={each.id === "home" ? `/s/${shop.id}/pages` : `/s/${shop.id}/pages?page=${each.id}`}
      selected={each.id === current.id}
      onClick={() => {
        store.getState().select(null);
        setAnchor(null);
      }}
    >
      {name}
    </MenuItem>
  );
  return (
    <>
      <Button
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        endIcon={<ChevronDown size={16} aria-hidden />}
        sx={{ px: 1, ml: -1 }}
      >
        <Typography component="h1" variant="h2">
          {current.title}
        </Typography>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {[documents.home!, ...textPages(documents)].map((each) => entry(each))}
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: "30px", bgcolor: "transparent" }}>
          For many pages at once
        </ListSubheader>
        {LAYOUT_SORTS.flatMap((sort) =>
          layoutsOf(documents, sort).map((layout, i) =>
            entry(layout, i === 0 ? layout.title : `${LAYOUT_NAMES[sort]}: ${layout.title}`),
          ),
        )}
        <Divider />
        <MenuItem
          onClick={() => {
            setAnchor(null);
            setManaging(true);
          }}
        >
          Layouts, and who uses which …
        </MenuItem>
      </Menu>
      <LayoutsDialog open={managing} onClose={() => setManaging(false)} />
    </>
  );
}
