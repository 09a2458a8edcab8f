import { Box, Link, MenuItem, TextField, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { memo } from "react";
import { Link as RouterLink } from "react-router";
import { isOwnColour, resolve, type StyleChoice, type Layer, type Property, type Source } from "~/core/cascade";
import { locate, type Located, setStyle, setStyles } from "~/core/commands";
import {
  DEVICES,
  type Audience,
  type Device,
  type Draft,
  type StyleSheet,
  type StyleValue,
  entryOf,
} from "~/core/document";
import { FRAME_SETS, setName, type AnySet, type FrameSet } from "~/core/theme";
import { coloursAround } from "../colours";
import { useStudio, useStudioStore } from "../keeping";
import { INK } from "../ui";
import { SlideField, StepField } from "./exact-field";
import { FieldHead, SHOWS_SOURCE } from "./field-head";
import { OwnColour } from "./own-colour";

const DEVICE_WORDS: Readonly<Record<Device, string>> = { phone: "phone", tablet: "tablet", wide: "wide screen" };

/** Where a value comes from, in words. */
export function sourceWords(source: Source, theme: string, arrangement: string): string {
  const device = source.audience === "all" ? "" : `, ${DEVICE_WORDS[source.audience]} only`;
  switch (source.layer) {
    case "kind":
      return `as usual${device}`;
    case "theme":
      return `from theme ${theme}${device}`;
    case "brand":
      return `from Brand${device}`;
    case "arrangement":
      return `from “${arrangement}”${device}`;
    case "section":
      return source.audience === "all" ? "set here" : `${DEVICE_WORDS[source.audience]} only`;
  }
}

/** The choice that stands for a colour of the seller's own. */
const OWN = "own";

/** What a colour of one's own begins with: what is there now, so that nothing jumps. */
function startColour(draft: Draft, node: string, property: Property): StyleValue {
  const around = coloursAround(draft, node);
  if (!around) return "#888888";
  return property.name === "ground" ? around.ground : property.name === "ink" ? around.ink : around.roles["field-line"];
}

type StyleFieldProps = {
  /** The parts that are changed together; the first is the one whose values are shown. */
  ids: readonly string[];
  style: StyleSheet;
  property: Property;
  layers: readonly Layer[];
  theme: string;
  arrangement: string;
  /** How many other parts have this value from the same place. */
  following: number;
};

/**
 * What can be chosen: colour sets under the seller's own names, and of those that belong to header, footer and notice only
 * the one of the part itself.
 */
function useChoices(property: Property, node: string): readonly StyleChoice[] {
  const brand = useStudio((s) => s.draft.look.brand);
  const own = useStudio((s) => {
    const found = locate(s.draft, node);
    return found && ownSet(found);
  });
  if (property.name !== "set") return property.choices;
  return property.choices
    .filter(({ value }) => !FRAME_SETS.includes(value as FrameSet) || value === own)
    .map(({ value, label }) => ({
      value,
      label: value === own ? "As Brand says" : setName(brand, value as AnySet) || label,
    }));
}

/** The colour set that a part has for what it is, or for where it stands: a row above every page has the header's. */
function ownSet({ node, place }: Located): FrameSet | undefined {
  const isOwn = (set: string): set is FrameSet => (FRAME_SETS as readonly string[]).includes(set);
  if (isOwn(node.kind)) return node.kind;
  return place.slot === "top" ? "header" : place.slot === "bottom" ? "footer" : undefined;
}

/** A style value: what it is, where it comes from, and how to put it back. */
export const StyleField = memo(function StyleField({
  ids,
  style,
  property,
  layers,
  theme,
  arrangement,
  following,
}: StyleFieldProps) {
  const store = useStudioStore();
  const node = ids[0]!;
  const chosen = useStudio((s) => s.audience);
  const audience: Audience = property.perDevice ? chosen : "all";
  const device: Device = audience === "all" ? "wide" : audience;
  const resolved = resolve(layers, property.name, device);
  const what = `${property.label}`;
  const set = (value: StyleValue | undefined, whom: Audience = audience) =>
    store.getState().run(setStyle(store.getState().draft, ids, whom, property.name, value, what));
  const isSetHere = entryOf(style[audience], property.name) !== undefined;
  const differing = property.perDevice ? DEVICES.filter((d) => entryOf(style[d], property.name) !== undefined) : [];
  const choices = useChoices(property, node);
  const labelFor = (value: StyleValue | undefined) =>
    choices.find((c) => c.value === value)?.label ?? String(value ?? "");
  const isShort = choices.length <= 6 && choices.reduce((sum, c) => sum + c.label.length + 3, 0) <= 36;
  const id = `style-${property.name}`;
  const value = resolved?.value;
  const field = () => {
    const { exact } = property;
    if (exact && (exact.bare || choices.length === 0))
      return <SlideField property={property} exact={exact} value={value} onChange={set} />;
    if (exact) return <StepField id={id} property={property} exact={exact} value={value} onChange={set} />;
    if (isShort)
      return (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={value ?? null}
          aria-labelledby={id}
          onChange={(_e, next: StyleValue | null) => next !== null && set(next)}
        >
          {choices.map((choice) => (
            <ToggleButton key={String(choice.value)} value={choice.value}>
              {choice.label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      );
    const isOwn = isOwnColour(value);
    return (
      <>
        <TextField
          select
          value={isOwn ? OWN : resolved ? String(value) : ""}
          slotProps={{
            select: {
              labelId: id,
              displayEmpty: true,
              renderValue: (shown) =>
                shown === OWN ? "A colour of my own" : shown === "" ? "As it comes" : labelFor(value),
            },
          }}
          onChange={(event) => {
            const choice = choices.find((c) => String(c.value) === event.target.value);
            set(choice ? choice.value : startColour(store.getState().draft, node, property));
          }}
        >
          {choices.map((choice) => (
            <MenuItem key={String(choice.value)} value={String(choice.value)}>
              {choice.label}
            </MenuItem>
          ))}
          {property.colour ? <MenuItem value={OWN}>A colour of my own …</MenuItem> : null}
        </TextField>
        {isOwn ? <OwnColour ids={ids} property={property} value={value} onChange={set} /> : null}
      </>
    );
  };
  const beaten = resolved?.overridden.map(
    (source) => `${labelFor(source.value)} (${sourceWords(source, theme, arrangement)})`,
  );
  const from = resolved ? sourceWords(resolved.winner, theme, arrangement) : "as it comes";
  const more = [
    from + (beaten?.length ? `, over ${beaten.join(", ")}` : ""),
    ...(following > 0 ? [`${following} more like it`] : []),
  ].join(" · ");
  return (
    <Box
      sx={{
        borderLeft: audience !== "all" && isSetHere ? `3px solid ${INK.plum}` : "3px solid transparent",
        pl: 1,
        ml: -1.375,
        ...SHOWS_SOURCE,
      }}
    >
      <FieldHead
        id={id}
        label={property.label}
        from={from}
        more={more}
        isSet={isSetHere}
        action={
          isSetHere && resolved ? (
            <Link
              component="button"
              type="button"
              variant="caption"
              onClick={() => set(undefined)}
              aria-label={`Put ${property.label.toLowerCase()} back`}
            >
              put back
            </Link>
          ) : resolved?.winner.layer === "brand" ? (
            <Link component={RouterLink} to="../brand" relative="path" variant="caption" title={more}>
              change it in Brand
            </Link>
          ) : undefined
        }
      />
      {field()}
      {audience === "all" && differing.length === DEVICES.length ? (
        <Typography variant="caption" component="p" role="note" sx={{ color: INK.plum, fontWeight: 600 }}>
          Each device has its own, so what you choose here is seen nowhere.{" "}
          <Link
            component="button"
            type="button"
            variant="caption"
            onClick={() => {
              const values = ids.flatMap((each) =>
                DEVICES.map((d) => ({ id: each, audience: d, property: property.name, value: undefined })),
              );
              store.getState().run(setStyles(store.getState().draft, values, `${what} put back on every device`));
            }}
          >
            Put all of them back
          </Link>
        </Typography>
      ) : null}
      {audience === "all"
        ? differing.map((d) => (
            <Typography key={d} variant="caption" component="p" sx={{ color: INK.plum }}>
              ◆ {DEVICE_WORDS[d]} only: {labelFor(entryOf(style[d], property.name))}
              {" · "}
              <Link
                component="button"
                type="button"
                variant="caption"
                onClick={() => set(undefined, d)}
                aria-label={`Put ${property.label.toLowerCase()} back on ${DEVICE_WORDS[d]}`}
              >
                put back
              </Link>
            </Typography>
          ))
        : null}
    </Box>
  );
});
