import { Alert, Box, Button, Dialog, DialogTitle, FormControlLabel, Link, Switch, Typography } from "@mui/material";
import { X } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import type { z } from "zod";
import { homeOf } from "~/core/addresses";
import { restorePart, restoreShop, type Outcome } from "~/core/commands";
import { changedParts, differences, entryOf, LOOK_PART, partOfDifference, type Draft } from "~/core/document";
import { askForPending, listPublications, readPublication } from "~/core/protocol";
import { changeWords } from "~/kinds/change-words";
import { targetFor } from "~/render";
import { useReload, useStudio, useStudioStore } from "../keeping";
import { putOut } from "../publish";
import { pageShowing } from "../shared";
import { IconAction, INK } from "../ui";
import { Compared, ListAndChosen, VersionItem } from "./compared";
import { whenWords } from "./when-kept";

const MOST_CHANGES = 6;

type Head = z.infer<typeof listPublications.answer>["publications"][number];
const nameOf = ({ number }: Head) => `Published, no. ${number}`;

type BesideProps = {
  head: Head;
  then: Draft;
  isBusy: boolean;
  onBack: (atOnce: boolean) => void;
  onBackPart: (part: string, atOnce: boolean) => void;
};

/** A publication beside the shop as it is now, part by part what differs, and the way back to all of it or to one part. */
function Beside({ head, then, isBusy, onBack, onBackPart }: BesideProps) {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const [seen, setSeen] = useState<string | null>(null);
  const [atOnce, setAtOnce] = useState(false);
  const parts = useMemo(() => {
    const all = differences(then, draft);
    return changedParts(then, draft).map((changed) => ({
      ...changed,
      name: changed.document?.title ?? "Brand",
      changes: all.filter((each) => partOfDifference(each) === changed.part).map((each) => changeWords(each).what),
    }));
  }, [then, draft]);
  const shown = parts.find((each) => each.part === seen);
  const page = shown ? pageShowing(draft.documents, shown.document) : homeOf(then.documents);
  return (
    <>
      <Compared
        name={nameOf(head)}
        then={then}
        now={draft}
        target={targetFor(entryOf(draft.documents, page) ? draft.documents : then.documents, goods, page, null)}
        onBack={parts.length && !isBusy ? () => onBack(atOnce) : undefined}
        backWords="Bring back the whole shop"
      />
      {parts.length === 0 ? (
        <Alert severity="success">Look and pages are just as they were in this publication.</Alert>
      ) : (
        <>
          <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", columnGap: 2 }}>
            <Typography variant="subtitle2" sx={{ flex: 1 }}>
              What has changed since
            </Typography>
            <FormControlLabel
              control={<Switch size="small" checked={atOnce} onChange={(_e, on) => setAtOnce(on)} />}
              label={<Typography variant="body2">Shoppers see it at once</Typography>}
            />
          </Box>
          <Box component="ul" aria-label="What has changed since" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {parts.map(({ part, name, what, changes }) => (
              <Box
                component="li"
                key={part}
                sx={{ borderTop: `1px solid ${INK.line}`, py: 0.75, display: "flex", alignItems: "center", gap: 1 }}
              >
                <Box sx={{ flex: 1, minWidth: 0, overflowWrap: "anywhere" }}>
                  <Link
                    component="button"
                    type="button"
                    color="inherit"
                    underline="hover"
                    onClick={() => setSeen(part)}
                    sx={{ fontWeight: 650, fontSize: "inherit", textAlign: "start" }}
                  >
                    {name}
                  </Link>
                  {": "}
                  {what === "new"
                    ? "came later"
                    : what === "removed"
                      ? "no longer there"
                      : [...new Set(changes)].slice(0, MOST_CHANGES).join(", ")}
                </Box>
                {what === "new" ? null : (
                  <Button
                    size="small"
                    disabled={isBusy}
                    aria-label={`Bring back ${name}`}
                    onClick={() => onBackPart(part, atOnce)}
                    sx={{ flex: "none" }}
                  >
                    Bring it back
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        </>
      )}
    </>
  );
}

function Contents({ onClose, flush }: Omit<PublicationsProps, "open">) {
  const store = useStudioStore();
  const client = useStudio((s) => s.client);
  const [heads, setHeads] = useState<readonly Head[] | null>(null);
  const [open, setOpen] = useState<{ head: Head; then: Draft } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isReading, setReading] = useState(false);
  useEffect(
    () =>
      void client.ask(listPublications, {}).then((reply) => {
        setHeads(reply.ok ? reply.value.publications : []);
        setProblem(reply.ok ? null : reply.why);
      }),
    [client],
  );
  const look = async (head: Head) => {
    setReading(true);
    setProblem(null);
    const reply = await client.ask(readPublication, { number: head.number });
    setReading(false);
    if (reply.ok) setOpen({ head, then: reply.value.draft });
    else setProblem(reply.why);
  };
  const [isBusy, setBusy] = useState(false);
  const reload = useReload();
  /** Publishes what was brought back, and nothing else. Gives the reason where that did not go. */
  const show = async (parts: readonly string[] | undefined): Promise<string | undefined> => {
    if (!(await flush()))
      return "It is back in your draft. The server can’t be reached to publish it; try again in a moment.";
    const pending = await client.ask(askForPending, {});
    if (!pending.ok) return pending.why;
    const done = await putOut(store, pending.value.seq, parts);
    if (!done.ok) return `It is back in your draft, and was not published. ${done.why}`;
    await reload();
    return undefined;
  };
  const bringBack = async (outcome: Outcome, parts: readonly string[] | undefined, atOnce: boolean, what: string) => {
    const { run, say } = store.getState();
    const why = outcome.ok ? run(outcome) : outcome.why;
    setProblem(why ?? null);
    if (why) return;
    if (!atOnce) {
      say(`${what} as then, in your draft. Shoppers see it once you publish.`, "plain", true);
      return onClose();
    }
    setBusy(true);
    const problem = await show(parts);
    setBusy(false);
    if (problem) return setProblem(problem);
    say(`${what} as then, and shoppers see it.`);
    onClose();
  };
  return (
    <ListAndChosen
      label="Publications"
      above={
        <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
          Look and pages as shoppers saw them. Goods and pictures are as they are now.
        </Typography>
      }
      problem={problem}
      none="Nothing has been published yet."
      rows={
        heads?.map((head, i) => (
          <Box component="li" key={head.number}>
            <VersionItem
              name={`${nameOf(head)}${i === 0 ? ", in the shop now" : ""}`}
              about={`${whenWords(head.at)} · ${head.changes === 1 ? "1 change" : `${head.changes} changes`}`}
              isOpen={open?.head.number === head.number}
              onOpen={() => void look(head)}
            />
          </Box>
        )) ?? null
      }
    >
      {open ? (
        <Beside
          key={open.head.number}
          {...open}
          isBusy={isBusy}
          onBack={(atOnce) =>
            void bringBack(
              restoreShop(store.getState().draft, open.then, nameOf(open.head)),
              undefined,
              atOnce,
              "The whole shop is",
            )
          }
          onBackPart={(part, atOnce) =>
            void bringBack(
              restorePart(store.getState().draft, open.then, part, nameOf(open.head)),
              [part],
              atOnce,
              part === LOOK_PART ? "Brand is" : `“${entryOf(open.then.documents, part)?.title ?? ""}” is`,
            )
          }
        />
      ) : (
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          {isReading ? "Reading …" : heads?.length ? "Choose one to see it beside the shop as it is now." : ""}
        </Typography>
      )}
    </ListAndChosen>
  );
}

type PublicationsProps = {
  open: boolean;
  onClose: () => void;
  /** Sends what is not kept yet; resolves to whether the server has it all. */
  flush: () => Promise<boolean>;
};

/** Everything that was published, compared with what there is now, and brought back as a draft. */
export const PublicationsDialog = ({ open, onClose, flush }: PublicationsProps) => (
  <Dialog open={open} onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="publications-title">
    <DialogTitle id="publications-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
      <Typography variant="h2" sx={{ flex: 1 }}>
        Earlier publications
      </Typography>
      <IconAction label="Close" icon={X} onClick={onClose} />
    </DialogTitle>
    {open ? <Contents onClose={onClose} flush={flush} /> : null}
  </Dialog>
);
