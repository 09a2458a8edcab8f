import { Alert, Box, Button, Chip, Dialog, DialogTitle, TextField, Typography } from "@mui/material";
import { Trash2, X } from "lucide-react";
import { useCallback, useEffect, useMemo, useState } from "react";
import { restorePage, restoreSection } from "~/core/commands";
import {
  documentDifferences,
  sameJson,
  type Difference,
  type PageDocument as Page,
  type Draft,
  entryOf,
} from "~/core/document";
import { keepVersion, listVersions, readVersion, removeVersion, type VersionHead } from "~/core/protocol";
import { plainOf, type Rich } from "~/core/rich";
import { kindOf, nameOf } from "~/kinds";
import { changeWords } from "~/kinds/change-words";
import { useStudio, useStudioStore } from "../keeping";
import { useTarget } from "../panes";
import { IconAction, INK } from "../ui";
import { Compared, ListAndChosen, VersionItem } from "./compared";
import { whenKept, whenWords } from "./when-kept";

const UNREACHABLE = "The server can’t be reached. Try again in a moment.";

const textOf = (value: unknown): string =>
  value === undefined || value === null
    ? ""
    : typeof value === "string" || typeof value === "object"
      ? plainOf(value as Rich)
      : "";

/** What differs, in words; of words, what they were and what they are. */
function Changes({
  differences,
  before,
  onRestore,
}: {
  differences: readonly Difference[];
  before: Page;
  onRestore: (section: string, name: string) => void;
}) {
  const wasNode = useMemo(() => {
    const all = new Map<string, Readonly<Record<string, unknown>>>();
    const enter = (node: Page["root"]) => {
      all.set(node.id, node.props);
      Object.values(node.slots).flat().forEach(enter);
    };
    enter(before.root);
    return all;
  }, [before]);
  const bySection = new Map<string, Difference[]>();
  for (const d of differences) {
    if (!("section" in d)) continue;
    bySection.set(d.section.id, [...(bySection.get(d.section.id) ?? []), d]);
  }
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {[...bySection].map(([section, inside]) => {
        const first = inside[0]!;
        const name = "section" in first ? nameOf(first.section) : "";
        const canRestore = Object.values(before.root.slots)
          .flat()
          .some((n) => n.id === section);
        return (
          <Box
            component="li"
            key={section}
            sx={{ borderTop: `1px solid ${INK.line}`, py: 1, display: "flex", gap: 1.5, alignItems: "start" }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography variant="subtitle2">{name}</Typography>
              {inside.map((d, i) => {
                const fields = "node" in d ? (kindOf(d.node)?.definition.fields ?? []) : [];
                const words =
                  d.what === "props"
                    ? d.keys.filter((k) => fields.some((f) => f.key === k && ["line", "text", "rich"].includes(f.type)))
                    : [];
                return (
                  <Box key={i}>
                    <Typography variant="body2" color="text.secondary">
                      {changeWords(d).what}
                      {"node" in d && d.node.id !== section ? ` (${nameOf(d.node)})` : ""}
                    </Typography>
                    {d.what === "props"
                      ? words.map((key) => (
                          <Typography
                            key={key}
                            variant="body2"
                            sx={{ whiteSpace: "pre-line", overflowWrap: "anywhere" }}
                          >
                            <Box component="del" sx={{ color: INK.brick }}>
                              {textOf(entryOf(wasNode.get(d.node.id), key)).slice(0, 240)}
                            </Box>{" "}
                            <Box component="ins" sx={{ color: INK.leaf, textDecoration: "none", fontWeight: 550 }}>
                              {textOf(entryOf(d.node.props, key)).slice(0, 240)}
                            </Box>
                          </Typography>
                        ))
                      : null}
                  </Box>
                );
              })}
            </Box>
            {canRestore ? (
              <Button size="small" variant="outlined" onClick={() => onRestore(section, name)}>
                Bring back
              </Button>
            ) : null}
          </Box>
        );
      })}
    </Box>
  );
}

