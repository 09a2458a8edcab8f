import { Alert, Box, Button, LinearProgress, Link, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { homeOf } from "~/core/addresses";
import { differences, entryOf, layoutProps, type Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import type { LayoutRule } from "~/core/checks";
import { seasonsOf } from "~/core/seasons";
import { levelOf } from "~/kinds";
import { lostLinksIn, type LostLink } from "~/kinds/lost-links";
import { placeWords } from "~/kinds/references";
import { seasonTrouble } from "~/kinds/seasons";
import { PageSurvey, RULE_WORDS, type PageFindings } from "../checks";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { DEVICE_NAME } from "../panes";
import { calledOf, troubleWords } from "../seasons";
import { pageShowing } from "../shared";
import { INK } from "../ui";

/** Pages are drawn and measured one after another; more than these would keep a seller waiting. */
const MOST_PAGES = 6;
/** Of each weight, so many are listed at first. */
const MOST_LISTED = 6;

const WEIGHTS = ["stuck", "ugly", "better"] as const;
type Weight = (typeof WEIGHTS)[number];
const WEIGHT_WORDS: Readonly<Record<Weight, string>> = {
  stuck: "In a shopper’s way",
  ugly: "Looks wrong",
  better: "Could be better",
};
const RULE_WEIGHT: Readonly<Record<LayoutRule, Weight>> = {
  unreadable: "stuck",
  "small-target": "stuck",
  overlap: "stuck",
  overflow: "ugly",
  "small-text": "ugly",
  "broken-word": "ugly",
  "long-line": "better",
};

type Problem = {
  readonly weight: Weight;
  /** The page on which it is, or the offer or season. */
  readonly page: string;
  /** A part of the page; absent: it is about an offer or a season. */
  readonly node?: string;
  readonly says: string;
};

function problemOf(each: LostLink, { documents }: Draft): Problem {
  const { document, part, why, isAsked, isSaid = false } = each;
  if (document.kind === "offer")
    return { weight: "stuck", page: document.id, says: `The offer “${document.title}” is about ${why}` };
  // An item of a menu that leads nowhere is left out by itself.
  const isItem = levelOf(part) === "item";
  return {
    weight: isItem ? "better" : "stuck",
    page: pageShowing(documents, document),
    node: part.id,
    says: `${placeWords(each)} ${isAsked ? "shows only with" : isSaid ? "speaks of" : isItem ? "is left out: it leads to" : "leads to"} ${why}`,
  };
}

/** What does not go together in the seasons that are on. */
const ofSeasons = (draft: Draft, clock: string): readonly Problem[] =>
  seasonsOf(draft.documents)
    .filter(({ isOff }) => !isOff)
    .flatMap((season) =>
      seasonTrouble(draft, season, clock).map((trouble): Problem => {
        const what = "member" in trouble ? ` › ${calledOf(trouble.member).name}` : "";
        return {
          weight: "better",
          page: season.id,
          says: `The season “${season.name}”${what}: ${troubleWords(trouble)}`,
        };
      }),
    );

/** The problems of one weight. */
function Weighed({
  weight,
  problems,
  onGo,
}: {
  weight: Weight;
  problems: readonly Problem[];
  onGo: (problem: Problem) => void;
}) {
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? problems : problems.slice(0, MOST_LISTED);
  const id = `weight-${weight}`;
  if (problems.length === 0) return null;
  return (
    <Box sx={{ my: 1 }}>
      <Typography id={id} variant="subtitle2">
        {WEIGHT_WORDS[weight]}
      </Typography>
      <Box component="ul" aria-labelledby={id} sx={{ m: 0, pl: 2.5 }}>
        {shown.map((problem) => (
          <li key={`${problem.page} ${problem.node} ${problem.says}`}>
            {problem.says}{" "}
            <Button
              size="small"
              sx={{ minHeight: 22, py: 0, px: 0.5, textDecoration: "underline" }}
              onClick={() => onGo(problem)}
            >
              Show me
            </Button>
          </li>
        ))}
      </Box>
      {problems.length > shown.length ? (
        <Link component="button" type="button" onClick={() => setWhole(true)} sx={{ fontSize: 13 }}>
          and {problems.length - shown.length} more
        </Link>
      ) : null}
    </Box>
  );
}

/** The pages that look otherwise than they did: those that were changed, and the first one where all of them were. */
function changedPages(published: Draft | undefined, draft: Draft): readonly string[] {
  const kindOf = (id: string) => entryOf(draft.documents, id)?.kind;
  const known = (id: string) => kindOf(id) === "page" || kindOf(id) === "layout";
  if (!published) return Object.keys(draft.documents).filter(known).slice(0, MOST_PAGES);
  const changed = differences(published, draft).flatMap((d) => {
    if (!("document" in d)) return "frame";
    // Offers stand on no page.
    if (d.document.kind === "offer" || d.document.kind === "season") return [];
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
  // What leads nowhere is known at once, of the whole shop.
  const [lost] = useState(() => {
    const { draft: now, goods, pictures } = store.getState();
    return lostLinksIn(now, { goods, pictures });
  });
  const [seasons] = useState(() => ofSeasons(draft, clockNow(store.getState())));
  const problems = useMemo(
    () => [
      ...lost.map((each) => problemOf(each, draft)),
      ...seasons,
      ...done.flatMap(({ page, findings }) =>
        findings.map(({ rule, device, says, node }): Problem => {
          const what = `${entryOf(draft.documents, page)?.title}, ${DEVICE_NAME[device].toLowerCase()}: ${RULE_WORDS[rule].toLowerCase()}`;
          return { weight: RULE_WEIGHT[rule], page, node, says: says ? `${what}, “${says}”` : what };
        }),
      ),
    ],
    [done, lost, seasons, draft],
  );
  if (pages.length === 0 && lost.length + seasons.length === 0) return null;
  const isDone = done.length === pages.length;
  const go = ({ page, node }: Problem) => {
    onGo();
    const kind = entryOf(draft.documents, page)?.kind === "season" ? "season" : "offer";
    if (node === undefined) return void navigate(`/s/${shop.id}/offers?${kind}=${page}`);
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
      {isDone && problems.length === 0 ? (
        <Typography variant="caption" component="p" role="status" sx={{ color: INK.leaf }}>
          Looked through on phone and wide screen: nothing stands out.
        </Typography>
      ) : null}
      {problems.length ? (
        <Alert severity="warning" sx={{ alignItems: "start", "& .MuiAlert-message": { flex: 1, minWidth: 0 } }}>
          {problems.length === 1 ? "One thing to look at first:" : `${problems.length} things to look at first:`}
          {WEIGHTS.map((weight) => (
            <Weighed key={weight} weight={weight} problems={problems.filter((p) => p.weight === weight)} onGo={go} />
          ))}
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
