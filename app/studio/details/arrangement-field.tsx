import { Box, ButtonBase, Link, Typography } from "@mui/material";
import { memo, useEffect, useMemo, useState } from "react";
import { switchArrangement } from "~/core/commands";
import type { Part } from "~/core/document";
import { kindOf, type Arrangement } from "~/kinds";
import { sectionAround } from "~/kinds/fill";
import { useStudioStore } from "../keeping";
import { PartSight } from "../panes";
import { chooseByArrow, INK } from "../ui";
import { FieldHead, SHOWS_SOURCE } from "./field-head";

const TILE = { width: 82, height: 58 };
/** What stands on every page is as wide as the page, and low. */
const STRIP = { width: 264, height: 40 };
/** The pages that are shrunk into a tile: of a section a wide screen, of a widget a column. */
const PAGE = { section: 1180, widget: 330, column: 330, item: 330 };

/** How long a part must have been left alone before it is drawn, and before its drawings follow, in ms. */
const REST = 400;

/** A value once it has come to rest; null until it has for the first time, so that walking along a page draws nothing. */
function useRested<T>(value: T): T | null {
  const [rested, setRested] = useState<T | null>(null);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), REST);
    return () => clearTimeout(timer);
  }, [value]);
  return rested;
}

type ArrangementProps = {
  node: Part;
  current: string;
  isOwn: boolean;
  theme: string;
  arrangements: readonly Arrangement[];
};

/** In which of its ways a part is set out, each drawn with the part's own content, and where that comes from. */
export const ArrangementField = memo(function ArrangementField({
  node,
  current,
  isOwn,
  theme,
  arrangements,
}: ArrangementProps) {
  const store = useStudioStore();
  const { definition } = kindOf(node)!;
  const isSection = definition.level === "section";
  const rested = useRested(node);
  const choose = (arrangement: string | undefined, words: string) => {
    const { draft, run } = store.getState();
    run(switchArrangement(draft, node.id, arrangement, `${definition.name}: ${words}`));
  };
  const drawn = useMemo(
    () =>
      arrangements.map(({ id }): Part | null => {
        if (!rested) return null;
        const part = { ...rested, props: { ...rested.props, arrangement: id } };
        return isSection ? part : sectionAround(part, { all: { spaceTop: 3, spaceBottom: 3 } });
      }),
    [rested, arrangements, isSection],
  );
  const isStrip = isSection && !definition.slots.includes("main");
  return (
    <Box sx={SHOWS_SOURCE}>
      <FieldHead
        id="arrangement"
        label="Arrangement"
        from={isOwn ? "set here" : isSection ? `from theme ${theme}` : "as usual"}
        isSet={isOwn}
        action={
          isOwn ? (
            <Link
              component="button"
              type="button"
              variant="caption"
              onClick={() => choose(undefined, "arrangement put back")}
              aria-label={isSection ? "Put back to the theme’s" : "Put arrangement back"}
            >
              put back
            </Link>
          ) : undefined
        }
      />
      <Box
        role="radiogroup"
        aria-labelledby="arrangement"
        onKeyDown={(event) =>
          chooseByArrow(
            event,
            arrangements,
            arrangements.find((a) => a.id === current)!,
            ({ id, name }) => choose(id, name),
          )
        }
        sx={{
          display: "grid",
          gridTemplateColumns: isStrip ? "minmax(0, 1fr)" : "repeat(3, minmax(0, 1fr))",
          gap: 0.75,
        }}
      >
        {arrangements.map((a, i) => {
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
                node={drawn[i] ?? null}
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
