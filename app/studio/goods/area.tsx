import { Box } from "@mui/material";
import { useCallback, useEffect } from "react";
import { Outlet } from "react-router";
import { useStudio } from "../keeping";
import { AreaParts } from "../ui";
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
  return (
    <Box sx={{ display: "grid", gridTemplate: "auto minmax(0,1fr) / minmax(0,1fr)", height: "100%", minHeight: 0 }}>
      <AreaParts
        label="Parts of Goods"
        at={`/s/${shop}/goods`}
        parts={[
          { label: "Products", path: "" },
          { label: "Collections", path: "/collections" },
          { label: "Reviews", path: "/reviews", count: [held, "waiting"] },
          { label: "What sells", path: "/sells" },
          { label: "Words and search", path: "/words" },
          { label: "Import", path: "/import" },
        ]}
      />
      <Outlet context={data} />
    </Box>
  );
}
