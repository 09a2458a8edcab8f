import { Box, Button, MenuItem, Typography } from "@mui/material";
import { CalendarRange } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { addOffer, addSeason, freeName, freeOffer, type Outcome } from "~/core/commands";
import { clockWords, endWords, outlook } from "~/core/conditions";
import { givesWords, offersOf, type Offer } from "~/core/offers";
import { seasonsOf, type Season } from "~/core/seasons";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { LookingAs, YearLine } from "../looking";
import { datesWords, SEASON_STARTS, SeasonSight, SeasonSlip, type SeasonStart } from "../seasons";
import { FindField, INK, MenuButton, useKeys } from "../ui";
import { useNames } from "../when";
import { Slip } from "./slip";
import { startsFor, type Start } from "./starts";
import { Tried } from "./tried";

/** With more offers than that, they are looked for by typing. */
const FINDS_FROM = 12;

/** How an offer stands, in a few words. */
function stateWords({ isOff, code, conditions }: Offer, clock: string): string {
  if (isOff) return "Off";
  const { shows, until } = outlook(conditions, clock);
  if (!shows) return until === undefined ? "Over" : `From ${clockWords(until)} on`;
  const how = code === "" ? "By itself" : code;
  return until === undefined ? how : `${how}, until ${endWords(until)}`;
}

/** On a phone there is no room for the sign besides the words. */
const NEW = { minWidth: 0, "& .MuiButton-startIcon": { display: { xs: "none", md: "inherit" } } } as const;

type RowProps = {
  name: string;
  says: string;
  state: string;
  isOn: boolean;
  isChosen: boolean;
  onChoose: () => void;
};

/** An offer or a season of the list. */
const Row = ({ name, says, state, isOn, isChosen, onChoose }: RowProps) => (
  <li>
    <Box
      component="button"
      type="button"
      aria-current={isChosen ? "true" : undefined}
      onClick={onChoose}
      sx={{
        font: "inherit",
        color: INK.ink,
        width: "100%",
        textAlign: "start",
        px: 1.5,
        py: 1,
        border: `1px solid ${isChosen ? INK.ink : INK.line}`,
        borderLeft: `4px solid ${isOn ? INK.lemon : INK.line}`,
        borderRadius: 1,
        bgcolor: isChosen ? INK.wash : INK.raised,
        cursor: "pointer",
        "&:hover": { bgcolor: INK.wash },
        "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 1 },
      }}
    >
      <Typography component="span" variant="body2" noWrap sx={{ display: "block", fontWeight: 700 }}>
        {name}
      </Typography>
      <Typography component="span" variant="caption" sx={{ display: "block" }}>
        {says}
      </Typography>
      <Typography component="span" variant="caption" color="text.secondary" sx={{ display: "block" }}>
        {state}
      </Typography>
    </Box>
  </li>
);

/** How a season stands, in a few words. */
function seasonState({ isOff, dates }: Season, clock: string): string {
  const { shows, until } = outlook([dates], clock);
  if (!shows && until === undefined) return "Over";
  if (isOff) return "Off";
  return shows ? "On now" : "On, but not yet";
}

type SeasonsProps = { seasons: readonly Season[]; chosen: string | undefined; onChoose: (id: string) => void };

function SeasonsList({ seasons, chosen, onChoose }: SeasonsProps) {
  const clock = useStudio(clockNow);
  return (
    <Box component="ul" aria-label="Seasons" sx={LIST}>
      {seasons.map((season) => (
        <Row
          key={season.id}
          name={season.name}
          says={datesWords(season.dates)}
          state={seasonState(season, clock)}
          isOn={!season.isOff}
          isChosen={season.id === chosen}
          onChoose={() => onChoose(season.id)}
        />
      ))}
    </Box>
  );
}

const LIST = {
  m: 0,
  p: 0,
  listStyle: "none",
  display: "grid",
  gridTemplateColumns: "minmax(0,1fr)",
  gap: 0.75,
} as const;

type ListProps = { offers: readonly Offer[]; chosen: string | undefined; onChoose: (id: string) => void };

