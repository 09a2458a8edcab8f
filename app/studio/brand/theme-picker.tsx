import { Box, Button, Typography } from "@mui/material";
import { Check } from "lucide-react";
import { useMemo } from "react";
import { Link, useNavigate } from "react-router";
import { applyTheme } from "~/core/commands";
import type { Theme } from "~/core/theme";
import { THEMES } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { ShopFrame, ShopPage, useDressing, usePageSheets } from "../panes";
import { INK } from "../ui";

const STILL_CSS = "body{overflow-x:hidden}";
const HOME = { page: "home" } as const;

/** The shop's own home page in a theme, on a wide screen and on a phone. */
function ShopInTheme({ theme }: { theme: Theme }) {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  const dressed = useMemo(() => ({ ...draft, look: { ...draft.look, theme: theme.id } }), [draft, theme]);
  const sheets = usePageSheets(dressed, pictures);
  const dressing = useDressing(goods, pictures, shop);
  const page = <ShopPage draft={dressed} target={HOME} dressing={dressing} />;
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: "auto auto",
        gap: 1.25,
        justifyContent: "center",
        alignItems: "end",
        bgcolor: INK.bench,
        pt: 1.5,
        px: 1.5,
        overflow: "hidden",
      }}
    >
      <Box sx={{ border: `1px solid ${INK.ink}`, borderBottom: 0, lineHeight: 0 }}>
        <ShopFrame
          inert
          title={`${theme.name} on a wide screen`}
          width={1280}
          scale={0.2}
          height={330}
          sheets={sheets}
          extra={STILL_CSS}
        >
          {page}
        </ShopFrame>
      </Box>
      <Box sx={{ border: `1px solid ${INK.ink}`, borderBottom: 0, lineHeight: 0 }}>
        <ShopFrame
          inert
          title={`${theme.name} on a phone`}
          width={390}
          scale={0.22}
          height={250}
          sheets={sheets}
          extra={STILL_CSS}
        >
          {page}
        </ShopFrame>
      </Box>
    </Box>
  );
}

/** The finished themes, each worn by this shop. */
export function ThemePicker() {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop);
  const current = useStudio((s) => s.draft.look.theme);
  const choose = (theme: Theme) => {
    const { draft, run } = store.getState();
    if (theme.id !== current) run(applyTheme(draft, theme.id, theme.name));
    void navigate(`/s/${shop.id}/brand`);
  };
  return (
    <Box sx={{ height: "100%", overflowY: "auto", p: 3 }}>
      <Box sx={{ maxWidth: 1240, mx: "auto" }}>
        <Typography variant="h1">Choose a theme</Typography>
        <Typography color="text.secondary" sx={{ mt: 0.5, mb: 3, maxWidth: "64ch" }}>
          This is your own shop in each of them. Switch as often as you like: your words, pictures and brand stay, and
          nothing reaches shoppers until you publish.
        </Typography>
        <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(378px, 1fr))", gap: 3 }}>
          {THEMES.map((theme) => {
            const isCurrent = theme.id === current;
            return (
              <Box
                component="article"
                key={theme.id}
                aria-label={theme.name}
                sx={{
                  border: `1px solid ${isCurrent ? INK.ink : INK.line}`,
                  boxShadow: isCurrent ? `0 4px 0 ${INK.lemon}` : "none",
                  borderRadius: 1,
                  bgcolor: INK.raised,
                  overflow: "hidden",
                }}
              >
                <ShopInTheme theme={theme} />
                <Box sx={{ p: 2, borderTop: `1px solid ${INK.ink}`, display: "flex", gap: 2, alignItems: "center" }}>
                  <Box sx={{ flex: 1 }}>
                    <Typography variant="h2">{theme.name}</Typography>
                    <Typography variant="body2">{theme.mood}</Typography>
                    <Typography variant="caption" color="text.secondary">
                      {theme.trades}
                    </Typography>
                  </Box>
                  <Button
                    variant={isCurrent ? "outlined" : "contained"}
                    startIcon={isCurrent ? <Check size={16} aria-hidden /> : undefined}
                    onClick={() => choose(theme)}
                    aria-label={isCurrent ? `${theme.name} is in use, go on to Brand` : `Use ${theme.name}`}
                  >
                    {isCurrent ? "In use" : "Use this theme"}
                  </Button>
                </Box>
              </Box>
            );
          })}
        </Box>
        <Button component={Link} to={`/s/${shop.id}/brand`} sx={{ mt: 3 }}>
          On to Brand
        </Button>
      </Box>
    </Box>
  );
}
