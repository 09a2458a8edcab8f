import {
  Alert,
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Typography,
} from "@mui/material";
import { useEffect, useState } from "react";
import { resolve } from "~/core/cascade";
import { setStyles } from "~/core/commands";
import type { Draft } from "~/core/document";
import { standings } from "./sections";
import { arrangeForPhone, type PhoneFacts, type Proposal } from "~/core/layout";
import { applyAll } from "~/core/operations";
import { hasTrait, hasStyle, kindOf, nameOf } from "~/kinds";
import { nodeLayers, type Target } from "~/render";
import { themeById } from "~/themes";
import { useStudioStore } from "../keeping";
import { DraftFrame, PaneShell, SillName, useTarget } from "../panes";
import { INK } from "../ui";

/** Reads off a phone pane what the proposals need to know of each part. */
export function phoneFacts(frame: Document): ReadonlyMap<string, PhoneFacts> {
  const facts = new Map<string, PhoneFacts>();
  const view = frame.defaultView!;
  for (const element of frame.querySelectorAll<HTMLElement>("[data-node]")) {
    const { width, height } = element.getBoundingClientRect();
    if (width === 0) continue;
    const head = element.matches("[data-level=column]") ? null : element.querySelector<HTMLElement>(".head");
    const own = head && head.closest("[data-node]") === element ? head : null;
    if (!own) {
      facts.set(element.dataset.node!, { width, height });
      continue;
    }
    const style = view.getComputedStyle(own);
    const lineHeight = Number.parseFloat(style.lineHeight) || Number.parseFloat(style.fontSize) * 1.1;
    // The widest a single word comes out, with everything wrapped as early as can be.
    const probe = own.cloneNode(true) as HTMLElement;
    probe.style.cssText = "position:absolute;visibility:hidden;width:min-content;overflow-wrap:normal";
    own.after(probe);
    const longestWord = probe.getBoundingClientRect().width;
    probe.remove();
    facts.set(element.dataset.node!, {
      width: own.getBoundingClientRect().width,
      height,
      lines: Math.max(1, Math.round(own.getBoundingClientRect().height / lineHeight)),
      writtenLines: (own.textContent ?? "").split("\n").length,
      longestWord,
    });
  }
  return facts;
}

/** What is proposed for a page, as its phone pane shows it now. */
export function proposalsFor(draft: Draft, page: string, frame: Document): readonly Proposal[] {
  const theme = themeById(draft.look.theme);
  return arrangeForPhone({
    sections: standings(draft, page)
      .filter((s) => s.document === page && s.node.shown)
      .map((s) => s.node),
    facts: phoneFacts(frame),
    now: (node, property) => resolve(nodeLayers(node, theme, draft.look), property, "phone")?.value,
    has: (node, property) => {
      const definition = kindOf(node)?.definition;
      return definition !== undefined && hasStyle(definition, node, property);
    },
    nameOf,
    is: hasTrait,
  });
}

const SCALE = 0.62;
const HEIGHT = 520;

type PreviewProps = { name: string; draft: Draft; target: Target; onDocument?: (frame: Document | null) => void };

/** Parts say which they are only to the studio. */
const STUDIO = { editing: null };

const Preview = ({ name, ...shown }: PreviewProps) => (
  <PaneShell label={name} sill={<SillName>{name}</SillName>}>
    <DraftFrame
      title={`${name}, on a phone`}
      device="phone"
      scale={SCALE}
      height={HEIGHT}
      extra="html{scroll-behavior:auto!important}[data-in]{animation:none!important}[data-slot]:empty{min-height:0}"
      studio={STUDIO}
      {...shown}
    />
  </PaneShell>
);

/** Scrolls two frames together, as far as each goes. */
function together(one: Document | null, other: Document | null): (() => void) | undefined {
  if (!one || !other) return undefined;
  const follow = (from: Document, to: Document) => () => {
    const share =
      from.defaultView!.scrollY / Math.max(1, from.documentElement.scrollHeight - from.defaultView!.innerHeight);
    to.defaultView!.scrollTo(0, share * (to.documentElement.scrollHeight - to.defaultView!.innerHeight));
  };
  const forth = follow(one, other);
  one.addEventListener("scroll", forth, { passive: true });
  return () => one.removeEventListener("scroll", forth);
}

