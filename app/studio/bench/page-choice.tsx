import { Button, Divider, ListSubheader, Menu, MenuItem, Typography } from "@mui/material";
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { siteOf } from "~/core/addresses";
import { LAYOUT_SORTS, layoutsOf, type PageDocument, entryOf } from "~/core/document";
import { LAYOUT_NAMES } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { MenusDialog } from "../menus";
import { NewPage, OpenShop } from "../site";
import { LayoutsDialog } from "./layouts-dialog";

/** Which of the shop's pages or layouts lies on the bench. */
export function PageChoice({ page }: { page: string }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const shop = useStudio((s) => s.shop);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [opened, setOpened] = useState<"new" | "menus" | "layouts" | "open" | null>(null);
  const open = (what: typeof opened) => {
    setAnchor(null);
    setOpened(what);
  };
  const site = siteOf(documents);
  const current = entryOf(documents, page) ?? entryOf(documents, site.home)!;
  const entry = (each: PageDocument, name = each.title, depth = 0) => (
    <MenuItem
      key={each.id}
      component={Link}
      sx={{ pl: 2 + depth * 2 }}
      to={each.id === site.home ? `/s/${shop.id}/pages` : `/s/${shop.id}/pages?page=${each.id}`}
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
      <Menu
        anchorEl={anchor}
        open={anchor !== null}
        onClose={() => setAnchor(null)}
        slotProps={{ paper: { sx: { maxHeight: "min(80vh, 640px)", maxWidth: 360 } } }}
      >
        {site.pages.map(({ document, depth, props }) =>
          entry(document, `${document.title}${props.hidden ? " (not in the shop yet)" : ""}`, depth),
        )}
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
        <MenuItem onClick={() => open("new")}>New page …</MenuItem>
        <MenuItem component={Link} to={`/s/${shop.id}/pages/all`} onClick={() => setAnchor(null)}>
          All pages at a glance
        </MenuItem>
        <MenuItem onClick={() => open("menus")}>Menus …</MenuItem>
        <MenuItem onClick={() => open("open")}>Open or close the shop …</MenuItem>
        <MenuItem onClick={() => open("layouts")}>Layouts, and who uses which …</MenuItem>
      </Menu>
      <NewPage open={opened === "new"} onClose={() => open(null)} />
      <MenusDialog open={opened === "menus"} onClose={() => open(null)} />
      <OpenShop open={opened === "open"} onClose={() => open(null)} />
      <LayoutsDialog open={opened === "layouts"} onClose={() => open(null)} />
    </>
  );
}
