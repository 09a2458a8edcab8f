import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Switch,
  TextField,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { Copy, House, Trash2, X } from "lucide-react";
import { useState, type ReactNode } from "react";
import { siteOf, slugProblem } from "~/core/addresses";
import {
  addNode,
  duplicatePage,
  movePage,
  removeNodes,
  renamePage,
  setHome,
  setPage,
  type Outcome,
} from "~/core/commands";
import { entryOf, menusOf, newId, pageProps, spread } from "~/core/document";
import { sourceOf } from "~/core/pictures";
import type { Link } from "~/core/schema";
import { LONGEST_DESCRIPTION, LONGEST_SEARCH_TITLE, makeNode } from "~/kinds";
import { madeFrom, sharedAs } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { PicturePicker } from "../pictures";
import { Heading, IconAction, INK, useWhenChanged } from "../ui";
import { itemsTo } from "../links";
import { BeneathField, useAddressBefore } from "./addresses";
import { RESULT_WIDTH, widthInResult } from "./pixels";
import { ResultPreview, SharePreview } from "./sharing-previews";

/** How much of what is shown of a text is used. */
function Meter({ text, part }: { text: string; part: "title" | "description" }) {
  const width = widthInResult(text, part);
  const most = RESULT_WIDTH[part];
  return (
    <Box sx={{ display: "flex", alignItems: "center", gap: 1, mt: 0.5 }}>
      <Box aria-hidden sx={{ flex: 1, height: 4, bgcolor: INK.line, borderRadius: 2, overflow: "hidden" }}>
        <Box
          sx={{ height: "100%", bgcolor: width > most ? INK.brick : INK.leaf }}
          style={{ width: `${Math.min(100, (100 * width) / most)}%` }}
        />
      </Box>
      <Typography variant="caption" color={width > most ? "error" : "text.secondary"}>
        {width > most ? `${width} of ${most} px: the end is cut off` : `${width} of ${most} px`}
      </Typography>
    </Box>
  );
}

/** A text that is kept as it is typed; empty, it is what is made from the page. */
function SharedField({
  label,
  value,
  made,
  part,
  most,
  onChange,
}: {
  label: string;
  value: string;
  made: string;
  part: "title" | "description";
  most: number;
  onChange: (text: string) => void;
}) {
  return (
    <Box>
      <TextField
        fullWidth
        label={label}
        value={value}
        placeholder={made}
        multiline={part === "description"}
        minRows={part === "description" ? 2 : undefined}
        onChange={(e) => onChange(e.target.value)}
        helperText={value ? undefined : "Made from the page until you write your own."}
        slotProps={{ htmlInput: { maxLength: most }, inputLabel: { shrink: true } }}
      />
      <Meter text={value || made} part={part} />
    </Box>
  );
}

