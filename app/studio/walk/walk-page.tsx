import {
  Alert,
  Box,
  Button,
  LinearProgress,
  List,
  ListItem,
  ListItemText,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { Check, CircleSlash, Footprints, Square, TriangleAlert } from "lucide-react";
import { useMemo, useState } from "react";
import { findingsByPage, type Walked, type WalkTrial } from "~/core/walk";
import { seenAt } from "~/render";
import { useStudio } from "../keeping";
import { BoxedFrame } from "../panes";
import { Blank, INK, VISUALLY_HIDDEN } from "../ui";
import { useWalk } from "./use-walk";

const count = (n: number, one: string, many: string) => `${n.toLocaleString("en")} ${n === 1 ? one : many}`;

/** The page that the shopper is on, as they see it on a phone. */
function Watching({ page }: { page: string }) {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const target = useMemo(() => {
    const { pathname, searchParams } = new URL(page, "http://shop.example");
    return seenAt(pathname, searchParams, draft.documents, goods);
  }, [page, draft.documents, goods]);
  return (
    <BoxedFrame width={250} device="phone" height={500} title={`The page ${page}`} draft={draft} target={target} />
  );
}

function Trial({ trial }: { trial: WalkTrial }) {
  const [Sign, colour, words] = trial.isSkipped
    ? [CircleSlash, INK.soft, "Not tried"]
    : trial.isGood
      ? [Check, INK.leaf, "Good"]
      : [TriangleAlert, INK.brick, "Wrong"];
  return (
    <ListItem disableGutters sx={{ alignItems: "flex-start", gap: 1.25, py: 0.5 }}>
      <Box sx={{ color: colour, pt: 0.4, display: "flex" }}>
        <Sign size={17} aria-hidden />
        <Box component="span" sx={VISUALLY_HIDDEN}>
          {words}:
        </Box>
      </Box>
      <ListItemText primary={trial.name} secondary={trial.says} sx={{ m: 0 }} />
    </ListItem>
  );
}

/** What was found, by page. */
function Report({ walked }: { walked: Walked }) {
  const address = useStudio((s) => s.shop.address);
  const pages = useMemo(() => findingsByPage(walked.findings), [walked.findings]);
  if (pages.length === 0)
    return walked.end ? (
      <Alert severity="success">
        {walked.end.isWhole
          ? "Nothing is wrong anywhere the shopper came."
          : "Nothing was wrong as far as the shopper came."}
      </Alert>
    ) : null;
  return (
    <Box sx={{ display: "grid", gap: 1.5, gridTemplateColumns: "minmax(0,1fr)" }}>
      {pages.map(([page, findings]) => (
        <Box
          key={page}
          component="section"
          sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, p: 1.5, bgcolor: INK.raised }}
        >
          <Typography variant="h3" sx={{ overflowWrap: "anywhere" }}>
            <a href={address.replace(/\/$/, "") + page} target="_blank" rel="noreferrer">
              {page}
            </a>
          </Typography>
          <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.5, display: "grid", gap: 0.75 }}>
            {findings.map(({ what, mend }) => (
              <li key={what}>
                <Typography variant="body2" sx={{ overflowWrap: "anywhere" }}>
                  {what}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {mend}
                </Typography>
              </li>
            ))}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** The walk-through: begun, watched, and read. */
export function WalkPage() {
  const { walked, of, isUnderWay, isStopped, why, start, stop } = useWalk();
  const [wish, setWish] = useState<"draft" | "published">("draft");
  const { pages, known, now, trials, end, findings } = walked;
  const hasBegun = of !== undefined;
  const wrong = trials.filter((trial) => !trial.isGood).length;
  return (
    <Box sx={{ overflowY: "auto", minHeight: 0 }}>
      <Box sx={{ p: { xs: 2, md: 3 }, maxWidth: 1180, display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "center" }}>
          <Box sx={{ flex: "1 1 20rem" }}>
            <Typography variant="h1">Walk-through</Typography>
            <Typography color="text.secondary" sx={{ maxWidth: 640 }}>
              An automatic shopper follows every link, looks for things, fills the cart and pays in every way that you
              offer, with test cards. What it orders is taken away again, and no letters are sent.
            </Typography>
          </Box>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={wish}
            aria-label="What it goes through"
            disabled={isUnderWay}
            onChange={(_e, next: "draft" | "published" | null) => next && setWish(next)}
          >
            <ToggleButton value="draft">The draft</ToggleButton>
            <ToggleButton value="published">What is published</ToggleButton>
          </ToggleButtonGroup>
          {isUnderWay ? (
            <Button variant="outlined" startIcon={<Square size={15} aria-hidden />} onClick={stop}>
              Stop
            </Button>
          ) : (
            <Button variant="contained" startIcon={<Footprints size={16} aria-hidden />} onClick={() => start(wish)}>
              {hasBegun ? "Walk through again" : "Walk through it"}
            </Button>
          )}
        </Box>
        {why ? <Alert severity="error">{why}</Alert> : null}
        {isStopped ? <Alert severity="info">Stopped. What was found so far stands below.</Alert> : null}
        {hasBegun ? (
          <Box role="status" sx={{ display: "grid", gap: 0.75 }}>
            <Typography sx={{ fontWeight: 600, fontVariantNumeric: "tabular-nums" }}>
              {end
                ? `${count(end.pages, "page", "pages")} and ${count(end.links, "link", "links")} in ${count(end.seconds, "second", "seconds")}: ${findings.length === 0 ? "nothing is wrong" : count(findings.length, "thing is wrong", "things are wrong")}.`
                : trials.length || (now && pages.length === known)
                  ? `Trying: ${now?.words ?? ""}`
                  : `Page ${pages.length} of ${known}: ${now?.words ?? ""}`}
            </Typography>
            {isUnderWay ? (
              <LinearProgress
                aria-label="How far it is"
                variant={trials.length === 0 && known > 0 ? "determinate" : "indeterminate"}
                value={known ? (100 * pages.length) / known : 0}
              />
            ) : null}
          </Box>
        ) : (
          <Blank
            title="Nobody has walked through yet"
            text="Do it before you publish: it takes a few seconds for a small shop, and you can go on working meanwhile in another tab."
          />
        )}
        {hasBegun ? (
          <Box
            sx={{
              display: "grid",
              gap: 3,
              alignItems: "start",
              gridTemplateColumns: {
                xs: "minmax(0,1fr)",
                lg: isUnderWay ? "minmax(0,1.3fr) minmax(0,1fr) 252px" : "minmax(0,1.3fr) minmax(0,1fr)",
              },
            }}
          >
            <Box component="section" aria-label="What is wrong">
              <Typography variant="h2" sx={{ mb: 1 }}>
                What is wrong
              </Typography>
              <Report walked={walked} />
              {findings.length === 0 && !end ? (
                <Typography color="text.secondary">
                  {isUnderWay ? "Nothing so far." : "Nothing as far as it came."}
                </Typography>
              ) : null}
            </Box>
            <Box component="section" aria-label="What was tried">
              <Typography variant="h2" sx={{ mb: 1 }}>
                What was tried{wrong ? ` (${count(wrong, "went wrong", "went wrong")})` : ""}
              </Typography>
              <List disablePadding>
                {trials.map((trial) => (
                  <Trial key={trial.name} trial={trial} />
                ))}
              </List>
              {trials.length === 0 ? (
                <Typography color="text.secondary">
                  Searching, filtering, buying: all of it comes after the links.
                </Typography>
              ) : null}
            </Box>
            {isUnderWay && now ? (
              <Box component="aside" aria-label="Where the shopper is">
                <Watching page={now.page} />
              </Box>
            ) : null}
          </Box>
        ) : null}
      </Box>
    </Box>
  );
}
