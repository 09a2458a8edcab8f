import { Box, ButtonBase, Chip } from "@mui/material";
import { COLOURS, type ColourName, type Picture } from "~/core/pictures";
import { Check, Tag } from "lucide-react";
import { INK, ON_LEMON } from "../ui";
import { coloursIn, NARROWED, type Narrowed } from "./find";
import { tagsOf } from "./tags-field";

type NarrowProps = {
  /** What is offered, each with how many there are. */
  choices: readonly (readonly [narrowed: Narrowed, count: number])[];
  value: Narrowed;
  onChange: (narrowed: Narrowed) => void;
  /** The pictures in question, whose colours are offered. */
  pictures: readonly Picture[];
  colour: ColourName | null;
  onColour: (colour: ColourName | null) => void;
  /** All of them, whose tags are offered. */
  all: readonly Picture[];
  tag: string | null;
  onTag: (tag: string | null) => void;
};

/** As many tags are offered to press; the others are found by typing. */
const MOST_OFFERED = 16;

/** On which of them a sign is dark. */
const PALE: readonly ColourName[] = ["white", "yellow", "pink", "orange"];

/** Narrows pictures down by what is known of them, and by colour. What nothing belongs to is not offered. */
export function Narrow({ choices, value, onChange, pictures, colour, onColour, all, tag, onTag }: NarrowProps) {
  const tags = tagsOf(all).filter(([each], i) => i < MOST_OFFERED || each === tag);
  const offered = choices.filter(([id, count]) => count > 0 || id === value);
  const counts = new Map<ColourName, number>();
  for (const picture of pictures) for (const name of coloursIn(picture)) counts.set(name, (counts.get(name) ?? 0) + 1);
  const colours = (Object.keys(COLOURS) as ColourName[]).filter((name) => counts.has(name) || name === colour);
  return (
    <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", columnGap: 2, rowGap: 0.75 }}>
      <Box role="group" aria-label="Show" sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
        {offered.length < 2
          ? null
          : offered.map(([id, count]) => (
              <Chip
                key={id}
                size="small"
                variant="outlined"
                component="button"
                type="button"
                clickable
                label={`${NARROWED[id]} ${count}`}
                aria-pressed={id === value}
                onClick={() => onChange(id === value ? "all" : id)}
                sx={id === value ? { ...ON_LEMON, borderColor: INK.ink, fontWeight: 600 } : {}}
              />
            ))}
      </Box>
      {tags.length ? (
        <Box role="group" aria-label="By tag" sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
          {tags.map(([each, count]) => (
            <Chip
              key={each}
              size="small"
              variant="outlined"
              component="button"
              type="button"
              clickable
              icon={<Tag size={12} aria-hidden />}
              label={`${each} ${count}`}
              aria-pressed={each === tag}
              onClick={() => onTag(each === tag ? null : each)}
              sx={each === tag ? { ...ON_LEMON, borderColor: INK.ink, fontWeight: 600 } : {}}
            />
          ))}
        </Box>
      ) : null}
      {colours.length > 1 || colour ? (
        <Box role="group" aria-label="By colour" sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
          {colours.map((name) => (
            <ButtonBase
              key={name}
              aria-label={`${COLOURS[name].name}, ${counts.get(name) ?? 0}`}
              title={COLOURS[name].name}
              aria-pressed={name === colour}
              onClick={() => onColour(name === colour ? null : name)}
              sx={{
                width: 24,
                height: 24,
                borderRadius: "50%",
                border: `1px solid ${INK.edge}`,
                outline: name === colour ? `2px solid ${INK.ink}` : "none",
                outlineOffset: 1,
                color: PALE.includes(name) ? "#000" : "#fff",
              }}
              style={{ backgroundColor: COLOURS[name].shown }}
            >
              {name === colour ? <Check size={14} aria-hidden /> : null}
            </ButtonBase>
          ))}
        </Box>
      ) : null}
    </Box>
  );
}
