import { Box, Button, Divider, Link, ListSubheader, MenuItem, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import {
  clockWords,
  conditionsSchema,
  daysWords,
  endWords,
  explain,
  outlook,
  rulesIn,
  ruleWords,
  type Condition,
  type DateRule,
  type Outlook,
  type Rule,
  type TimeRule,
} from "~/core/conditions";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { INK, MenuButton, useWhenChanged } from "../ui";
import { useNames } from "./names";
import { RuleEditor } from "./rules";
import { joined, split, startersFor, turnedAt, withRule, type Told } from "./told";
import { STARTS } from "./starts";
import { DatesWords } from "./dates-words";
import { Days, Hours } from "./times";
import { useReach, type ReachSaid } from "./use-reach";
import { Word } from "./word";

/** What is true of a part now, and what comes next, in words. */
function nowWords({ shows: is, until }: Outlook, of: Of): string {
  const [does, doesnt] = of === "part" ? ["shows", "doesn’t show"] : ["holds", "doesn’t hold"];
  if (until === undefined) return is ? `It ${does} now, and goes on to.` : `It never ${does} again.`;
  return is ? `It ${does} now, until ${endWords(until)}.` : `It ${doesnt} now, but from ${clockWords(until)} on.`;
}

type Of = "part" | "offer";

/** What offers ask about; their goods are their own. */
const OF_OFFERS: ReadonlySet<Rule["when"]> = new Set(["dates", "times", "visitor", "cart", "country"]);

type SentenceProps = {
  /** As JSON; undefined: several things differ in it. */
  conditions: string | undefined;
  /** The document in which what shows stands; undefined: no page is to be counted. */
  document: string | undefined;
  /** What it is about: a part that shows, or an offer that holds. An offer is asked about in a cart, on no page. */
  of?: Of;
  /** Gives the reason where they can't be kept. */
  onSet: (conditions: readonly Condition[]) => string | undefined;
};

/** When something shows, as a sentence whose words are pressed to change it. */
export function WhenSentence({ conditions, document, of = "part", onSet }: SentenceProps) {
  const names = useNames();
  const clock = useStudio(clockNow);
  const [why, setWhy] = useState<string>();
  const [added, setAdded] = useState<number>();
  useWhenChanged(conditions, () => setWhy(undefined));
  const known = useMemo(() => JSON.parse(conditions ?? "[]") as readonly Condition[], [conditions]);
  const told = split(known);
  const reach = useReach(known, document);
  const { dates, times, rules } = told;
  const put = (next: Told) => {
    const asked = joined(next);
    setWhy(undefined);
    if (conditions !== undefined && JSON.stringify(asked) === conditions) return;
    const checked = conditionsSchema.safeParse(asked);
    setWhy(checked.success ? onSet(asked) : checked.error.issues[0]!.message);
  };
  const set = (change: Partial<Told>) => put({ ...told, ...change });
  const dated = (change: Partial<DateRule>) => {
    const next = { ...dates, ...change };
    set({ dates: next.from && next.until ? next : { ...next, yearly: undefined } });
  };
  const today = clock.slice(0, 10);
  return (
    <Box>
      <Typography component="p" variant="body2" sx={{ lineHeight: 2 }}>
        {of === "part" ? "Shows" : "Holds"} <DatesWords dates={dates} today={today} why={why} onSet={dated} />,{" "}
        <Word said={times.days ? `on ${daysWords(times.days)}` : "every day"} label="Which days" why={why}>
          <Days value={times.days} onSet={(days) => set({ times: { ...times, days } })} />
        </Word>
        ,{" "}
        <Word said={hoursWords(times)} label="Which hours" why={why}>
          <Hours rule={times} onSet={(hours) => set({ times: { ...times, ...hours } })} />
        </Word>
        {rules.map(({ rule, isOr }, i) => (
          // Rules have nothing of their own to be known by.
          <span key={i}>
            {i === 0 ? ", " : <Joint isOr={isOr} onTurn={() => set({ rules: turnedAt(rules, i) })} />}
            <Word
              said={ruleWords(rule, names)}
              label={RULE_LABELS[rule.when]}
              width={rule.when === "goods" ? 460 : 340}
              isNew={added === i}
              why={why}
            >
              <RuleEditor rule={rule} onSet={(next) => set({ rules: withRule(rules, i, next) })} />
              <Box>
                <Button
                  size="small"
                  onClick={() => {
                    setAdded(undefined);
                    set({ rules: withRule(rules, i, undefined) });
                  }}
                >
                  Take this out
                </Button>
              </Box>
            </Word>
          </span>
        ))}
        .
      </Typography>
      <AddMenu
        known={known}
        of={of}
        onStarter={(rule) => {
          setAdded(rules.length);
          set({ rules: [...rules, { rule, isOr: false }] });
        }}
        onConditions={(next) => put(split(next))}
      />
      {conditions === undefined ? (
        <Typography variant="caption" component="p" color="text.secondary">
          These parts show at different times. What you set is for all of them.
        </Typography>
      ) : known.length ? (
        <NowNote conditions={known} of={of} clock={clock} reach={reach} onAlways={() => put(split([]))} />
      ) : null}
      {why ? (
        <Typography variant="caption" component="p" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
    </Box>
  );
}

const RULE_LABELS: Readonly<Record<Rule["when"], string>> = {
  dates: "Which dates",
  times: "Which hours",
  pages: "On which pages",
  goods: "For which goods",
  visitor: "To whom",
  cart: "With what cart",
  country: "From where",
};

const hoursWords = ({ from, until }: TimeRule): string =>
  from || until ? `between ${from ?? "00:00"} and ${until ?? "00:00"}` : "all day long";

/** The word between two rules: both have to hold, or one is enough. */
function Joint({ isOr, onTurn }: { isOr: boolean; onTurn: () => void }) {
  return (
    <>
      {isOr ? " " : ", "}
      <Link
        component="button"
        type="button"
        variant="body2"
        onClick={onTurn}
        aria-label={isOr ? "or: one of both is enough. Press for and" : "and: both have to be so. Press for or"}
        sx={{ verticalAlign: "baseline", color: INK.ink }}
      >
        {isOr ? "or" : "and"}
      </Link>{" "}
    </>
  );
}

type NowProps = { conditions: readonly Condition[]; of: Of; clock: string; reach: ReachSaid; onAlways: () => void };

/** What is true of it now, what comes next, and where it is seen. */
function NowNote({ conditions, of, clock, reach, onAlways }: NowProps) {
  const isTimed = conditions.some((each) => each.when === "dates" || each.when === "times");
  return (
    <>
      {reach.problem ? (
        <Typography variant="caption" component="p" color="error" role="status">
          {reach.problem}
        </Typography>
      ) : reach.words ? (
        <Typography variant="caption" component="p" color="text.secondary" role="status">
          {reach.words}
        </Typography>
      ) : null}
      <Typography variant="caption" component="p" color="text.secondary">
        {isTimed ? `${nowWords(outlook(conditions, clock), of)} All times are those of your shop. ` : ""}
        <Link component="button" type="button" onClick={onAlways}>
          Always again
        </Link>
      </Typography>
    </>
  );
}

type AddProps = {
  known: readonly Condition[];
  of: Of;
  onStarter: (rule: Rule) => void;
  /** Puts others in their place. */
  onConditions: (conditions: readonly Condition[]) => void;
};

/** What can be asked besides time, ready conditions, and those of another thing. */
function AddMenu({ known, of, onStarter, onConditions }: AddProps) {
  const store = useStudioStore();
  const names = useNames();
  const copied = useStudio((s) => s.copiedWhen);
  const locale = useStudio((s) => s.shop.locale);
  const may = (all: readonly Condition[]) => of === "part" || rulesIn(all).every(({ when }) => OF_OFFERS.has(when));
  return (
    <MenuButton label={of === "part" ? "Only where, or for whom" : "Only for some"} dense>
      {(then) => [
        ...startersFor(locale)
          .filter(({ rule }) => may([rule]))
          .map(({ name, rule }) => (
            <MenuItem key={name} onClick={then(() => onStarter(rule))}>
              {name}
            </MenuItem>
          )),
        <Divider key="then ready ones" component="li" />,
        <ListSubheader key="ready" sx={{ lineHeight: 2, bgcolor: "transparent" }}>
          Ready ones, in place of these
        </ListSubheader>,
        ...STARTS.filter(({ conditions }) => may(conditions)).map(({ name, conditions }) => (
          <MenuItem key={name} onClick={then(() => onConditions(conditions))}>
            {name}
          </MenuItem>
        )),
        <Divider key="then copies" component="li" />,
        <MenuItem
          key="copy"
          disabled={known.length === 0}
          onClick={then(() => {
            store.setState({ copiedWhen: known });
            store.getState().say("Copied. Choose another thing, and put it there.");
          })}
        >
          {of === "part" ? "Copy when it shows" : "Copy when it holds"}
        </MenuItem>,
        <MenuItem
          key="put"
          disabled={copied === null || !may(copied)}
          onClick={then(() => copied && onConditions(copied))}
          title={copied ? `Shows ${explain(copied, names)}` : undefined}
        >
          Put what was copied here
        </MenuItem>,
      ]}
    </MenuButton>
  );
}
