import { Box, Button, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { Check } from "lucide-react";
import { memo, useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { applyTheme } from "~/core/commands";
import type { Brand } from "~/core/document";
import { AMOUNTS, amountOfGoods, proposals, type Amount, type Colourway, type Theme, type Wish } from "~/core/theme";
import type { Target } from "~/render";
import { THEMES } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { PageSight } from "../panes";
import { Blank, FindField, INK } from "../ui";
import { Colourways, coloursOfWay, wayOf } from "./colourways";

/** How a theme is seen on a card: a wide screen and a phone beside it, in px. */
const SIZES = [
  ["wide", 256],
  ["phone", 88],
] as const;
const HEIGHT = 300;

const HOME = { page: "home" } as const;
const PAGES = ["Home", "Collection", "Product", "Cart", "Checkout"] as const;
type PageName = (typeof PAGES)[number];

/** The pages of the shop that can be looked at in each theme; those that there is nothing for yet are left out. */
function useSamplePages(): ReadonlyMap<PageName, Target> {
  const { products, collections } = useStudio((s) => s.goods);
  return useMemo(() => {
    const shown =
      products.find((p) => p.pictures.length && p.variants.length) ?? products.find((p) => p.pictures.length);
    const product = shown ?? products[0];
    const collection = collections.find((c) => c.parent === null && c.picture);
    const lines = products.slice(0, 2).map((each) => ({ product: each, variant: each.variants[0], count: 1 }));
    const pages: [PageName, Target | undefined][] = [
      ["Home", HOME],
      ["Collection", product && { page: "collection", collection }],
      ["Product", product && { page: "product", product }],
      ["Cart", product && { page: "cart", lines }],
      ["Checkout", product && { page: "checkout", lines }],
    ];
    return new Map(pages.flatMap(([name, target]) => (target ? [[name, target] as const] : [])));
  }, [products, collections]);
}

type CardProps = {
  theme: Theme;
  /** What speaks for it, in words; empty: nothing that was said. */
  madeFor: string;
  target: Target;
  page: string;
};

/** One theme, worn by this shop, in the colours that it has or in one of the theme's colourways. */
const ThemeCard = memo(function ThemeCard({ theme, madeFor, target, page }: CardProps) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const draft = useStudio((s) => s.draft);
  const isCurrent = draft.look.theme === theme.id;
  // Undefined: the colours stay as they are, whosever they are.
  const [way, setWay] = useState<Colourway | null | undefined>(undefined);
  const worn = way === undefined ? wayOf(theme, draft.look.brand) : way;
  const dressed = useMemo(() => {
    const brand = way === undefined ? draft.look.brand : withColours(draft.look.brand, way);
    return { ...draft, look: { ...draft.look, theme: theme.id, brand } };
  }, [draft, theme, way]);
  const isAsIs = isCurrent && (way === undefined || wayOf(theme, draft.look.brand) === way);
  const choose = () => {
    const { draft: now, run } = store.getState();
    if (!isAsIs) run(applyTheme(now, theme.id, theme.name, way === undefined ? {} : coloursOfWay(way)));
    void navigate(`/s/${shop}/brand`);
  };
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
      <Box sx={{ display: "flex", justifyContent: "safe center", bgcolor: INK.bench, p: 1.5, pb: 0 }}>
        <PageSight draft={dressed} target={target} name={`${page} in ${theme.name}`} sizes={SIZES} height={HEIGHT} />
      </Box>
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
        <Colourways theme={theme} current={worn} onChoose={setWay} />
      </Box>
    </Box>
  );
});

/** A brand with the colours of a colourway, as it will be once the theme is used. */
const withColours = (brand: Brand, way: Colourway | null): Brand => {
  const colours = new Set(Object.keys(coloursOfWay(way)));
  const kept = Object.entries(brand).filter(([key]) => !colours.has(key));
  return { ...Object.fromEntries(kept), ...way?.brand };
};

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
  const pages = useSamplePages();
  const [page, setPage] = useState<PageName>("Home");
  const [wish, setWish] = useState<Wish>({ goods: count ? amountOfGoods(count) : null, words: null, find: "" });
  const say = (said: Partial<Wish>) => setWish((before) => ({ ...before, ...said }));
  const proposed = proposals(THEMES, wish);
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
            <ToggleButtonGroup
              exclusive
              size="small"
              aria-label="Look at"
              value={page}
              onChange={(_event, next: PageName | null) => next && setPage(next)}
              sx={{ flexWrap: "wrap" }}
            >
              {[...pages.keys()].map((name) => (
                <ToggleButton key={name} value={name}>
                  {name}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
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
                target={pages.get(page) ?? HOME}
                page={page}
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
      </Box>
    </Box>
  );
}