function OffersList({ offers, chosen, onChoose }: ListProps) {
  const names = useNames();
  const clock = useStudio(clockNow);
  const [sought, setSought] = useState("");
  const list = useRef<HTMLUListElement>(null);
  // Of many, the one that is chosen may be far down.
  useEffect(() => void list.current?.querySelector("[aria-current]")?.scrollIntoView({ block: "nearest" }), [chosen]);
  const words = sought.trim().toLowerCase();
  const found = words
    ? offers.filter((o) => o.name.toLowerCase().includes(words) || o.code.toLowerCase().includes(words))
    : offers;
  return (
    <>
      {offers.length > FINDS_FROM ? (
        <FindField label="Find an offer" value={sought} onChange={setSought} width="100%" />
      ) : null}
      {found.length === 0 ? (
        <Typography variant="body2" color="text.secondary">
          No offer is called so, and none has such a code.
        </Typography>
      ) : null}
      <Box component="ul" ref={list} aria-label="Offers" sx={LIST}>
        {found.map((offer) => {
          const is = offer.id === chosen;
          return (
            <Row
              key={offer.id}
              name={offer.name}
              says={givesWords(offer, names)}
              state={stateWords(offer, clock)}
              isOn={!offer.isOff}
              isChosen={is}
              onChoose={() => onChoose(offer.id)}
            />
          );
        })}
      </Box>
    </>
  );
}

/** One of the ready starts, where there is no offer yet. */
const StartButton = ({ name, say, onGo }: { name: string; say: string; onGo: () => void }) => (
  <Button
    onClick={onGo}
    sx={{
      display: "block",
      textAlign: "start",
      p: 1.75,
      border: `1px solid ${INK.line}`,
      borderLeft: `4px solid ${INK.lemon}`,
      borderRadius: 1,
      bgcolor: INK.raised,
      color: INK.ink,
      "&:hover": { bgcolor: INK.wash, borderColor: INK.ink, borderLeftColor: INK.lemon },
    }}
  >
    <Typography component="span" sx={{ display: "block", fontWeight: 700 }}>
      {name}
    </Typography>
    <Typography component="span" variant="body2" color="text.secondary">
      {say}
    </Typography>
  </Button>
);

type StartsProps<T> = {
  starts: readonly T[];
  then: (act: () => void) => () => void;
  onGo: (start: T) => void;
};

/** The ready starts, as items of a menu. */
const startItems = <T extends { readonly name: string; readonly say: string }>({
  starts,
  then,
  onGo,
}: StartsProps<T>) =>
  starts.map((start) => (
    <MenuItem key={start.name} onClick={then(() => onGo(start))} sx={{ display: "block" }}>
      {start.name}
      <Typography variant="caption" component="div" color="text.secondary">
        {start.say}
      </Typography>
    </MenuItem>
  ));

