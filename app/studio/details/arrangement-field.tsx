import { Box, Button, ButtonBase, Typography } from "@mui/material";
import { memo, useEffect, useState } from "react";
import { switchArrangement } from "~/core/commands";
import type { Part } from "~/core/document";
import { kindOf } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { useStudioStore } from "../keeping";
import { PartSight } from "../panes";
import { INK } from "../ui";
import { FieldHead } from "./field-head";

const TILE = { width: 82, height: 58 };
/** What stands on every page is as wide as the page, and low. */
const STRIP = { width: 264, height: 40 };
/** The pages that are shrunk into a tile: of a section a wide screen, of a widget a column. */
const PAGE = { section: 1180, widget: 330, column: 330 };

/** How long a part must have been left alone before its drawings follow, in ms. */
const REST = 500;

/** A value that follows only when it has come to rest. */
function useRested<T>(value: T, rest: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), rest);
    return () => clearTimeout(timer);
  }, [value, rest]);
  return rested;
}

type ArrangementProps = { node: Part; current: string; isOwn: boolean; theme: string };

/** In which of its ways a part is set out, each drawn with the part's own content, and where that comes from. */
export const ArrangementField = memo(function ArrangementField({ node, current, isOwn, theme }: ArrangementProps) {
  const store = useStudioStore();
  const { definition } = kindOf(node)!;
  const isSection = definition.level === "section";
  const shown = useRested(node, REST);
  const choose = (arrangement: string | undefined, words: string) => {
    const { draft, run } = store.getState();
    run(switchArrangement(draft, node.id, arrangement, `${definition.name}: ${words}`));
  };
  const asArranged = (arrangement: string): Part => {
    const part = { ...shown, props: { ...shown.props, arrangement } };
    return isSection ? part : sectionAround(part, { all: { spaceTop: 3, spaceBottom: 3 } });
  };
  const { arrangements } = definition;
  const isStrip = isSection && !definition.slots.includes("main");
  return (
    <Box>
      <FieldHead
        id="arrangement"
        label="Arrangement"
        from={isOwn ? "" : isSection ? `from theme ${theme}` : "as usual"}
        action={
          isOwn ? (
            <Button
              size="small"
              onClick={() => choose(undefined, "arrangement put back")}
              sx={{ minHeight: 22, py: 0 }}
            >
              {isSection ? "Put back to the theme’s" : "Put back"}
            </Button>
          ) : undefined
        }
      />
      <Box
        role="radiogroup"
        aria-labelledby="arrangement"
        onKeyDown={(event) => {
          const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
          if (!by) return;
          event.preventDefault();
          const at = arrangements.findIndex((a) => a.id === current);
          const next = arrangements.at((at + by) % arrangements.length)!;
          choose(next.id, next.name);
          event.currentTarget.querySelectorAll<HTMLElement>("[role=radio]")[arrangements.indexOf(next)]?.focus();
        }}
        sx={{
          display: "grid",
          gridTemplateColumns: isStrip ? "minmax(0, 1fr)" : "repeat(3, minmax(0, 1fr))",
          gap: 0.75,
        }}
      >
        {arrangements.map((a) => {
          const isChosen = a.id === current;
          return (
            <ButtonBase
              key={a.id}
              role="radio"
              aria-checked={isChosen}
              aria-label={a.name}
              tabIndex={isChosen ? 0 : -1}
              onClick={() => (isChosen ? undefined : choose(a.id, a.name))}
              sx={{
                display: "flex",
                flexDirection: "column",
                alignItems: "stretch",
                justifyContent: "flex-start",
                textAlign: "left",
                borderRadius: 1,
                overflow: "hidden",
                border: `1px solid ${isChosen ? INK.ink : INK.edge}`,
                boxShadow: isChosen ? `0 0 0 1px ${INK.ink}, 0 4px 0 1px ${INK.lemon}` : "none",
                "&:hover": { borderColor: INK.ink },
              }}
            >
              <PartSight
                node={asArranged(a.id)}
                name={a.name}
                page={PAGE[definition.level]}
                {...(isStrip ? STRIP : TILE)}
              />
              <Typography
                component="span"
                sx={{
                  px: 0.75,
                  py: 0.5,
                  fontSize: 11.5,
                  lineHeight: 1.2,
                  fontWeight: isChosen ? 650 : 450,
                  borderTop: `1px solid ${INK.line}`,
                }}
              >
                {a.name}
              </Typography>
            </ButtonBase>
          );
        })}
      </Box>
    </Box>
  );
});
