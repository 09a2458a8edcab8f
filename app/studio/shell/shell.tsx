import { entryOf } from "~/core/document";
import {
  Alert,
  Box,
  Button,
  Divider,
  Link as MuiLink,
  ListSubheader,
  Menu,
  MenuItem,
  Snackbar,
  Typography,
  useColorScheme,
} from "@mui/material";
import { Check, ChevronDown, ExternalLink, Keyboard } from "lucide-react";
import { useEffect, useRef, useState, type ReactNode } from "react";
import { Form, Link, NavLink, useLocation, useNavigate } from "react-router";
import { FindWords, WordList } from "../finding";
import { startKeeper, useStudio, useStudioStore, type Keeper } from "../keeping";
import { PublishButton, PublishDialog } from "../publish";
import { IconAction, INK, STUDIO_LOOKS, useKeys, Zest } from "../ui";
import { HeadDialog } from "../site";
import { PublicationsDialog } from "../versions";
import { GoTo } from "./go-to";
import { KeysHelp } from "./help";
import { Kept, Others } from "./kept";
import { PutAside } from "./put-aside";
import { step, UndoRedo, useShowSteps } from "./undo";

const AREAS = [
  ["Brand", "brand"],
  ["Pages", "pages"],
  ["Goods", "goods"],
  ["Offers", "offers"],
  ["Orders", "orders"],
  ["Pictures", "pictures"],
  ["Mail", "mail"],
] as const;

export type ShopChoice = { readonly id: string; readonly host: string; readonly name: string };

type ShopMenuProps = {
  shops: readonly ShopChoice[];
  owner: string;
  /** What concerns the shop as a whole, and is done in a dialog. */
  actions: readonly { readonly label: string; readonly go: () => void }[];
};

