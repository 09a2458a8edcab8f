import {
  Alert,
  Box,
  Checkbox,
  Dialog,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
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
  setAround,
  setHome,
  setOwnValue,
  setPage,
  type Outcome,
} from "~/core/commands";
import { entryOf, menusOf, newId, ownValuesOf, pageProps, type Around } from "~/core/document";
import { journalOf } from "~/core/journal";
import type { Link } from "~/core/schema";
import { makeNode } from "~/kinds";
import { useStudio, useStudioStore } from "../keeping";
import { Heading, IconAction, INK, useWhenChanged } from "../ui";
import { itemsTo } from "../links";
import { BeneathField, useAddressBefore } from "./addresses";
import { OwnFields } from "../own-fields";
import { PostFields } from "./post-fields";
import { SharingFields } from "./sharing-fields";

const AROUND_VALUES: ReadonlyMap<string, Around> = new Map<string, Around>([
  ["true", true],
  ["own", "own"],
  ["false", false],
]);

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
              <TextField
                label="Address"
                value={before}
                helperText="It is the home page of the shop."
                slotProps={{ input: { readOnly: true } }}
              />
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
            {journalOf(documents, id) ? null : (
              <FormControlLabel
                control={
                  <Switch
                    checked={own.journal}
                    onChange={(_e, on) =>
                      run(
                        setPage(
                          draft(),
                          id,
                          { journal: on },
                          on ? "pages beneath it are posts" : "no journal any more",
                        ),
                      )
                    }
                  />
                }
                label="A journal: pages beneath it are posts"
              />
            )}
          </Box>
          <Box sx={{ display: "grid", gridTemplateColumns: { sm: "1fr 1fr" }, gap: 2 }}>
            {(["header", "footer"] as const).map((part) => (
              <TextField
                key={part}
                select
                label={part === "header" ? "Header" : "Footer"}
                value={String(own[part])}
                helperText={own[part] === "own" ? "It began as a copy. Change it on the page." : " "}
                onChange={(e) => run(setAround(draft(), id, part, AROUND_VALUES.get(e.target.value) ?? true))}
              >
                <MenuItem value="true">{`The shop’s ${part}`}</MenuItem>
                <MenuItem value="own">One of its own</MenuItem>
                <MenuItem value="false">None</MenuItem>
              </TextField>
            ))}
          </Box>
        </Fields>
        {journalOf(documents, id) ? (
          <Fields title="As a post">
            <PostFields post={document} run={run} />
          </Fields>
        ) : null}
        <Fields title="Own fields">
          <OwnFields
            of="page"
            values={ownValuesOf(document)}
            set={(field, value) => void run(setOwnValue(draft(), document.id, field, value))}
          />
        </Fields>
        <Fields title="Search and sharing">
          <SharingFields page={id} />
        </Fields>
      </DialogContent>
    </Dialog>
  );
}
