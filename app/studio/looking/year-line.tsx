import { Box, Tooltip, Typography } from "@mui/material";
import { TriangleAlert, X } from "lucide-react";
import {
  useEffect,
  useMemo,
  useState,
  type KeyboardEvent,
  type PointerEvent as ReactPointerEvent,
  type ReactNode,
} from "react";
import { useNavigate } from "react-router";
import { setConditions, setOfferConditions, setSeasonDates } from "~/core/commands";
import {
  clockPlus,
  clockWords,
  conditionalDocuments,
  conditionsOf,
  movedDates,
  ruleWords,
  spansOf,
  type DateRule,
} from "~/core/conditions";
import type { PageDocument, Part } from "~/core/document";
import { postsAhead } from "~/core/journal";
import { listPlans, type PublicationPlan } from "~/core/protocol";
import { seasonsOf, type SeasonDates } from "~/core/seasons";
import { clockIn, FIRST_VISIT } from "~/core/situation";
import { nameOf } from "~/kinds";
import { seasonTrouble } from "~/kinds/seasons";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { calledOf } from "../seasons";
import { pageShowing } from "../shared";
import { followPointer, IconAction, INK, useSize } from "../ui";
import { useNames } from "../when";
import { Dial, DIAL_DAYS, daysOf, monthsFrom } from "./dial";

const LABELS = 168;
/** And where there is little room for all of it. */
const NARROW_LABELS = 108;
const ROW = 24;
/** Rows that are seen at once; the others scroll. */
const SEEN_ROWS = 4;

type Dated = { readonly document: PageDocument; readonly part: Part; readonly rule: DateRule };

/** What a thing with dates does between them, and whether it does so at all. */
const doesOf = ({ document, part }: Pick<Dated, "document" | "part">) =>
  document.kind === "offer" || document.kind === "season"
    ? { does: document.kind === "offer" ? "holds" : "lasts", isOn: part.props.off !== true }
    : { does: "shows", isOn: part.shown };

const rank = ({ document }: Dated) => (document.kind === "season" ? 0 : 1);

/** What has dates: seasons, then what begins first. */
function useDated(): readonly Dated[] {
  const documents = useStudio((s) => s.draft.documents);
  return useMemo(
    () =>
      conditionalDocuments(documents)
        .flatMap(([document, parts]) =>
          document.kind === "piece"
            ? []
            : parts.flatMap((part): readonly Dated[] => {
                const rule = conditionsOf(part).find((each) => each.when === "dates");
                return rule && !rule.not ? [{ document, part, rule }] : [];
              }),
        )
        // Seasons hold the others together: they stand first.
        .toSorted((a, b) => rank(a) - rank(b) || ((a.rule.from ?? "") < (b.rule.from ?? "") ? -1 : 1)),
    [documents],
  );
}

type Move = { readonly days: number; readonly which: "both" | "from" | "until" };
const MOVES = new Map([
  ["ArrowLeft", -1],
  ["ArrowRight", 1],
]);

type BarProps = {
  dated: Dated;
  begin: string;
  end: string;
  /** Width of a day, in px. */
  day: number;
  onMove: (move: Move) => void;
  onGo: () => void;
};

