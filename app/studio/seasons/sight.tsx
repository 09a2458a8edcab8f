import { Box, Button, Typography } from "@mui/material";
import { useMemo } from "react";
import { switchSeason } from "~/core/commands";
import { clockPlus, clockWords, endWords, holds } from "~/core/conditions";
import { applyAll } from "~/core/operations";
import { yearsLater, wornOn, type Season } from "~/core/seasons";
import { FIRST_VISIT, clockOf } from "~/core/situation";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { BoxedFrame } from "../panes";
import { useSize } from "../ui";

const HOME = { page: "home" } as const;
const PHONE_WIDTH = 190;
const HEIGHT = 520;
const GAP = 12;
/** With less room, in px, a phone beside the wide screen would leave too little of it. */
const ROOM_FOR_BOTH = 480;
/** At this hour of its first day a season is looked at, unless it begins later. */
const NOON = "T12:00";

/** The next time that a season begins: this one while it lasts. */
function beginOf({ dates }: Season, clock: string): string {
  if (!dates.yearly) return dates.from;
  const year = Number(clock.slice(0, 4)) - Number(dates.from.slice(0, 4));
  const [last, next] = [yearsLater(dates.from, year - 1), yearsLater(dates.from, year)];
  if (holds([dates], { clock })) return next <= clock ? next : last;
  return next > clock ? next : yearsLater(dates.from, year + 1);
}

/** The home page at the time that the dial stands at, as it is with this season on. */
export function SeasonSight({ season }: { season: Season }) {
  const store = useStudioStore();
  const whole = useStudio((s) => s.draft);
  const clock = useStudio((s) => clockOf(s.situation));
  const now = useStudio(clockNow);
  const looking = useStudio((s) => s.looking);
  const { ref, size } = useSize();
  const draft = useMemo(() => {
    const on = switchSeason(whole, season.id, true);
    const next = on.ok ? applyAll(whole, on.transaction.operations) : undefined;
    return wornOn(next?.ok ? next.draft : whole, clock);
  }, [whole, season.id, clock]);
  const first = beginOf(season, now);
  const noon = `${first.slice(0, 10)}${NOON}`;
  const turn = (at: string) => store.getState().lookAs({ at, person: looking?.person ?? FIRST_VISIT });
  const lasts = holds([season.dates], { clock });
  const hasPhone = size !== undefined && size !== null && size.width >= ROOM_FOR_BOTH;
  return (
    <Box component="section" aria-label="The home page then" sx={{ display: "grid", gap: 1.5, alignContent: "start" }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          The home page on {clockWords(clock)}
        </Typography>
        <Button size="small" onClick={() => turn(first > noon ? first : noon)}>
          On its first day
        </Button>
        <Button size="small" onClick={() => turn(clockPlus(first, -1))}>
          The day before
        </Button>
      </Box>
      <Typography variant="body2" color="text.secondary" role="status">
        {lasts
          ? `“${season.name}” lasts until ${endWords(season.dates.until, !season.dates.yearly)}.`
          : `It is not “${season.name}” then. Turn the dial of “The year”, or press “On its first day”.`}
        {season.isOff ? " It is seen here as if it were on." : ""}
      </Typography>
      <Box ref={ref} sx={{ display: "flex", gap: `${GAP}px` }}>
        {size ? (
          <BoxedFrame
            title="The home page on a wide screen"
            draft={draft}
            target={HOME}
            device="wide"
            width={size.width - (hasPhone ? PHONE_WIDTH + GAP : 0)}
            height={HEIGHT}
          />
        ) : null}
        {hasPhone ? (
          <BoxedFrame
            title="The home page on a phone"
            draft={draft}
            target={HOME}
            device="phone"
            width={PHONE_WIDTH}
            height={HEIGHT}
          />
        ) : null}
      </Box>
    </Box>
  );
}
