import { Alert, Box, Button, LinearProgress, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { homeOf } from "~/core/addresses";
import { differences, entryOf, layoutProps, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { PageSurvey, RULE_WORDS, type PageFindings } from "../checks";
import { useStudio, useStudioStore } from "../keeping";
import { DEVICE_NAME } from "../panes";
import { pageShowing } from "../shared";
import { INK } from "../ui";

/** Pages are drawn and measured one after another; more than these would keep a seller waiting. */
const MOST_PAGES = 6;
const MOST_LISTED = 12;

/** The pages that look otherwise than they did: those that were changed, and the first one where all of them were. */
function changedPages(published: Draft | undefined, draft: Draft): readonly string[] {
  const kindOf = (id: string) => entryOf(draft.documents, id)?.kind;
  const known = (id: string) => kindOf(id) === "page" || kindOf(id) === "layout";
  if (!published) return Object.keys(draft.documents).filter(known).slice(0, MOST_PAGES);
  const changed = differences(published, draft).flatMap((d) => {
    if (!("document" in d)) return "frame";
    return d.document.kind === "shared" ? pageShowing(draft.documents, d.document) : d.document.id;
  });
  // What stands on every page is looked at on the home page.
  const ids = changed.some((id) => !known(id)) ? [homeOf(draft.documents), ...changed] : changed;
  return [...new Set(ids)].filter(known).slice(0, MOST_PAGES);
}

/** What there is to look at on the pages that would be published; it holds nobody up. */
export function ToLookAt({ onGo }: { onGo: () => void }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop);
  const [{ draft, pages }] = useState(() => {
    const now = store.getState();
    const asked = changedPages(now.published, now.draft);
    // A layout for which there are no goods yet has no page that could be drawn.
    return { draft: now.draft, pages: asked.filter((page) => canBeDrawn(now.draft, now.goods, page)) };
  });
  const [done, setDone] = useState<readonly PageFindings[]>([]);
  const found = useMemo(
    () => done.flatMap(({ page, findings }) => findings.map((finding) => ({ page, finding }))),
    [done],
  );
  if (pages.length === 0) return null;
  const isDone = done.length === pages.length;
  const go = (page: string, node: string) => {
    onGo();
    store.getState().select(node);
    void navigate(`/s/${shop.id}/pages?page=${page}`);
  };
  return (
    <Box sx={{ mt: 2 }}>
      {isDone ? null : <PageSurvey pages={pages} onPage={(page) => setDone((before) => [...before, page])} />}
      {isDone ? null : (
        <Box role="status">
          <Typography variant="caption" color="text.secondary">
            Looking through {pages.length === 1 ? "the page" : "the pages"} on phone and wide screen: {done.length} of{" "}
            {pages.length}
          </Typography>
          <LinearProgress
            variant="determinate"
            value={(100 * done.length) / pages.length}
            aria-label="Looking through the pages"
          />
        </Box>
      )}
      {isDone && found.length === 0 ? (
        <Typography variant="caption" component="p" role="status" sx={{ color: INK.leaf }}>
          Looked through on phone and wide screen: nothing stands out.
        </Typography>
      ) : null}
      {found.length ? (
        <Alert severity="warning" sx={{ alignItems: "start" }}>
          {found.length === 1 ? "One thing to look at first:" : `${found.length} things to look at first:`}
          <Box component="ul" aria-label="Things to look at" sx={{ m: 0, pl: 2.5 }}>
            {found.slice(0, MOST_LISTED).map(({ page, finding }, i) => (
              <li key={i}>
                {entryOf(draft.documents, page)?.title}, {DEVICE_NAME[finding.device].toLowerCase()}:{" "}
                {RULE_WORDS[finding.rule].toLowerCase()}
                {finding.says ? `, “${finding.says}”` : ""}{" "}
                <Button
                  size="small"
                  sx={{ minHeight: 22, py: 0, px: 0.5, textDecoration: "underline" }}
                  onClick={() => go(page, finding.node)}
                >
                  Show me
                </Button>
              </li>
            ))}
            {found.length > MOST_LISTED ? <li>and {found.length - MOST_LISTED} more</li> : null}
          </Box>
          You can publish all the same.
        </Alert>
      ) : null}
    </Box>
  );
}

function canBeDrawn(draft: Draft, goods: Goods, page: string): boolean {
  const document = entryOf(draft.documents, page);
  return (document && layoutProps(document)?.of) !== "product" || goods.products.length > 0;
}
