import {
  Alert,
  Box,
  Button,
  CircularProgress,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  Link,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { useDeferredValue, useEffect, useEffectEvent, useMemo, useState } from "react";
import { changedParts, differences, withParts, type Draft } from "~/core/document";
import { askForPending, listPlans, type Pending, type PublicationPlan } from "~/core/protocol";
import { changeWords } from "~/kinds/change-words";
import { useReload, useStudio, useStudioStore } from "../keeping";
import { ON_LEMON, useWhenChanged } from "../ui";
import { BeforeAndAfter } from "./before-and-after";
import { inOrder, PartsList, type PartChanges } from "./parts-list";
import { PlanForm, Plans } from "./plans";
import { putOut } from "./put-out";
import { StudiosWords } from "./studios-words";
import { ToLookAt } from "./to-look-at";

type Stage =
  | { name: "reading" }
  | { name: "ready"; pending: Pending }
  | { name: "publishing"; pending: Pending }
  | { name: "done"; number: number; changes: number }
  | { name: "failed"; why: string };

/** Why there is nothing to publish from yet, by what has become of keeping. */
const NOT_KEPT = {
  "signed-out": "You are signed out. Sign in again, up in the bar; your changes are safe in this browser.",
  gone: "This shop is no longer there for this account.",
} as const;
const UNREACHABLE = "The server can’t be reached. Your changes are safe in this browser; try again in a moment.";

/** Shows what publishing would change, in words, and publishes just that. */
export function PublishDialog({
  open,
  onClose,
  onHistory,
  flush,
}: {
  open: boolean;
  onClose: () => void;
  /** What was published before is asked for. */
  onHistory: () => void;
  /** Sends what is not kept yet; resolves to whether the server has it all. */
  flush: () => Promise<boolean>;
}) {
  const store = useStudioStore();
  const shop = useStudio((s) => s.shop);
  const client = useStudio((s) => s.client);
  const reload = useReload();
  const [stage, setStage] = useState<Stage>({ name: "reading" });
  const published = useStudio((s) => s.published);
  const confirmed = useStudio((s) => s.confirmed);
  const pending = stage.name === "ready" || stage.name === "publishing" ? stage.pending : null;
  const parts = useMemo(
    () => (pending && published ? partsOf(pending, published, confirmed) : []),
    [pending, published, confirmed],
  );
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [focused, setFocused] = useState<string | null>(null);
  const [plans, setPlans] = useState<readonly PublicationPlan[]>([]);
  const [isPlanning, setPlanning] = useState(false);
  const chosen = useMemo(() => new Set(parts.map((p) => p.part).filter((part) => !left.has(part))), [parts, left]);
  const setChosen = (next: ReadonlySet<string>) =>
    setLeft(new Set(parts.map((p) => p.part).filter((part) => !next.has(part))));
  const after = useMemo(
    () => (published && left.size ? withParts(published, confirmed, chosen) : confirmed),
    [published, confirmed, chosen, left],
  );

  const pendingNow = async (): Promise<Stage> => {
    // What is not kept yet is not part of what the server would publish.
    if (!(await flush())) {
      const { keep } = store.getState();
      const why = keep === "signed-out" || keep === "gone" ? NOT_KEPT[keep] : UNREACHABLE;
      return { name: "failed", why };
    }
    const reply = await client.ask(askForPending, {});
    return reply.ok ? { name: "ready", pending: reply.value } : { name: "failed", why: reply.why };
  };
  const read = async () => {
    setStage({ name: "reading" });
    setStage(await pendingNow());
  };
  useWhenChanged(open, () => {
    setStage({ name: "reading" });
    // Whoever comes again chooses again.
    setLeft(new Set());
    setFocused(null);
    setPlanning(false);
  });
  const readWhenOpened = useEffectEvent(pendingNow);
  useEffect(() => {
    if (!open) return;
    let isClosed = false;
    void readWhenOpened().then((stage) => isClosed || setStage(stage));
    // Without an answer nothing is known of plans, and publishing goes on all the same.
    void client.ask(listPlans, {}).then((reply) => isClosed || !reply.ok || setPlans(reply.value.plans));
    return () => {
      isClosed = true;
    };
  }, [open, client]);

  /** What goes out; undefined: all of it. */
  const going = (pending: Pending) => (left.size === 0 || pending.first ? undefined : [...chosen]);
  const publish = async (pending: Pending) => {
    setStage({ name: "publishing", pending });
    const parts = going(pending);
    const done = await putOut(store, pending.seq, parts);
    if (!done.ok) {
      if (done.isBehind) return read();
      return setStage({ name: "failed", why: `It was not published. ${done.why}` });
    }
    const { number } = done;
    if (number === null) return setStage({ name: "ready", pending: { ...pending, changes: [] } });
    setStage({ name: "done", number, changes: countGoing(pending, parts) });
    await reload();
  };

  // What was changed can be chosen from; a shop that opens opens as a whole.
  const isChoice = pending !== null && published !== undefined && !pending.first && pending.changes.length > 0;
  const isRoomy = useMediaQuery("(min-width:1000px)");
  const shown = focused ?? parts[0]?.part ?? null;
  // What there is to know before it goes out.
  const besides =
    pending && pending.changes.length > 0 ? (
      <>
        <StudiosWords onGo={onClose} onChanged={() => void pendingNow().then(setStage)} />
        {stage.name === "ready" ? <ToLookAt onGo={onClose} /> : null}
      </>
    ) : null;
  return (
    <Dialog
      open={open}
      onClose={onClose}
      maxWidth={isChoice && isRoomy ? "lg" : "sm"}
      fullWidth
      aria-labelledby="publish-title"
    >
      <DialogTitle id="publish-title" component="h2" sx={{ typography: "h2" }}>
        {stage.name === "done" ? "It is in the shop" : pending?.first ? "Open the shop" : "Publish"}
      </DialogTitle>
      <DialogContent>
        {stage.name === "reading" ? (
          <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", py: 2 }}>
            <CircularProgress size={20} aria-label="Reading" /> Reading what has changed …
          </Box>
        ) : null}
        {stage.name === "failed" ? <Alert severity="error">{stage.why}</Alert> : null}
        {stage.name === "done" ? null : <Plans plans={plans} onPlans={setPlans} />}
        {pending && isPlanning ? (
          <PlanForm
            seq={pending.seq}
            parts={going(pending)}
            canGoBack={!pending.first}
            onCancel={() => setPlanning(false)}
            onBehind={() => void read()}
            onDone={(next) => {
              setPlans(next);
              setPlanning(false);
              store.getState().say("Planned. The server sees to it, also while nobody is here.");
            }}
          />
        ) : null}
        {pending?.blocked ? (
          <Alert severity="error">{pending.blocked} Until then, the shop stays as it is.</Alert>
        ) : null}
        {pending && pending.changes.length === 0 ? (
          <Typography>Nothing has changed since it was last published. The shop shows what you see here.</Typography>
        ) : null}
        {pending && pending.changes.length > 0 ? (
          <>
            <Typography color="text.secondary" gutterBottom>
              {pending.first
                ? "Shoppers will see your shop for the first time."
                : countGoing(pending, [...chosen]) === 1
                  ? "Shoppers will see one change:"
                  : `Shoppers will see ${countGoing(pending, [...chosen])} changes:`}
            </Typography>
            {isChoice ? (
              <Box
                sx={{
                  display: "grid",
                  gridTemplateColumns: isRoomy ? "minmax(0,1fr) 494px" : "minmax(0,1fr)",
                  gap: 3,
                  alignItems: "start",
                }}
              >
                <Box>
                  <PartsList
                    parts={parts}
                    before={published}
                    after={confirmed}
                    chosen={chosen}
                    onChosen={setChosen}
                    focused={shown}
                    onFocus={setFocused}
                  />
                  {besides}
                </Box>
                {shown ? (
                  <Box sx={{ position: isRoomy ? "sticky" : "static", top: 0 }}>
                    <BeforeAndAfter part={shown} before={published} after={after} isNarrow={!isRoomy} />
                  </Box>
                ) : null}
              </Box>
            ) : null}
          </>
        ) : null}
        {isChoice ? null : besides}
        {stage.name === "done" ? (
          <Typography>
            {stage.changes === 1 ? "One change is" : `${stage.changes} changes are`} live at{" "}
            <Link href={shop.address} target="_blank" rel="noreferrer">
              {shop.address.replace(/^https?:\/\//, "")}
            </Link>
            . This is version {stage.number}.
          </Typography>
        ) : null}
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5, flexWrap: "wrap", rowGap: 1 }}>
        {published ? (
          <Button
            onClick={onHistory}
            sx={{ mr: "auto", ml: -1, flexBasis: { xs: "100%", sm: "auto" }, justifyContent: "flex-start" }}
          >
            Earlier publications …
          </Button>
        ) : null}
        <Button onClick={onClose}>{stage.name === "done" ? "Close" : "Not now"}</Button>
        {stage.name === "failed" ? (
          <Button variant="contained" onClick={() => void read()}>
            Try again
          </Button>
        ) : null}
        {pending && pending.changes.length > 0 && !isPlanning ? (
          <Button
            disabled={stage.name === "publishing" || pending.blocked !== undefined || (isChoice && chosen.size === 0)}
            onClick={() => setPlanning(true)}
          >
            At a set time …
          </Button>
        ) : null}
        {pending && pending.changes.length > 0 && !isPlanning ? (
          <Button
            variant="contained"
            disabled={stage.name === "publishing" || pending.blocked !== undefined || (isChoice && chosen.size === 0)}
            onClick={() => void publish(pending)}
          >
            {stage.name === "publishing" ? "Publishing …" : "Publish now"}
          </Button>
        ) : null}
        {stage.name === "done" || (pending && pending.changes.length === 0) ? (
          <Button variant="contained" component="a" href={shop.address} target="_blank" rel="noreferrer">
            Open the shop
          </Button>
        ) : null}
      </DialogActions>
    </Dialog>
  );
}

/** How many changes go out. `parts`: those that do; absent: all. */
const countGoing = ({ changes, first }: Pending, parts?: readonly string[]): number =>
  parts && !first ? changes.filter((c) => parts.includes(c.part)).length : changes.length;

/** What differs of each part, with the words that the server has for it. */
function partsOf(pending: Pending, before: Draft, after: Draft): readonly PartChanges[] {
  return inOrder(
    changedParts(before, after).map((changed) => {
      const name = changed.document?.title ?? "Brand";
      const changes = pending.changes
        .filter((c) => c.part === changed.part)
        .map(({ where, what }) => (where === name ? what : `${where.replace(`${name} › `, "")}: ${what}`));
      return { ...changed, name, changes };
    }),
  );
}

/** Opens the publish dialog; wears the number of changes that shoppers don't see yet. */
export function PublishButton({ onClick }: { onClick: () => void }) {
  const draft = useDeferredValue(useStudio((s) => s.draft));
  const published = useStudio((s) => s.published);
  const changes = useMemo(
    () => (published ? differences(published, draft).map(changeWords).length : 1),
    [published, draft],
  );
  return (
    <Button
      variant="contained"
      onClick={onClick}
      aria-label={
        published ? `Publish, ${changes} ${changes === 1 ? "change" : "changes"}` : "Publish for the first time"
      }
      endIcon={
        published && changes > 0 ? (
          <Box
            component="span"
            sx={{
              ...ON_LEMON,
              borderRadius: 1,
              px: 0.75,
              lineHeight: "20px",
              "&&": { fontSize: 13 },
              fontWeight: 700,
            }}
          >
            {changes}
          </Box>
        ) : undefined
      }
    >
      Publish
    </Button>
  );
}
