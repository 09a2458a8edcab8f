import { Box, Button } from "@mui/material";
import { useCallback, useEffect } from "react";
import { NavLink, Outlet } from "react-router";
import { useStudio } from "../keeping";
import { INK, ON_LEMON } from "../ui";
import { useChange, useSay, type GoodsData } from "./data";

/** The Goods area: its parts, what undo does there, and whatever of it is open. */
export function GoodsArea({ data }: { data: GoodsData }) {
  const shop = useStudio((s) => s.shop.id);
  const { send, isBusy } = useChange();
  const say = useSay();
  const held = data.reviews.filter((r) => r.state === "held").length;
  const step = useCallback(
    async (intent: "undo" | "redo") => {
      const answer = await send({ intent });
      const label = answer.ok ? answer.value.label : "";
      if (label === null) return;
      say(answer, intent === "undo" ? `Undone: ${label}` : `Redone: ${label}`);
    },
    [send, say],
  );
  const { undo, redo } = data.steps;
  const setAreaSteps = useStudio((s) => s.setAreaSteps);
  // The undo of the bar is that of goods here: one pair of buttons, and one thing that they do.
  useEffect(() => {
    setAreaSteps({
      area: "Goods",
      undo: isBusy ? null : undo,
      redo: isBusy ? null : redo,
      step: (direction) => void step(direction),
    });
    return () => setAreaSteps(null);
  }, [setAreaSteps, undo, redo, isBusy, step]);
  const parts: readonly (readonly [label: string, path: string, count?: number])[] = [
    ["Products", ""],
    ["Collections", "/collections"],
    ["Reviews", "/reviews", held],
    ["What sells", "/sells"],
    ["Words and search", "/words"],
    ["Import", "/import"],
  ];
  return (
    <Box sx={{ display: "grid", gridTemplate: "auto minmax(0,1fr) / minmax(0,1fr)", height: "100%", minHeight: 0 }}>
      <Box
        sx={{
          display: "flex",
          alignItems: "center",
          gap: 0.5,
          px: 2,
          minHeight: 46,
          borderBottom: `1px solid ${INK.line}`,
          bgcolor: INK.raised,
          overflowX: "auto",
        }}
      >
        <Box component="nav" aria-label="Parts of Goods" sx={{ display: "flex", gap: 0.5 }}>
          {parts.map(([label, path, count]) => (
            <Button
              key={path}
              component={NavLink}
              to={`/s/${shop}/goods${path}`}
              end={path === ""}
              size="small"
              sx={{
                whiteSpace: "nowrap",
                px: 1.25,
                "&.active": { ...ON_LEMON, fontWeight: 700 },
              }}
            >
              {label}
              {count ? (
                <Box
                  component="span"
                  aria-label={`${count} waiting`}
                  sx={{ ml: 0.75, px: 0.75, borderRadius: 9, bgcolor: INK.ink, color: INK.paper, fontSize: 12 }}
                >
                  {count}
                </Box>
              ) : null}
            </Button>
          ))}
        </Box>
      </Box>
      <Outlet context={data} />
    </Box>
  );
}