/** The times of one part as bars, to be moved and lengthened. */
function Bars({ dated, begin, end, day, onMove, onGo }: BarProps) {
  const names = useNames();
  const [held, setHeld] = useState<Move | null>(null);
  const { rule } = dated;
  const shown = held ? movedDates(rule, held.days, held.which) : rule;
  const words = ruleWords(shown, names);
  const { name } = calledOf(dated);
  const { does, isOn } = doesOf(dated);
  const isSeason = dated.document.kind === "season";
  const grab = (which: Move["which"]) => (event: ReactPointerEvent) => {
    event.stopPropagation();
    let days = 0;
    followPointer(event.nativeEvent, {
      farEnough: 3,
      onMove: (dx) => {
        days = Math.round(dx / day);
        setHeld({ days, which });
      },
      onEnd: (how) => {
        setHeld(null);
        if (how === "clicked") onGo();
        else if (how === "dropped" && days !== 0) onMove({ days, which });
      },
      swallowsClick: true,
    });
  };
  const press = (event: KeyboardEvent) => {
    const days = MOVES.get(event.key);
    if (event.key === "Enter") onGo();
    else if (days !== undefined) onMove({ days, which: event.shiftKey ? "until" : event.altKey ? "from" : "both" });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return spansOf(shown, begin, end).map((span) => {
    const [left, width] = [(daysOf(span.from) - daysOf(begin)) * day, (daysOf(span.until) - daysOf(span.from)) * day];
    const edge = (which: "from" | "until", is: boolean) =>
      is ? (
        <Box
          onPointerDown={grab(which)}
          sx={{
            position: "absolute",
            top: 0,
            bottom: 0,
            [which === "from" ? "left" : "right"]: -3,
            width: 9,
            cursor: "ew-resize",
            touchAction: "none",
          }}
        />
      ) : null;
    return (
      <Tooltip
        key={`${span.from.slice(0, 4)} ${rule.yearly ? "" : "once"}`}
        title={`${does[0]!.toUpperCase()}${does.slice(1)} ${words}`}
        placement="top"
      >
        <Box
          role="button"
          tabIndex={0}
          aria-label={`${name}, ${does} ${words}`}
          aria-describedby="year-line-keys"
          onPointerDown={grab("both")}
          onKeyDown={press}
          sx={{
            position: "absolute",
            left,
            width: Math.max(6, width),
            top: 3,
            height: ROW - 6,
            bgcolor: held ? INK.plum : isSeason ? INK.lemon : INK.ink,
            border: isSeason ? `1px solid ${INK.ink}` : 0,
            borderRadius: `${span.isOpen.before ? 0 : 5}px ${span.isOpen.after ? 0 : 5}px ${span.isOpen.after ? 0 : 5}px ${span.isOpen.before ? 0 : 5}px`,
            opacity: isOn ? 1 : 0.4,
            cursor: "grab",
            touchAction: "none",
            "&:focus-visible": { outline: `2px solid ${INK.lemon}`, outlineOffset: 1 },
          }}
        >
          {edge("from", !span.isOpen.before)}
          {edge("until", !span.isOpen.after)}
        </Box>
      </Tooltip>
    );
  });
}

/** Something that happens once. `at`: as the shop's clocks show it. */
type Moment = { readonly key: string; readonly name: string; readonly at: string; readonly says: string };

/** What goes out, or back, at a set time. Without an answer of the server nothing is known of it. */
function usePlans(): readonly Moment[] {
  const client = useStudio((s) => s.client);
  const timeZone = useStudio((s) => s.shop.timeZone);
  const [plans, setPlans] = useState<readonly PublicationPlan[]>([]);
  useEffect(() => {
    let isGone = false;
    void client.ask(listPlans, {}).then((reply) => isGone || !reply.ok || setPlans(reply.value.plans));
    return () => {
      isGone = true;
    };
  }, [client]);
  return useMemo(
    () =>
      plans
        .filter(({ state }) => state === "waiting")
        .flatMap(({ id, what, at: out, back, parts }) => {
          const moment = (iso: string, says: string): Moment => {
            const clock = clockIn(Date.parse(iso), timeZone);
            return { key: `${id} ${says}`, name: parts.join(", "), at: clock, says: `${says} ${clockWords(clock)}` };
          };
          const first = moment(out, what === "back" ? "Goes back" : "Is published");
          return back === null ? [first] : [first, moment(back, "Goes back")];
        }),
    [plans, timeZone],
  );
}

/** What of the shop shows when, over the coming year; the dial on it turns all panes. */
export function YearLine({ onClose }: { onClose: () => void }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const { ref, size } = useSize();
  const now = useStudio(clockNow);
  const looking = useStudio((s) => s.looking);
  const shop = useStudio((s) => s.shop.id);
  const documents = useStudio((s) => s.draft.documents);
  const dated = useDated();
  const begin = `${now.slice(0, 7)}-01T00:00`;
  const end = clockPlus(begin, DIAL_DAYS);
  const labels = (size?.width ?? 0) < 600 ? NARROW_LABELS : LABELS;
  const room = Math.max(120, (size?.width ?? 0) - labels - 12);
  const day = room / DIAL_DAYS;
  const at = looking?.at ?? now;
  const move = (each: Dated, { days, which }: Move) => {
    const { part, rule } = each;
    const { draft, run, say } = store.getState();
    const next = conditionsOf(part).map((c) => (c === rule ? movedDates(rule, days, which) : c));
    const { id, kind } = each.document;
    const outcome =
      kind === "season"
        ? setSeasonDates(draft, id, movedDates(rule, days, which) as SeasonDates)
        : kind === "offer"
          ? setOfferConditions(draft, id, next)
          : setConditions(draft, [part.id], next, nameOf(part));
    const why = run(outcome);
    if (why) say(why, "problem");
  };
  const go = ({ part, document }: Dated) => {
    if (document.kind === "offer" || document.kind === "season")
      return void navigate(`/s/${shop}/offers?${document.kind}=${document.id}`);
    const { draft, select } = store.getState();
    select(part.id);
    void navigate(`/s/${shop}/pages?page=${pageShowing(draft.documents, document)}`);
  };
  const months = monthsFrom(begin);
  const plans = usePlans();
  const draft = useStudio((s) => s.draft);
  const troubled = useMemo(
    () => new Set(seasonsOf(draft.documents).flatMap((s) => (seasonTrouble(draft, s, now).length ? s.id : []))),
    [draft, now],
  );
  const posts = postsAhead(documents, now).map(({ page, at: out }): Moment => ({
    key: page.id,
    name: `“${page.title}”`,
    at: out,
    says: `Comes out ${clockWords(out)}`,
  }));
  const moments = [...plans, ...posts].filter(({ at: out }) => out < end);
  return (
    <Box
      component="section"
      ref={ref}
      aria-label="The year"
      sx={{
        flex: "none",
        px: 0,
        borderTop: `1px solid ${INK.line}`,
        borderBottom: `1px solid ${INK.line}`,
        bgcolor: INK.raised,
        minWidth: 0,
      }}
    >
      <Box sx={{ display: "flex", alignItems: "flex-start", height: 40 }}>
        {/* On the first of a month the dial's handle stands at the very beginning, and may lie over nothing. */}
        <Box sx={{ width: labels, flex: "none", display: "flex", alignItems: "center", px: 1.5 }}>
          <Typography variant="h3" component="h2" noWrap sx={{ flex: 1 }}>
            The year
          </Typography>
          <IconAction label="Close the year" icon={X} size={15} onClick={onClose} />
        </Box>
        <Dial
          label="Day that all panes show"
          begin={begin}
          at={at}
          now={now}
          letters={room < 460}
          onTurn={(to) => store.getState().lookAs({ at: to, person: looking?.person ?? FIRST_VISIT })}
          sx={{
            width: room,
            p: "10px 0 0",
            "& .MuiSlider-markLabel": { top: 18, fontSize: 11 },
            "& .MuiSlider-thumb": { bgcolor: INK.lemon, border: `2px solid ${INK.ink}`, width: 16, height: 16 },
            "& .MuiSlider-thumb::after": { width: 24, height: 24 },
          }}
        />
      </Box>
      <Box sx={{ maxHeight: SEEN_ROWS * ROW + 4, overflowY: "auto", pb: 0.5 }}>
        {dated.map((each) => (
          <Box key={each.part.id} sx={{ display: "flex", height: ROW, alignItems: "center" }}>
            <Typography
              variant="caption"
              noWrap
              title={each.document.title}
              sx={{ width: labels, flex: "none", pl: 1.5, pr: 1 }}
            >
              {troubled.has(each.document.id) ? (
                <Tooltip title="Something in it does not go together. Go to it to see what">
                  <TriangleAlert
                    size={13}
                    role="img"
                    aria-label="Does not go together"
                    style={{ verticalAlign: "-2px", marginRight: 4, color: INK.brick }}
                  />
                </Tooltip>
              ) : null}
              {calledOf(each).name} · {calledOf(each).where}
            </Typography>
            <Lane width={room} months={months.map(({ value }) => value * day)} at={(daysOf(at) - daysOf(begin)) * day}>
              <Bars
                dated={each}
                begin={begin}
                end={end}
                day={day}
                onMove={(how) => move(each, how)}
                onGo={() => go(each)}
              />
            </Lane>
          </Box>
        ))}
        {moments.map(({ key, name, at: out, says }) => (
          <Box key={key} sx={{ display: "flex", height: ROW, alignItems: "center" }}>
            <Typography variant="caption" noWrap title={name} sx={{ width: labels, flex: "none", pl: 1.5, pr: 1 }}>
              {name}
            </Typography>
            <Lane width={room} months={months.map(({ value }) => value * day)} at={(daysOf(at) - daysOf(begin)) * day}>
              <Tooltip title={says} placement="top">
                <Box
                  role="img"
                  aria-label={`${name}: ${says}`}
                  sx={{
                    position: "absolute",
                    left: (daysOf(out) - daysOf(begin)) * day - 5,
                    top: 7,
                    width: 10,
                    height: 10,
                    transform: "rotate(45deg)",
                    bgcolor: INK.plum,
                  }}
                />
              </Tooltip>
            </Lane>
          </Box>
        ))}
        {dated.length + moments.length === 0 ? (
          <Typography variant="body2" color="text.secondary" sx={{ px: 1.5, pb: 1 }}>
            Nothing has dates yet. Press “from now on” under “When it shows” in Details, or in the sentence of an offer.
          </Typography>
        ) : null}
      </Box>
      <Typography id="year-line-keys" hidden>
        Arrow keys move it by a day, with Shift they move its end, with Alt its beginning; Enter goes to it.
      </Typography>
    </Box>
  );
}

type LaneProps = { width: number; months: readonly number[]; at: number; children: ReactNode };

/** The place of one part's bars, with lines where months begin and where panes are turned to. */
function Lane({ width, months, at, children }: LaneProps) {
  return (
    <Box sx={{ position: "relative", width, height: ROW, flex: "none", borderTop: `1px solid ${INK.line}` }}>
      {months.map((left) => (
        <Box key={left} sx={{ position: "absolute", left, top: 0, bottom: 0, borderLeft: `1px solid ${INK.line}` }} />
      ))}
      {children}
      {at < 0 || at > width ? null : (
        <Box
          aria-hidden
          sx={{
            position: "absolute",
            left: at,
            top: -1,
            bottom: 0,
            width: 2,
            bgcolor: INK.lemon,
            pointerEvents: "none",
          }}
        />
      )}
    </Box>
  );
}