/** The Offers area: what shoppers get cheaper or given, for whom and when; tried on a cart put together by hand. */
export function OffersArea() {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const yearOpen = useStudio((s) => s.yearOpen);
  const [search, setSearch] = useSearchParams();
  const offers = offersOf(documents);
  const seasons = seasonsOf(documents);
  const asked = search.get("season");
  const season = seasons.find(({ id }) => id === asked) ?? (offers.length === 0 ? seasons[0] : undefined);
  const offer = season ? undefined : (offers.find(({ id }) => id === search.get("offer")) ?? offers[0]);
  const starts = useMemo(() => startsFor(goods), [goods]);
  const toggleYear = () => store.setState({ yearOpen: !store.getState().yearOpen });
  useKeys({ y: toggleYear });
  const choose = (id: string) => setSearch(id ? { offer: id } : {}, { replace: true });
  const chooseSeason = (id: string) => setSearch(id ? { season: id } : {}, { replace: true });
  /** Carries out what adds a document, and goes to it. */
  const add = (outcome: Outcome, go: (id: string) => void) => {
    const { run, say } = store.getState();
    const why = outcome.ok ? run(outcome) : outcome.why;
    if (why) return say(why, "problem");
    const [added] = outcome.ok ? outcome.transaction.operations : [];
    if (added?.type === "addDocument") go(added.added.id);
  };
  const beginSeason = ({ name, dates, begin: begins }: SeasonStart) => {
    const { draft, pictures, now, shop } = store.getState();
    const clock = clockNow({ now, shop });
    const others = seasonsOf(draft.documents).map((each) => each.name);
    const beginning = begins({ draft, goods, pictures, clock });
    add(addSeason(draft, freeName(name, others), dates(clock), beginning), chooseSeason);
  };
  const begin = (start: Start) => {
    const { draft } = store.getState();
    const { name, root } = freeOffer(draft, start.name, start.root);
    add(addOffer(draft, name, root), choose);
  };
  return (
    <Box sx={{ display: "flex", flexDirection: "column", height: "100%", minHeight: 0 }}>
      <Box
        sx={{
          display: "flex",
          flexWrap: "wrap",
          alignItems: "center",
          gap: 1,
          px: 2,
          minHeight: 46,
          borderBottom: `1px solid ${INK.line}`,
          bgcolor: INK.raised,
        }}
      >
        <Typography variant="h2" component="h1" sx={{ flex: 1, fontSize: 17 }}>
          Offers
        </Typography>
        <LookingAs />
        <Button
          size="small"
          startIcon={<CalendarRange size={16} aria-hidden />}
          aria-label="The year"
          aria-pressed={yearOpen}
          onClick={toggleYear}
          sx={{ minWidth: 0, "& .MuiButton-startIcon": { mr: { xs: 0, md: 1 } } }}
        >
          <Box component="span" sx={{ display: { xs: "none", md: "inline" } }}>
            The year
          </Box>
        </Button>
        <MenuButton label="New season" sx={NEW}>
          {(then) => startItems({ starts: SEASON_STARTS, then, onGo: beginSeason })}
        </MenuButton>
        <MenuButton label="New offer" variant="contained" sx={NEW}>
          {(then) => startItems({ starts, then, onGo: begin })}
        </MenuButton>
      </Box>
      {yearOpen ? <YearLine onClose={toggleYear} /> : null}
      {offer || season ? (
        <Box
          sx={{
            flex: 1,
            minHeight: 0,
            overflowY: { xs: "auto", md: "hidden" },
            display: "grid",
            alignContent: { xs: "start", md: "stretch" },
            // Below one another, what scrolls by itself must not give up its height for the rest.
            gridAutoRows: { xs: "max-content", md: "minmax(0,1fr)" },
            gridTemplateColumns: {
              xs: "minmax(0,1fr)",
              md: "200px minmax(280px,1fr) minmax(300px,1fr)",
              lg: "220px minmax(300px,360px) minmax(0,1fr)",
            },
            "& > *": { p: 2, overflowY: { md: "auto" }, minHeight: { md: 0 }, minWidth: 0 },
            "& > * + *": {
              borderLeft: { md: `1px solid ${INK.line}` },
              borderTop: { xs: `1px solid ${INK.line}`, md: 0 },
            },
          }}
        >
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: "minmax(0,1fr)",
              gap: 1.5,
              alignContent: "start",
              // Where all stands below one another, many offers leave the chosen one in reach.
              maxHeight: { xs: 320, md: "none" },
              overflowY: "auto",
            }}
          >
            {seasons.length ? (
              <>
                <Typography variant="h3" component="h2">
                  Seasons
                </Typography>
                <SeasonsList seasons={seasons} chosen={season?.id} onChoose={chooseSeason} />
                <Typography variant="h3" component="h2">
                  Offers
                </Typography>
              </>
            ) : null}
            {offers.length ? (
              <OffersList offers={offers} chosen={offer?.id} onChoose={choose} />
            ) : (
              <Typography variant="body2" color="text.secondary">
                There is no offer yet.
              </Typography>
            )}
          </Box>
          {season ? (
            <>
              <SeasonSlip
                key={`slip ${season.id}`}
                season={season}
                onGone={() => chooseSeason("")}
                onCopied={chooseSeason}
              />
              <SeasonSight key={`sight ${season.id}`} season={season} />
            </>
          ) : offer ? (
            <>
              <Slip key={`slip ${offer.id}`} offer={offer} onGone={() => choose("")} onCopied={choose} />
              <Tried key={`tried ${offer.id}`} offer={offer} />
            </>
          ) : null}
        </Box>
      ) : (
        <Box sx={{ overflowY: "auto", p: 3 }}>
          <Box sx={{ maxWidth: 820, mx: "auto", display: "grid", gap: 2 }}>
            <Typography variant="h1" component="h2">
              Something off, or something given
            </Typography>
            <Typography color="text.secondary" sx={{ maxWidth: 620 }}>
              Begin with one of these. It is off until you switch it on, and reaches shoppers when you publish. You can
              try it on a cart before.
            </Typography>
            <Box sx={{ display: "grid", gap: 1.25, gridTemplateColumns: "repeat(auto-fill,minmax(240px,1fr))" }}>
              {starts.map((start) => (
                <StartButton key={start.name} name={start.name} say={start.say} onGo={() => begin(start)} />
              ))}
            </Box>
            <Typography variant="h2" sx={{ mt: 2 }}>
              Or a whole season
            </Typography>
            <Typography color="text.secondary" sx={{ maxWidth: 620 }}>
              A name and dates for an offer, a notice, a pop-up and another look, which are moved and switched together.
            </Typography>
            <Box sx={{ display: "grid", gap: 1.25, gridTemplateColumns: "repeat(auto-fill,minmax(240px,1fr))" }}>
              {SEASON_STARTS.map((start) => (
                <StartButton key={start.name} name={start.name} say={start.say} onGo={() => beginSeason(start)} />
              ))}
            </Box>
          </Box>
        </Box>
      )}
    </Box>
  );
}
