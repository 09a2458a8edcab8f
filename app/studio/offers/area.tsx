import { Box, Button, Menu, MenuItem, Typography } from "@mui/material";
import { CalendarRange, Plus } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { addOffer } from "~/core/commands";
import { clockWords, endWords, outlook } from "~/core/conditions";
import { givesWords, offersOf, type Offer } from "~/core/offers";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { LookingAs, YearLine } from "../looking";
import { FindField, INK, useKeys } from "../ui";
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
      <Box
        component="ul"
        ref={list}
        aria-label="Offers"
        sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 0.75 }}
      >
        {found.map((offer) => {
          const is = offer.id === chosen;
          return (
            <li key={offer.id}>
              <Box
                component="button"
                type="button"
                aria-current={is ? "true" : undefined}
                onClick={() => onChoose(offer.id)}
                sx={{
                  font: "inherit",
                  color: INK.ink,
                  width: "100%",
                  textAlign: "start",
                  px: 1.5,
                  py: 1,
                  border: `1px solid ${is ? INK.ink : INK.line}`,
                  borderLeft: `4px solid ${offer.isOff ? INK.line : INK.lemon}`,
                  borderRadius: 1,
                  bgcolor: is ? INK.wash : INK.raised,
                  cursor: "pointer",
                  "&:hover": { bgcolor: INK.wash },
                  "&:focus-visible": { outline: `2px solid ${INK.ink}`, outlineOffset: 1 },
                }}
              >
                <Typography component="span" variant="body2" noWrap sx={{ display: "block", fontWeight: 700 }}>
                  {offer.name}
                </Typography>
                <Typography component="span" variant="caption" sx={{ display: "block" }}>
                  {givesWords(offer, names)}
                </Typography>
                <Typography component="span" variant="caption" color="text.secondary" sx={{ display: "block" }}>
                  {stateWords(offer, clock)}
                </Typography>
              </Box>
            </li>
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

/** The Offers area: what shoppers get cheaper or given, for whom and when; tried on a cart put together by hand. */
export function OffersArea() {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const yearOpen = useStudio((s) => s.yearOpen);
  const [search, setSearch] = useSearchParams();
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const offers = offersOf(documents);
  const offer = offers.find(({ id }) => id === search.get("offer")) ?? offers[0];
  const starts = useMemo(() => startsFor(goods), [goods]);
  const toggleYear = () => store.setState({ yearOpen: !store.getState().yearOpen });
  useKeys({ y: toggleYear });
  const choose = (id: string) => setSearch(id ? { offer: id } : {}, { replace: true });
  const begin = ({ name, root }: Start) => {
    setAnchor(null);
    const { draft, run, say } = store.getState();
    const taken = new Set(offersOf(draft.documents).flatMap((o) => [o.name.toLowerCase(), o.code]));
    let title = name;
    for (let n = 2; taken.has(title.toLowerCase()); n++) title = `${name} ${n}`;
    let code = root.code;
    for (let n = 2; code && taken.has(code); n++) code = `${root.code}-${n}`;
    const outcome = addOffer(draft, title, code ? { ...root, code } : root);
    const why = outcome.ok ? run(outcome) : outcome.why;
    if (why) return say(why, "problem");
    const [added] = outcome.ok ? outcome.transaction.operations : [];
    if (added?.type === "addDocument") choose(added.added.id);
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
          aria-pressed={yearOpen}
          onClick={toggleYear}
        >
          The year
        </Button>
        <Button
          size="small"
          variant="contained"
          startIcon={<Plus size={16} aria-hidden />}
          aria-haspopup="menu"
          onClick={(event) => setAnchor(event.currentTarget)}
        >
          New offer
        </Button>
        <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
          {starts.map((start) => (
            <MenuItem key={start.name} onClick={() => begin(start)} sx={{ display: "block" }}>
              {start.name}
              <Typography variant="caption" component="div" color="text.secondary">
                {start.say}
              </Typography>
            </MenuItem>
          ))}
        </Menu>
      </Box>
      {yearOpen ? <YearLine onClose={toggleYear} /> : null}
      {offer ? (
        <Box
          sx={{
            flex: 1,
            minHeight: 0,
            overflowY: { xs: "auto", md: "hidden" },
            display: "grid",
            alignContent: { xs: "start", md: "stretch" },
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
            <OffersList offers={offers} chosen={offer.id} onChoose={choose} />
          </Box>
          <Slip key={`slip ${offer.id}`} offer={offer} onGone={() => choose("")} onCopied={choose} />
          <Tried key={`tried ${offer.id}`} offer={offer} />
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
          </Box>
        </Box>
      )}
    </Box>
  );
}
