import { Alert, Box, Dialog, DialogTitle, Typography } from "@mui/material";
import { X } from "lucide-react";
import { useEffect, useState } from "react";
import type { z } from "zod";
import { restoreShop } from "~/core/commands";
import { differences, type Draft } from "~/core/document";
import { listPublications, readPublication } from "~/core/protocol";
import { changeWords } from "~/kinds/change-words";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK } from "../ui";
import { Compared, ListAndChosen, VersionItem } from "./compared";
import { whenWords } from "./when-kept";

const HOME = { page: "home" } as const;
const MOST_CHANGES = 60;

type Head = z.infer<typeof listPublications.answer>["publications"][number];
const nameOf = ({ number }: Head) => `Published, no. ${number}`;

/** A publication beside the shop as it is now, what differs, and the way back to it. */
function Beside({ head, then, onBack }: { head: Head; then: Draft; onBack: () => void }) {
  const draft = useStudio((s) => s.draft);
  const changed = differences(then, draft).map(changeWords);
  return (
    <>
      <Compared
        name={nameOf(head)}
        then={then}
        now={draft}
        target={HOME}
        onBack={changed.length ? onBack : undefined}
        backWords="Bring back the whole shop"
      />
      {changed.length === 0 ? (
        <Alert severity="success">Look and pages are just as they were in this publication.</Alert>
      ) : (
        <>
          <Typography variant="subtitle2">What has changed since</Typography>
          <Box component="ul" aria-label="What has changed since" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {changed.slice(0, MOST_CHANGES).map(({ where, what }, i) => (
              <Box component="li" key={i} sx={{ borderTop: `1px solid ${INK.line}`, py: 0.75 }}>
                <b>{where}</b>: {what}
              </Box>
            ))}
            {changed.length > MOST_CHANGES ? <li>and {changed.length - MOST_CHANGES} more</li> : null}
          </Box>
        </>
      )}
    </>
  );
}

function Contents({ onClose }: { onClose: () => void }) {
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
  const bringBack = () => {
    if (!open) return;
    const { draft, run, say } = store.getState();
    const why = run(restoreShop(draft, open.then, nameOf(open.head)));
    if (why) return setProblem(why);
    say("Your draft is as it was then. Shoppers see it once you publish.", "plain", true);
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
        <Beside head={open.head} then={open.then} onBack={bringBack} />
      ) : (
        <Typography color="text.secondary" sx={{ mt: 1 }}>
          {isReading ? "Reading …" : heads?.length ? "Choose one to see it beside the shop as it is now." : ""}
        </Typography>
      )}
    </ListAndChosen>
  );
}

/** Everything that was published, compared with what there is now, and brought back as a draft. */
export const PublicationsDialog = ({ open, onClose }: { open: boolean; onClose: () => void }) => (
  <Dialog open={open} onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="publications-title">
    <DialogTitle id="publications-title" component="div" sx={{ display: "flex", alignItems: "center" }}>
      <Typography variant="h2" sx={{ flex: 1 }}>
        Earlier publications
      </Typography>
      <IconAction label="Close" icon={X} onClick={onClose} />
    </DialogTitle>
    {open ? <Contents onClose={onClose} /> : null}
  </Dialog>
);
