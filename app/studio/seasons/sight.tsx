import { Box, Button, Typography, useMediaQuery, type Theme } from "@mui/material";
import { useMemo } from "react";
import { switchSeason } from "~/core/commands";
import { clockPlus, clockWords, endWords, holds } from "~/core/conditions";
import { applyAll } from "~/core/operations";
import { yearsLater, wornOn, type Season } from "~/core/seasons";
import { FIRST_VISIT, clockOf } from "~/core/situation";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { DEVICE_WIDTH, DraftFrame } from "../panes";
import { INK, useSize } from "../ui";

const HOME = { page: "home" } as const;
const PHONE_WIDTH = 190;
const HEIGHT = 520;

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
  const isNarrow = useMediaQuery((theme: Theme) => theme.breakpoints.down("sm"));
  const draft = useMemo(() => {
    const on = switchSeason(whole, season.id, true);
    const next = on.ok ? applyAll(whole, on.transaction.operations) : undefined;
    return wornOn(next?.ok ? next.draft : whole, clock);
  }, [whole, season.id, clock]);
  const first = beginOf(season, now);
  const turn = (at: string) => store.getState().lookAs({ at, person: looking?.person ?? FIRST_VISIT });
  const lasts = holds([season.dates], { clock });
  const wide = Math.max(200, (size?.width ?? 600) - (isNarrow ? 0 : PHONE_WIDTH + 12));
  return (
    <Box component="section" aria-label="The home page then" sx={{ display: "grid", gap: 1.5, alignContent: "start" }}>
      <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          The home page on {clockWords(clock)}
        </Typography>
        <Button
          size="small"
          onClick={() => turn(`${first.slice(0, 10)}T12:00` > first ? `${first.slice(0, 10)}T12:00` : first)}
        >
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
      <Box ref={ref} sx={{ display: "flex", gap: 1.5 }}>
        {size ? (
          <>
            <Box
              sx={{ border: `1px solid ${INK.ink}`, borderRadius: 1, overflow: "hidden", width: wide, bgcolor: "#fff" }}
            >
              <DraftFrame
                inert
                title="The home page on a wide screen"
                draft={draft}
                target={HOME}
                device="wide"
                scale={wide / DEVICE_WIDTH.wide}
                height={HEIGHT}
              />
            </Box>
            {isNarrow ? null : (
              <Box
                sx={{
                  border: `1px solid ${INK.ink}`,
                  borderRadius: 1,
                  overflow: "hidden",
                  width: PHONE_WIDTH,
                  bgcolor: "#fff",
                }}
              >
                <DraftFrame
                  inert
                  title="The home page on a phone"
                  draft={draft}
                  target={HOME}
                  device="phone"
                  scale={PHONE_WIDTH / DEVICE_WIDTH.phone}
                  height={HEIGHT}
                />
              </Box>
            )}
          </>
        ) : null}
      </Box>
    </Box>
  );
}