function ShopMenu({ shops, owner, actions }: ShopMenuProps) {
  const name = useStudio((s) => s.draft.look.identity.name);
  const shop = useStudio((s) => s.shop);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const signOut = useRef<HTMLFormElement>(null);
  const { mode, setMode } = useColorScheme();
  return (
    <>
      <Button
        onClick={(event) => setAnchor(event.currentTarget)}
        endIcon={<ChevronDown size={15} aria-hidden />}
        aria-haspopup="menu"
        sx={{ maxWidth: { xs: "min(132px, calc(100vw - 250px))", md: 210 }, px: 1 }}
      >
        <Typography component="span" noWrap sx={{ fontWeight: 600 }}>
          {name}
        </Typography>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <MenuItem component="a" href={shop.address} target="_blank" rel="noreferrer" onClick={() => setAnchor(null)}>
          <ExternalLink size={16} aria-hidden style={{ marginRight: 8 }} /> Open the shop
        </MenuItem>
        {actions.map(({ label, go }) => (
          <MenuItem
            key={label}
            onClick={() => {
              setAnchor(null);
              go();
            }}
          >
            {label} …
          </MenuItem>
        ))}
        <Divider />
        {shops
          .filter((s) => s.id !== shop.id)
          .map((s) => (
            <MenuItem key={s.id} component="a" href={`/s/${s.id}/pages`}>
              <Box>
                {s.name}
                <Typography variant="caption" component="div" color="text.secondary">
                  {s.host}
                </Typography>
              </Box>
            </MenuItem>
          ))}
        <MenuItem component={Link} to="/shops/new">
          New shop …
        </MenuItem>
        <MenuItem component={Link} to="/you">
          Your account
        </MenuItem>
        <Divider />
        <ListSubheader role="presentation" sx={{ lineHeight: "28px", bgcolor: "transparent" }}>
          Look of the studio
        </ListSubheader>
        {STUDIO_LOOKS.map(([look, words]) => (
          <MenuItem
            key={look}
            role="menuitemradio"
            aria-checked={mode === look}
            onClick={() => {
              setMode(look);
              setAnchor(null);
            }}
          >
            <Box sx={{ width: 24, display: "flex" }}>{mode === look ? <Check size={16} aria-hidden /> : null}</Box>
            {words}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem onClick={() => signOut.current?.requestSubmit()}>Sign out {owner}</MenuItem>
      </Menu>
      <Form ref={signOut} method="post" action="/sign-out" hidden />
    </>
  );
}

/** The pages that this version can't open; they are kept, and nothing else is held up by them. */
function Unread() {
  const unread = useStudio((s) => s.unread);
  const documents = useStudio((s) => s.published?.documents);
  return unread.map(({ id, why }) => (
    <Alert key={id} severity="warning" sx={{ borderRadius: 0 }}>
      <b>{entryOf(documents, id)?.title ?? id}</b>: {why}
    </Alert>
  ));
}

/** The top bar, what is said at the bottom, and the keys that work everywhere. */
export function Shell({
  shops,
  owner,
  children,
}: {
  shops: readonly ShopChoice[];
  owner: string;
  children: ReactNode;
}) {
  const store = useStudioStore();
  const shop = useStudio((s) => s.shop);
  const said = useStudio((s) => s.said);
  const keeper = useRef<Keeper | null>(null);
  const [dialog, setDialog] = useState<"publish" | "history" | "keys" | "go" | "words" | "spellings" | "head" | null>(
    null,
  );
  /** Words that are to be put right, from the list of the shop’s words. */
  const [right, setRight] = useState<{ readonly words: string; readonly by: string }>();
  useEffect(() => {
    const started = startKeeper(store);
    keeper.current = started;
    return started.stop;
  }, [store]);
  useShowSteps();
  const undo = () => step(store, "undo");
  const redo = () => step(store, "redo");
  const openPublish = () => setDialog("publish");
  const { pathname, search } = useLocation();
  const navigate = useNavigate();
  const hasPlan = pathname.endsWith("/pages");
  // Whoever comes back to the pages finds the one that was left.
  const [lastPage, setLastPage] = useState("");
  if (hasPlan && search !== lastPage) setLastPage(search);
  useKeys({
    "ctrl+z": undo,
    "ctrl+shift+z": redo,
    "ctrl+Enter": openPublish,
    g: () => setDialog("go"),
    "?": () => setDialog("keys"),
  });
  const close = () => {
    setDialog(null);
    setRight(undefined);
  };
  const ofShop = [
    {
      label: "Own CSS of the shop",
      go: () => {
        void navigate(`/s/${shop.id}/pages${lastPage}`);
        store.getState().select(null);
        store.getState().setOwnCss({ open: true });
      },
    },
    { label: "Words of the shop", go: () => setDialog("spellings") },
    { label: "For search engines and browsers", go: () => setDialog("head") },
  ];
  const flush = () => keeper.current?.flush() ?? Promise.resolve(true);
  return (
    <Box sx={{ display: "grid", gridTemplate: "auto minmax(0,1fr) / minmax(0,1fr)", height: "100dvh", minWidth: 0 }}>
      {hasPlan ? (
        <MuiLink
          href="#plan"
          onClick={(event) => {
            // The plan is one stop, and the quickest way to anything on the page.
            const first = document.querySelector<HTMLElement>(
              '[role="tree"] [role="treeitem"][tabindex="0"], [role="tree"] [role="treeitem"]',
            );
            if (!first) return;
            event.preventDefault();
            first.focus();
          }}
          sx={{
            position: "absolute",
            left: -999,
            top: 6,
            zIndex: 2000,
            px: 2,
            py: 1,
            bgcolor: INK.ink,
            color: INK.paper,
            borderRadius: 1,
            "&:focus": { left: 8 },
          }}
        >
          Skip to the plan
        </MuiLink>
      ) : null}
      <Box
        component="header"
        sx={{
          display: "flex",
          flexWrap: { xs: "wrap", md: "nowrap" },
          alignItems: "center",
          gap: { xs: 0.25, md: 1 },
          px: { xs: 0.75, md: 1.5 },
          minHeight: 48,
          borderBottom: `1px solid ${INK.ink}`,
          bgcolor: INK.paper,
          minWidth: 0,
        }}
      >
        <MuiLink
          component={Link}
          to="/"
          underline="none"
          sx={{ display: "flex", alignItems: "center", gap: 1, mr: 0.5 }}
          aria-label="Zest Window, my shops"
        >
          <Zest />
          <Typography
            component="span"
            sx={{
              fontFamily: '"Bricolage Grotesque"',
              fontWeight: 700,
              fontSize: 16,
              whiteSpace: "nowrap",
              display: { xs: "none", lg: "inline" },
            }}
          >
            Zest Window
          </Typography>
        </MuiLink>
        <Divider orientation="vertical" flexItem sx={{ my: 1.25, display: { xs: "none", md: "block" } }} />
        <ShopMenu shops={shops} owner={owner} actions={ofShop} />
        <Divider orientation="vertical" flexItem sx={{ my: 1.25, display: { xs: "none", md: "block" } }} />
        <Box
          component="nav"
          aria-label="Areas"
          sx={{
            display: "flex",
            alignSelf: "stretch",
            gap: 0.25,
            order: { xs: 9, md: 0 },
            flexBasis: { xs: "100%", md: "auto" },
            minHeight: 44,
            overflowX: { xs: "auto", md: "visible" },
          }}
        >
          {AREAS.map(([label, path]) => (
            <Box
              key={path}
              component={NavLink}
              to={{ pathname: `/s/${shop.id}/${path}`, search: path === "pages" ? lastPage : "" }}
              sx={{
                display: "flex",
                alignItems: "center",
                px: { xs: "clamp(3px, 2.5vw - 5px, 10px)", md: 1, lg: 1.25 },
                color: INK.ink,
                textDecoration: "none",
                fontWeight: 500,
                borderBottom: "3px solid transparent",
                borderTop: "3px solid transparent",
                "&:hover": { borderBottomColor: INK.line },
                "&.active": { borderBottomColor: INK.lemon, fontWeight: 700 },
                "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: -3 },
              }}
            >
              {label}
            </Box>
          ))}
        </Box>
        <Box sx={{ flex: 1 }} />
        <UndoRedo />
        <PutAside />
        <Box sx={{ display: { xs: "none", md: "block" } }}>
          <IconAction label="Keys" keys="?" icon={Keyboard} onClick={() => setDialog("keys")} />
        </Box>
        <Others />
        <Kept />
        <PublishButton onClick={openPublish} />
      </Box>
      <Box component="main" sx={{ display: "flex", flexDirection: "column", minHeight: 0, minWidth: 0 }}>
        <Unread />
        <Box sx={{ flex: 1, minHeight: 0 }}>{children}</Box>
      </Box>
      <PublishDialog open={dialog === "publish"} onClose={close} onHistory={() => setDialog("history")} flush={flush} />
      <PublicationsDialog open={dialog === "history"} onClose={close} flush={flush} />
      <FindWords open={dialog === "words"} onClose={close} {...(right ? { begins: right } : {})} />
      <WordList
        open={dialog === "spellings"}
        onClose={close}
        onPutRight={(words, by) => {
          setRight({ words, by });
          setDialog("words");
        }}
      />
      <HeadDialog open={dialog === "head"} onClose={close} />
      <KeysHelp open={dialog === "keys"} onClose={close} />
      <GoTo
        open={dialog === "go"}
        onClose={close}
        actions={[
          { label: "Publish", group: "Do", go: openPublish },
          { label: "Earlier publications", group: "Do", go: () => setDialog("history") },
          { label: "Find and replace words", group: "Do", go: () => setDialog("words") },
          ...ofShop.map((action) => ({ ...action, group: "Do" })),
          { label: "Undo", group: "Do", go: undo },
        ]}
      />
      <Snackbar
        key={said?.key}
        open={said !== null}
        autoHideDuration={said?.tone === "problem" ? 9000 : 4500}
        onClose={(_e, why) => why !== "clickaway" && store.getState().hush()}
        anchorOrigin={{ vertical: "bottom", horizontal: "center" }}
        sx={{ mb: 13 }}
      >
        <Alert
          severity={said?.tone === "problem" ? "error" : "info"}
          icon={false}
          sx={said?.tone === "problem" ? {} : { bgcolor: INK.ink, color: INK.paper, borderColor: INK.ink }}
          action={
            said?.canUndo ? (
              <Button
                size="small"
                sx={{ color: INK.spark }}
                onClick={() => {
                  undo();
                  store.getState().hush();
                }}
              >
                Undo
              </Button>
            ) : undefined
          }
        >
          {said?.text}
        </Alert>
      </Snackbar>
    </Box>
  );
}