function Contents({ page, onClose }: { page: string; onClose: () => void }) {
  const store = useStudioStore();
  const [draft] = useState(() => store.getState().draft);
  const target = useTarget(page);
  const [before, setBefore] = useState<Document | null>(null);
  const [after, setAfter] = useState<Document | null>(null);
  const [proposals, setProposals] = useState<readonly Proposal[] | null>(null);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => together(before, after), [before, after]);
  const measure = (frame: Document | null) => {
    setBefore(frame);
    if (!frame) return;
    // Fonts and pictures decide how long lines are; they are the shop's own and near.
    void frame.fonts.ready.then(() =>
      frame.defaultView!.requestAnimationFrame(() =>
        setProposals((known) => known ?? proposalsFor(draft, page, frame)),
      ),
    );
  };
  const chosen = (proposals ?? []).filter((p) => !left.has(p.key));
  const outcome = setStyles(
    draft,
    chosen.flatMap((p) => p.changes.map((c) => ({ ...c, audience: "phone" as const }))),
    "Arranged for phone",
  );
  const applied = outcome.ok ? applyAll(draft, outcome.transaction.operations) : undefined;
  const next = applied?.ok ? applied.draft : draft;
  const point = (node: string) => {
    for (const frame of [before, after]) {
      const element = frame?.querySelector(`[data-node="${node}"]`);
      const view = frame?.defaultView;
      if (element && view) view.scrollTo(0, view.scrollY + element.getBoundingClientRect().top - 60);
    }
  };
  const firstNode = proposals?.[0]?.node;
  useEffect(() => {
    if (firstNode && after) point(firstNode);
    // Once, when there is something to see; `point` is made anew at each drawing.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [firstNode, after]);
  return (
    <>
      <DialogContent
        sx={{ display: "grid", gridTemplateColumns: "auto auto minmax(0,1fr)", gap: 2.5, alignItems: "start" }}
      >
        <Preview name="Before" draft={draft} target={target} onDocument={measure} />
        <Preview name="After" draft={next} target={target} onDocument={setAfter} />
        <Box sx={{ minWidth: 0, maxHeight: HEIGHT + 24, overflowY: "auto" }}>
          {proposals === null ? (
            <Typography color="text.secondary">Reading the page …</Typography>
          ) : proposals.length === 0 ? (
            <Alert severity="success">This page sits well on a phone as it is. There is nothing to arrange.</Alert>
          ) : (
            <>
              <Typography sx={{ mb: 1 }}>
                {proposals.length === 1 ? "One change" : `${proposals.length} changes`}, for phones only. Other devices
                stay as they are.
              </Typography>
              <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
                {proposals.map((p) => (
                  <Box
                    component="li"
                    key={p.key}
                    sx={{ borderTop: `1px solid ${INK.line}`, py: 0.75 }}
                    onMouseEnter={() => point(p.node)}
                  >
                    <FormControlLabel
                      sx={{ alignItems: "flex-start" }}
                      control={
                        <Checkbox
                          size="small"
                          sx={{ py: 0.25 }}
                          checked={!left.has(p.key)}
                          onFocus={() => point(p.node)}
                          onChange={(_e, on) => {
                            const nextLeft = new Set(left);
                            if (on) nextLeft.delete(p.key);
                            else nextLeft.add(p.key);
                            setLeft(nextLeft);
                          }}
                        />
                      }
                      label={
                        <>
                          <Typography variant="subtitle2">{p.what}</Typography>
                          <Typography variant="caption" color="text.secondary">
                            {p.why}
                          </Typography>
                        </>
                      }
                    />
                  </Box>
                ))}
              </Box>
            </>
          )}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{proposals?.length ? "Leave it" : "Close"}</Button>
        {proposals?.length ? (
          <Button
            variant="contained"
            disabled={!outcome.ok}
            onClick={() => {
              const state = store.getState();
              // Restated on what is there now: another tab may have been at work.
              state.run(
                setStyles(
                  state.draft,
                  chosen.flatMap((p) => p.changes.map((c) => ({ ...c, audience: "phone" as const }))),
                  "Arranged for phone",
                ),
              );
              onClose();
            }}
          >
            {chosen.length === 1 ? "Make this change" : `Make ${chosen.length} changes`}
          </Button>
        ) : null}
      </DialogActions>
    </>
  );
}

/** Proposes how a page is set for a phone, with before and after, and does what is chosen in one step. */
export function ArrangeForPhone({ page, open, onClose }: { page: string; open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="arrange-title">
      <DialogTitle id="arrange-title" component="h2" sx={{ typography: "h2" }}>
        Arrange for phone
      </DialogTitle>
      {open ? <Contents page={page} onClose={onClose} /> : null}
    </Dialog>
  );
}