function Contents({ page }: { page: string }) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const client = useStudio((s) => s.client);
  const [heads, setHeads] = useState<readonly VersionHead[] | null>(null);
  const [open, setOpen] = useState<{ head: VersionHead; document: Page; published?: Draft | undefined } | null>(null);
  const [name, setName] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  const list = useCallback(
    () =>
      client.ask(listVersions, { page }).then((reply) => {
        setHeads(reply.ok ? reply.value.versions : []);
        setProblem(reply.ok ? null : reply.why);
      }),
    [client, page],
  );
  useEffect(() => void list(), [list]);

  const keep = async () => {
    setBusy(true);
    setProblem(null);
    const reply = (await whenKept(store)) ? await client.ask(keepVersion, { part: page, name }) : undefined;
    setBusy(false);
    if (!reply?.ok) return setProblem(reply?.why ?? UNREACHABLE);
    setName("");
    await list();
  };
  const look = async (head: VersionHead) => {
    setBusy(true);
    const reply = await client.ask(readVersion, { id: head.id });
    setBusy(false);
    if (reply.ok) setOpen({ head, ...reply.value });
    else setProblem(reply.why);
  };
  const remove = async (head: VersionHead) => {
    const reply = await client.ask(removeVersion, { remove: head.id });
    if (!reply.ok) return setProblem(reply.why);
    if (open?.head.id === head.id) setOpen(null);
    await list();
  };

  const now = entryOf(draft.documents, page);
  const target = useTarget(page);
  const then = useMemo<Draft | undefined>(
    // A publication kept the look, the header and the footer of its day as well.
    () => {
      if (!open) return undefined;
      const { look, documents } = open.published ?? draft;
      return { look, documents: { ...documents, [page]: open.document } };
    },
    [open, draft, page],
  );
  const differences = open && now ? documentDifferences(open.document, now) : [];
  const isDressedOtherwise =
    open?.published !== undefined &&
    !sameJson({ ...open.published.look, versions: {} }, { ...draft.look, versions: {} });
  const run = (outcome: ReturnType<typeof restorePage>) => {
    const why = store.getState().run(outcome);
    if (why) store.getState().say(why);
  };
  const nowDraft = () => store.getState().draft;
  // The latest is first.
  const published = heads?.find((head) => head.publication !== null);
  return (
    <ListAndChosen
      label="Versions of this page"
      above={
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            void keep();
          }}
          sx={{ display: "grid", gap: 1, mb: 2 }}
        >
          <TextField
            label="Save it as it is now, named"
            value={name}
            onChange={(e) => setName(e.target.value)}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <Button type="submit" variant="contained" disabled={busy || name.trim() === ""}>
            Save this version
          </Button>
        </Box>
      }
      problem={problem}
      none="None yet. One is kept each time you publish this page, and whenever you ask for it here."
      rows={
        heads?.map((head) => (
          <Box component="li" key={head.id} sx={{ display: "flex", alignItems: "center" }}>
            <VersionItem
              name={head.name}
              about={whenWords(head.at)}
              isOpen={open?.head.id === head.id}
              onOpen={() => void look(head)}
            />
            {head.publication === null ? (
              <IconAction
                label={`Remove version ${head.name}`}
                icon={Trash2}
                size={15}
                onClick={() => void remove(head)}
              />
            ) : head === published ? (
              <Chip size="small" label="in the shop" variant="outlined" />
            ) : null}
          </Box>
        )) ?? null
      }
    >
      {open && then && now ? (
        <>
          <Compared
            name={open.head.name}
            then={then}
            now={draft}
            target={target}
            onBack={differences.length ? () => run(restorePage(nowDraft(), open.document, open.head.name)) : undefined}
            backWords="Bring back the whole page"
          />
          {isDressedOtherwise ? (
            <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
              It wears the look that was published with it. Bringing it back leaves the look as it is now; under{" "}
              <i>Publish › Earlier publications</i> the whole shop is brought back.
            </Typography>
          ) : null}
          {differences.length ? (
            <>
              <Typography variant="subtitle2">What has changed on this page since</Typography>
              <Changes
                differences={differences}
                before={open.document}
                onRestore={(section, sectionName) =>
                  run(restoreSection(nowDraft(), open.document, section, sectionName))
                }
              />
            </>
          ) : (
            <Alert severity="success">The page is just as it was in this version.</Alert>
          )}
        </>
      ) : (
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          {busy ? "Reading …" : "Choose a version to see it beside the page as it is now."}
        </Typography>
      )}
    </ListAndChosen>
  );
}

/** The versions of a page: kept, compared with what it is now, and brought back whole or section by section. */
export function VersionsDialog({ page, open, onClose }: { page: string; open: boolean; onClose: () => void }) {
  const title = useStudio((s) => entryOf(s.draft.documents, page)?.title ?? "");
  return (
    <Dialog open={open} onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="versions-title">
      <DialogTitle id="versions-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Versions of {title}
        </Typography>
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      {open ? <Contents page={page} /> : null}
    </Dialog>
  );
}