/** Title, description and picture for search engines and shared links, with how they will look. */
export function SharingFields({ page: id }: { page: string }) {
  const store = useStudioStore();
  const document = useStudio((s) => entryOf(s.draft.documents, id)!);
  const documents = useStudio((s) => s.draft.documents);
  const identity = useStudio((s) => s.draft.look.identity);
  const pictures = useStudio((s) => s.pictures);
  const [choosing, setChoosing] = useState(false);
  const site = siteOf(documents);
  const isHome = site.home === id;
  const own = pageProps(document);
  const made = madeFrom(spread(documents, document), isHome, identity);
  const shared = sharedAs(spread(documents, document), isHome, identity);
  const picture = pictures.find((p) => p.id === shared.picture);
  const set = (values: Parameters<typeof setPage>[2], what: string) => {
    const now = store.getState();
    const why = now.run(setPage(now.draft, id, values, what));
    if (why) now.say(why, "problem");
  };
  const before = useAddressBefore(own.parent);
  const address = isHome ? before.replace(/\/$/, "") : before + own.slug;
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) minmax(0,1fr)" }, gap: 3 }}
    >
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <SharedField
          label="Title"
          part="title"
          value={own.searchTitle}
          made={made.title}
          most={LONGEST_SEARCH_TITLE}
          onChange={(searchTitle) => set({ searchTitle }, "title for search changed")}
        />
        <SharedField
          label="Description"
          part="description"
          value={own.description}
          made={made.description}
          most={LONGEST_DESCRIPTION}
          onChange={(description) => set({ description }, "description changed")}
        />
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          {picture ? (
            <Box
              component="img"
              src={sourceOf(picture, 160)}
              alt={picture.alt}
              sx={{ width: 96, height: 54, objectFit: "cover", borderRadius: 1, border: `1px solid ${INK.line}` }}
            />
          ) : null}
          <Box sx={{ display: "grid", justifyItems: "start" }}>
            <Button size="small" variant="outlined" onClick={() => setChoosing(true)}>
              {own.picture ? "Choose another picture" : "Choose a picture for sharing"}
            </Button>
            {own.picture ? (
              <Button size="small" onClick={() => set({ picture: null }, "picture for sharing put back")}>
                Use the page’s first one
              </Button>
            ) : (
              <Typography variant="caption" color="text.secondary">
                {picture ? "The first one of the page is used." : "The page has none yet."}
              </Typography>
            )}
          </Box>
        </Box>
        <FormControlLabel
          control={
            <Switch
              checked={own.unlisted}
              onChange={(_e, on) =>
                set({ unlisted: on }, on ? "kept out of search engines" : "found by search engines")
              }
            />
          }
          label="Keep it out of search engines"
        />
      </Box>
      <Box sx={{ display: "grid", gap: 2, alignContent: "start" }}>
        <ResultPreview
          address={address}
          unlisted={own.unlisted}
          title={shared.title}
          description={shared.description}
        />
        <SharePreview
          address={address}
          title={shared.title}
          description={shared.description}
          picture={picture ? sourceOf(picture, 640) : undefined}
        />
      </Box>
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(chosen) => {
          set({ picture: chosen }, "picture for sharing changed");
          setChoosing(false);
        }}
      />
    </Box>
  );
}

function Fields({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ display: "grid", gap: 2, pt: 1 }}>
      <Heading>{title}</Heading>
      {children}
    </Box>
  );
}

type PageDialogProps = {
  page: string | null;
  onClose: () => void;
  onDelete: (page: string) => void;
  /** Another page is gone to. */
  onOpen: (page: string) => void;
};

/** Everything about a page that is not on it: name, address, place, menus, what search engines are told. */
export function PageDialog({ page, ...rest }: PageDialogProps) {
  const isThere = useStudio((s) => page !== null && entryOf(s.draft.documents, page)?.kind === "page");
  return page !== null && isThere ? <About page={page} {...rest} /> : null;
}

