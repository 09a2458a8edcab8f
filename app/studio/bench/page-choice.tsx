import { Button, Divider, ListSubheader, Menu, MenuItem, Typography } from "@mui/material";
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { decodeAddress, siteOf } from "~/core/addresses";
import { LAYOUT_SORTS, layoutsOf, type PageDocument, entryOf } from "~/core/document";
import { journalOf, journalsOf } from "~/core/journal";
import { LAYOUT_NAMES } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { FindWords } from "../finding";
import { MenusDialog } from "../menus";
import { NewPage, NewPost, OpenShop, PostsList } from "../site";
import { FindPage } from "./find-page";
import { LayoutsDialog } from "./layouts-dialog";

/** Of more pages than these the menu shows only so many: the others are found by typing. */
const MOST_IN_MENU = 30;
/** From so many on it is quicker to type than to look through them. */
const MANY = 12;

/** Which of the shop's pages or layouts lies on the bench. */
export function PageChoice({ page }: { page: string }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const shop = useStudio((s) => s.shop);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [opened, setOpened] = useState<
    "find" | "new" | "posts" | "post" | "words" | "menus" | "layouts" | "open" | null
  >(null);
  const open = (what: typeof opened) => {
    setAnchor(null);
    setOpened(what);
  };
  const site = siteOf(documents);
  const current = entryOf(documents, page) ?? entryOf(documents, site.home)!;
  const navigate = useNavigate();
  const addressOf = (id: string) => (id === site.home ? `/s/${shop.id}/pages` : `/s/${shop.id}/pages?page=${id}`);
  const journals = journalsOf(documents);
  // Posts have a list of their own; the one that is open is named all the same.
  const plain = site.pages.filter((p) => p.document.id === current.id || !journalOf(documents, p.document.id));
  const shown = plain.slice(0, MOST_IN_MENU);
  const layouts = LAYOUT_SORTS.flatMap((sort) =>
    layoutsOf(documents, sort).map((layout, i) => ({
      layout,
      name: i === 0 ? layout.title : `${LAYOUT_NAMES[sort]}: ${layout.title}`,
    })),
  );
  const here = current.kind === "page" ? (journalOf(documents, current.id)?.document.id ?? current.id) : undefined;
  const entry = (each: PageDocument, name = each.title, depth = 0) => (
    <MenuItem
      key={each.id}
      component={Link}
      sx={{ pl: 2 + depth * 2 }}
      to={addressOf(each.id)}
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
        {site.pages.length > MANY ? <MenuItem onClick={() => open("find")}>Find a page by its name …</MenuItem> : null}
        {site.pages.length > MANY ? <Divider /> : null}
        {shown.map(({ document, depth, props }) =>
          entry(document, `${document.title}${props.hidden ? " (not in the shop yet)" : ""}`, depth),
        )}
        {plain.length > shown.length ? (
          <MenuItem onClick={() => open("find")}>{`… and ${plain.length - shown.length} more pages`}</MenuItem>
        ) : null}
        {journals.length ? <MenuItem onClick={() => open("posts")}>Posts …</MenuItem> : null}
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: "30px", bgcolor: "transparent" }}>
          For many pages at once
        </ListSubheader>
        {layouts.map(({ layout, name }) => entry(layout, name))}
        <Divider />
        <MenuItem onClick={() => open("new")}>New page …</MenuItem>
        {journals.length ? <MenuItem onClick={() => open("post")}>New post …</MenuItem> : null}
        <MenuItem component={Link} to={`/s/${shop.id}/pages/all`} onClick={() => setAnchor(null)}>
          All pages at a glance
        </MenuItem>
        <MenuItem onClick={() => open("words")}>Find and replace words …</MenuItem>
        <MenuItem
          onClick={() => {
            setAnchor(null);
            store.getState().select(null);
            store.getState().setOwnCss({ open: true });
          }}
        >
          Own CSS of this page …
        </MenuItem>
        <MenuItem onClick={() => open("menus")}>Menus …</MenuItem>
        <MenuItem onClick={() => open("open")}>Open or close the shop …</MenuItem>
        <MenuItem onClick={() => open("layouts")}>Layouts, and who uses which …</MenuItem>
      </Menu>
      {opened === "find" ? (
        <FindPage
          choices={[
            ...site.pages.map(({ document: { id, title }, address, props }) => ({
              id,
              name: title,
              address: decodeAddress(address) ?? address,
              isHidden: props.hidden,
            })),
            ...layouts.map(({ layout, name }) => ({ id: layout.id, name, address: null, isHidden: false })),
          ]}
          onClose={() => open(null)}
          onChoose={(id) => {
            open(null);
            store.getState().select(null);
            void navigate(addressOf(id));
          }}
        />
      ) : null}
      {opened === "posts" ? (
        <PostsList
          journal={here}
          onClose={() => open(null)}
          onNew={() => open("post")}
          onOpen={(id) => {
            open(null);
            store.getState().select(null);
            void navigate(addressOf(id));
          }}
        />
      ) : null}
      {opened === "post" ? <NewPost journal={here} onClose={() => open(null)} /> : null}
      <NewPage open={opened === "new"} onClose={() => open(null)} />
      <FindWords open={opened === "words"} onClose={() => open(null)} />
      <MenusDialog open={opened === "menus"} onClose={() => open(null)} />
      <OpenShop open={opened === "open"} onClose={() => open(null)} />
      <LayoutsDialog open={opened === "layouts"} onClose={() => open(null)} />
    </>
  );
}
