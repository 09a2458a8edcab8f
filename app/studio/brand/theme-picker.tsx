import {
  Box,
  Button,
  ButtonBase,
  FormControlLabel,
  Switch,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { Check, Maximize2 } from "lucide-react";
import { memo, useCallback, useState } from "react";
import { Link, useNavigate } from "react-router";
import { AMOUNTS, amountOfGoods, proposals, type Amount, type Theme, type Wish } from "~/core/theme";
import { startFor } from "~/kinds/designs";
import type { Target } from "~/render";
import { THEMES } from "~/themes";
import { TradeField, useTrade } from "../add";
import { useStudio, useStudioStore } from "../keeping";
import { DrawnWith, PageSight } from "../panes";
import { Blank, FindField, INK } from "../ui";
import { Colourways, useDressed, wayOf } from "./colourways";
import { PageChoice, useSamplePages, useSeenAt } from "./sample-pages";
import { ThemeCloser } from "./theme-closer";
import { isStillAsOpened, useWorn, useWornBy, WornProvider, wordsOfTrade, type Way } from "./wearing";

/** How a theme is seen on a card: a wide screen and a phone beside it, in px. */
const SIZES = [
  ["wide", 256],
  ["phone", 88],
] as const;
const HEIGHT = 300;

type CardProps = {
  theme: Theme;
  /** What speaks for it, in words; empty: nothing that was said. */
  madeFor: string;
  target: Target;
  page: string;
  /** Whether pages for what is sold come with it. */
  withPages: boolean;
  /** In which colours; undefined: those that the shop has. */
  way: Way;
  onWay: (theme: Theme, way: Way) => void;
  onUse: (theme: Theme, way: Way) => void;
  onLook: (theme: Theme) => void;
};

/** One theme, worn by this shop, in the colours that it has or in one of the theme's colourways. */
const ThemeCard = memo(function ThemeCard(props: CardProps) {
  const { theme, madeFor, target, page, withPages, way, onWay, onUse, onLook } = props;
  const { draft } = useWorn();
  const isCurrent = draft.look.theme === theme.id;
  const worn = way === undefined ? wayOf(theme, draft.look.brand) : way;
  const dressed = useDressed(theme, way);
  const isAsIs = isCurrent && !withPages && (way === undefined || wayOf(theme, draft.look.brand) === way);
  const choose = () => onUse(theme, isAsIs ? undefined : way);
  return (
    <Box
      component="article"
      aria-label={theme.name}
      sx={{
        display: "flex",
        flexDirection: "column",
        border: `1px solid ${isCurrent ? INK.ink : INK.line}`,
        boxShadow: isCurrent ? `0 4px 0 ${INK.lemon}` : "none",
        borderRadius: 1,
        bgcolor: INK.raised,
        overflow: "hidden",
      }}
    >
      <ButtonBase
        onClick={() => onLook(theme)}
        // The button below says the same.
        aria-hidden
        tabIndex={-1}
        sx={{
          display: "flex",
          justifyContent: "safe center",
          bgcolor: INK.bench,
          p: 1.5,
          pb: 0,
        }}
      >
        <PageSight draft={dressed} target={target} name={`${page} in ${theme.name}`} sizes={SIZES} height={HEIGHT} />
      </ButtonBase>
      <Box sx={{ p: 2, borderTop: `1px solid ${INK.ink}`, display: "grid", gap: 1.25, flex: 1, alignContent: "start" }}>
        <Box sx={{ display: "flex", gap: 2, alignItems: "center" }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {theme.name}
          </Typography>
          <Button
            variant={isAsIs ? "outlined" : "contained"}
            startIcon={isAsIs ? <Check size={16} aria-hidden /> : undefined}
            onClick={choose}
            aria-label={isAsIs ? `${theme.name} is in use, go on to Brand` : `Use ${theme.name}`}
          >
            {isAsIs ? "In use" : "Use this theme"}
          </Button>
        </Box>
        <Box>
          <Typography variant="body2">{theme.mood}</Typography>
          <Typography variant="caption" color="text.secondary">
            {theme.trades}
          </Typography>
        </Box>
        {madeFor ? (
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            Made for {madeFor}
          </Typography>
        ) : null}
        <Colourways theme={theme} current={worn} onChoose={(next) => onWay(theme, next)} />
        <Button
          size="small"
          startIcon={<Maximize2 size={14} aria-hidden />}
          onClick={() => onLook(theme)}
          aria-label={`Look closer at ${theme.name}`}
          sx={{ justifySelf: "start", ml: -0.75 }}
        >
          Look closer
        </Button>
      </Box>
    </Box>
  );
});

type AmountChoiceProps = {
  label: string;
  words: Readonly<Record<Amount, string>>;
  value: Amount | null;
  onChange: (value: Amount | null) => void;
};

const AmountChoice = ({ label, words, value, onChange }: AmountChoiceProps) => (
  <Box sx={{ display: "grid", gap: 0.5 }}>
    <Typography variant="caption" sx={{ fontWeight: 600 }} aria-hidden="true">
      {label}
    </Typography>
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={label}
      value={value}
      onChange={(_event, next: Amount | null) => onChange(next)}
      sx={{ flexWrap: "wrap" }}
    >
      {AMOUNTS.map((amount) => (
        <ToggleButton key={amount} value={amount} sx={{ whiteSpace: "nowrap" }}>
          {words[amount]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  </Box>
);

/** The finished themes, each worn by this shop: found by what is sold, and those first that were made for such a shop. */
export function ThemePicker() {
  const [trade] = useTrade();
  const store = useStudioStore();
  const [withPages, setWithPages] = useState(() => isStillAsOpened(store.getState().draft));
  const worn = useWornBy(trade, withPages);
  return (
    <WornProvider value={worn}>
      <DrawnWith value={worn}>
        <Gallery trade={trade} withPages={withPages} onPages={setWithPages} />
      </DrawnWith>
    </WornProvider>
  );
}

type GalleryProps = { trade: string; withPages: boolean; onPages: (on: boolean) => void };

function Gallery({ trade, withPages, onPages }: GalleryProps) {
  const shop = useStudio((s) => s.shop);
  const count = useStudio((s) => s.goods.products.length);
  const run = useStudio((s) => s.run);
  const say = useStudio((s) => s.say);
  const worn = useWorn();
  const navigate = useNavigate();
  const pages = useSamplePages();
  const [closer, setCloser] = useState<Theme | null>(null);
  const [ways, setWays] = useState<ReadonlyMap<Theme, Way>>(new Map());
  const wear = useCallback((theme: Theme, way: Way) => setWays((before) => new Map(before).set(theme, way)), []);
  const use = useCallback(
    (theme: Theme, way: Way) => {
      // What is like that already needs no change.
      const outcome = worn.use(theme, way);
      const why = outcome.ok ? run(outcome) : null;
      if (why) return say(why, "problem");
      void navigate(`/s/${shop.id}/brand`);
    },
    [worn, run, say, navigate, shop.id],
  );
  const [address, setAddress] = useState("/");
  const [wish, setWish] = useState<Wish>({ goods: count ? amountOfGoods(count) : null, words: null, find: "" });
  const wishFor = (said: Partial<Wish>) => setWish((before) => ({ ...before, ...said }));
  const { themes } = startFor(trade);
  const proposed = proposals(THEMES, {
    ...wish,
    drawnFor: trade === "any" ? null : { words: wordsOfTrade(trade), themes },
  });
  const target = useSeenAt(address);
  const page = [...pages].find(([, at]) => at === address)?.[0] ?? "Home";
  return (
    <Box sx={{ height: "100%", overflowY: "auto", p: 3 }}>
      <Box sx={{ maxWidth: 1300, mx: "auto" }}>
        <Typography variant="h1">Choose a theme</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5, mb: 2, maxWidth: "72ch" }}>
          {worn.sample
            ? `There are no goods in your shop yet, so those of a made-up shop for ${worn.sample.name} stand in, with their pictures. None of them gets into yours.`
            : "This is your own shop in each of them. Switch as often as you like: your words, pictures and brand stay."}{" "}
          Nothing reaches shoppers until you publish.
        </Typography>
        <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 2, rowGap: 1, alignItems: "center", mb: 2 }}>
          <TradeField />
          <FormControlLabel
            control={<Switch checked={withPages} onChange={(_event, on) => onPages(on)} />}
            label="With finished pages"
            sx={{ mr: 0 }}
            slotProps={{ typography: { variant: "body2", sx: { fontWeight: 600 } } }}
          />
          <Typography variant="body2" color="text.secondary" sx={{ flex: "1 1 300px" }}>
            {worn.pages}
          </Typography>
        </Box>
        <Box
          role="group"
          aria-label="What suits your shop"
          sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "end", mb: 2.5 }}
        >
          <Box sx={{ flex: "1 1 200px", maxWidth: 300 }}>
            <FindField
              label="Find by mood or trade"
              value={wish.find}
              onChange={(find) => wishFor({ find })}
              width="100%"
            />
          </Box>
          <AmountChoice
            label="Different goods"
            words={{ few: "A dozen or fewer", some: "Dozens", many: "Hundreds" }}
            value={wish.goods}
            onChange={(goods) => wishFor({ goods })}
          />
          <AmountChoice
            label="What you say of each"
            words={{ few: "Few words", some: "A story", many: "Many facts" }}
            value={wish.words}
            onChange={(words) => wishFor({ words })}
          />
          <Box sx={{ flex: 1 }} />
          <Box sx={{ display: "grid", gap: 0.5 }}>
            <Typography variant="caption" sx={{ fontWeight: 600 }} aria-hidden="true">
              Look at
            </Typography>
            <PageChoice label="Look at" pages={pages} value={address} onChange={setAddress} />
          </Box>
        </Box>
        {proposed.length ? (
          <Box
            sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(min(100%, 378px), 1fr))", gap: 3 }}
          >
            {proposed.map(({ theme, reasons }) => (
              <ThemeCard
                key={theme.id}
                theme={theme}
                madeFor={reasons.join(" with ")}
                target={target}
                page={page}
                withPages={withPages}
                way={ways.get(theme)}
                onWay={wear}
                onUse={use}
                onLook={setCloser}
              />
            ))}
          </Box>
        ) : (
          <Blank
            title="No theme is known by these words"
            text="Each of them can be worn by any shop. Look for something else, or see all of them."
            action={<Button onClick={() => wishFor({ find: "" })}>Show all themes</Button>}
          />
        )}
        <Button component={Link} to={`/s/${shop.id}/brand`} sx={{ mt: 3 }}>
          On to Brand
        </Button>
        {closer ? (
          <ThemeCloser
            theme={closer}
            way={ways.get(closer)}
            onWay={(way) => wear(closer, way)}
            onTheme={setCloser}
            onUse={(theme) => use(theme, ways.get(theme))}
            onClose={() => setCloser(null)}
          />
        ) : null}
      </Box>
    </Box>
  );
}
