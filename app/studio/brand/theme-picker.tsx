import { Box, Button, ButtonBase, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { Check, Maximize2 } from "lucide-react";
import { memo, useCallback, useState } from "react";
import { Link, useNavigate } from "react-router";
import { applyTheme } from "~/core/commands";
import { AMOUNTS, amountOfGoods, proposals, type Amount, type Colourway, type Theme, type Wish } from "~/core/theme";
import type { Target } from "~/render";
import { THEMES } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { PageSight } from "../panes";
import { Blank, FindField, INK } from "../ui";
import { Colourways, coloursOfWay, useDressed, wayOf } from "./colourways";
import { PageChoice, useSamplePages, useSeenAt } from "./sample-pages";
import { ThemeCloser } from "./theme-closer";

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
  /** In which colours; undefined: those that the shop has. */
  way: Way;
  onWay: (theme: Theme, way: Way) => void;
  onUse: (theme: Theme, way: Way) => void;
  onLook: (theme: Theme) => void;
};

/** A colourway of a theme; null: the theme's own colours; undefined: the colours stay as they are, whosever they are. */
type Way = Colourway | null | undefined;

/** One theme, worn by this shop, in the colours that it has or in one of the theme's colourways. */
const ThemeCard = memo(function ThemeCard({ theme, madeFor, target, page, way, onWay, onUse, onLook }: CardProps) {
  const draft = useStudio((s) => s.draft);
  const isCurrent = draft.look.theme === theme.id;
  const worn = way === undefined ? wayOf(theme, draft.look.brand) : way;
  const dressed = useDressed(theme, way);
  const isAsIs = isCurrent && (way === undefined || wayOf(theme, draft.look.brand) === way);
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
  const shop = useStudio((s) => s.shop);
  const count = useStudio((s) => s.goods.products.length);
  const store = useStudioStore();
  const navigate = useNavigate();
  const pages = useSamplePages();
  const [closer, setCloser] = useState<Theme | null>(null);
  const [ways, setWays] = useState<ReadonlyMap<Theme, Way>>(new Map());
  const wear = useCallback((theme: Theme, way: Way) => setWays((before) => new Map(before).set(theme, way)), []);
  const use = useCallback(
    (theme: Theme, way: Way) => {
      const { draft, run, shop: of } = store.getState();
      if (way !== undefined || draft.look.theme !== theme.id)
        run(applyTheme(draft, theme.id, theme.name, way === undefined ? {} : coloursOfWay(way)));
      void navigate(`/s/${of.id}/brand`);
    },
    [store, navigate],
  );
  const [address, setAddress] = useState("/");
  const [wish, setWish] = useState<Wish>({ goods: count ? amountOfGoods(count) : null, words: null, find: "" });
  const say = (said: Partial<Wish>) => setWish((before) => ({ ...before, ...said }));
  const proposed = proposals(THEMES, wish);
  const target = useSeenAt(address);
  const page = [...pages].find(([, at]) => at === address)?.[0] ?? "Home";
  return (
    <Box sx={{ height: "100%", overflowY: "auto", p: 3 }}>
      <Box sx={{ maxWidth: 1300, mx: "auto" }}>
        <Typography variant="h1">Choose a theme</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5, mb: 2.5, maxWidth: "64ch" }}>
          This is your own shop in each of them. Switch as often as you like: your words, pictures and brand stay, and
          nothing reaches shoppers until you publish.
        </Typography>
        <Box
          role="group"
          aria-label="What suits your shop"
          sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "end", mb: 2.5 }}
        >
          <Box sx={{ flex: "1 1 220px", maxWidth: 320 }}>
            <FindField
              label="What you sell, or how it should feel"
              value={wish.find}
              onChange={(find) => say({ find })}
              width="100%"
            />
          </Box>
          <AmountChoice
            label="Different goods"
            words={{ few: "A dozen or fewer", some: "Dozens", many: "Hundreds" }}
            value={wish.goods}
            onChange={(goods) => say({ goods })}
          />
          <AmountChoice
            label="What you say of each"
            words={{ few: "Few words", some: "A story", many: "Many facts" }}
            value={wish.words}
            onChange={(words) => say({ words })}
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
            action={<Button onClick={() => say({ find: "" })}>Show all themes</Button>}
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