function About({ page: id, onClose, onDelete, onOpen }: PageDialogProps & { page: string }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [problem, setProblem] = useState<string | null>(null);
  const document = entryOf(documents, id)!;
  const own = pageProps(document);
  const site = siteOf(documents);
  const isHome = site.home === id;
  const [title, setTitle] = useState(document.title);
  const [slug, setSlug] = useState(own.slug);
  useWhenChanged(document.title, () => setTitle(document.title));
  useWhenChanged(own.slug, () => setSlug(own.slug));
  const before = useAddressBefore(own.parent);
  const run = (outcome: Outcome) => {
    const why = store.getState().run(outcome);
    setProblem(why ?? null);
    return why === undefined;
  };
  const draft = () => store.getState().draft;
  const isChanged = slug !== own.slug;
  const wrong = isChanged ? slugProblem(slug) : undefined;
  const parent = site.byId.get(id)?.parent ?? null;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" fullScreen={isNarrow} aria-labelledby="page-dialog-title">
      <DialogTitle id="page-dialog-title" component="div" sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1, minWidth: 0 }} noWrap>
          About “{document.title}”
        </Typography>
        {isHome ? null : (
          <IconAction label="Make it the home page" icon={House} onClick={() => run(setHome(draft(), id))} />
        )}
        <IconAction
          label="Duplicate this page"
          icon={Copy}
          onClick={() => {
            const copy = newId();
            if (run(duplicatePage(draft(), id, copy))) onOpen(copy);
          }}
        />
        {isHome ? null : (
          <IconAction label="Delete this page" icon={Trash2} tone={INK.brick} onClick={() => onDelete(id)} />
        )}
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent sx={{ display: "grid", gap: 1.5 }}>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        <Fields title="Name and place">
          <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "1fr 1fr" }, gap: 2, pt: 0.5 }}>
            <TextField
              label="Name"
              value={title}
              onChange={(e) => setTitle(e.target.value)}
              onBlur={() => title.trim() !== document.title && run(renamePage(draft(), id, title))}
              slotProps={{ htmlInput: { maxLength: 120 } }}
            />
            {isHome ? (
              <TextField label="Address" value={before} disabled helperText="It is the home page of the shop." />
            ) : (
              <TextField
                label="Address"
                value={slug}
                error={wrong !== undefined}
                onChange={(e) => setSlug(e.target.value.toLowerCase().replace(/\s+/g, "-"))}
                onBlur={() => isChanged && !wrong && run(setPage(draft(), id, { slug }, "address changed"))}
                helperText={
                  wrong ?? (isChanged ? "Whoever has the old address is led to the new one." : `${before}${slug}`)
                }
                slotProps={{ formHelperText: { sx: { overflowWrap: "anywhere" } } }}
              />
            )}
            {isHome ? null : (
              <BeneathField value={parent} but={id} onChange={(next) => run(movePage(draft(), id, next))} />
            )}
          </Box>
          <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
            <Typography component="legend" variant="subtitle2">
              Menus that lead to it
            </Typography>
            {menusOf(documents).map((menu) => {
              const items = itemsTo(menu, id, isHome);
              return (
                <FormControlLabel
                  key={menu.id}
                  label={menu.title}
                  control={
                    <Checkbox
                      size="small"
                      checked={items.length > 0}
                      onChange={(_e, on) => {
                        const to = { parent: menu.root.id, slot: "items", index: Number.MAX_SAFE_INTEGER };
                        const link: Link = isHome ? { to: "home" } : { to: "page", id };
                        run(
                          on
                            ? addNode(
                                draft(),
                                menu.id,
                                to,
                                makeNode("menu-item", { link }),
                                `“${document.title}” in ${menu.title}`,
                              )
                            : removeNodes(
                                draft(),
                                items.map((i) => i.id),
                                `“${document.title}” in ${menu.title}`,
                              ),
                        );
                      }}
                    />
                  }
                />
              );
            })}
          </Box>
          <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 3 }}>
            {isHome ? null : (
              <FormControlLabel
                control={
                  <Switch
                    checked={!own.hidden}
                    onChange={(_e, on) =>
                      run(setPage(draft(), id, { hidden: !on }, on ? "in the shop" : "not in the shop yet"))
                    }
                  />
                }
                label={own.hidden ? "Not in the shop yet" : "In the shop"}
              />
            )}
            {(["header", "footer"] as const).map((part) => (
              <FormControlLabel
                key={part}
                control={
                  <Switch
                    checked={own[part]}
                    onChange={(_e, on) =>
                      run(setPage(draft(), id, { [part]: on }, `${on ? "with" : "without"} ${part}`))
                    }
                  />
                }
                label={part === "header" ? "With the shop’s header" : "With the shop’s footer"}
              />
            ))}
          </Box>
        </Fields>
        <Fields title="Search and sharing">
          <SharingFields page={id} />
        </Fields>
      </DialogContent>
    </Dialog>
  );
}
