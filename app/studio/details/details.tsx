import { Box, Divider, Link, ToggleButton, ToggleButtonGroup, Typography, useMediaQuery } from "@mui/material";
import { ArrowDown, ArrowUp, Copy, Trash2 } from "lucide-react";
import { memo, useEffect, useMemo, useState, type ReactNode } from "react";
import { Link as RouterLink } from "react-router";
import { FAMILIES, PLACED, PROPERTIES, resolve, type Family, type Layer } from "~/core/cascade";
import { deviceDifferences, putBackDevices } from "~/core/commands";
import { AUDIENCES, DEVICES, type Audience, type Part, entryOf, sameJson } from "~/core/document";
import {
  chassisOf,
  hasStyle,
  hasTrait,
  kindOf,
  moreStyles,
  OF_FLOW,
  OF_TOP,
  type Definition,
  type Field,
} from "~/kinds";
import { arrangementOf, arrangementsOf, nodeLayers, partById, pictureUnderWords } from "~/render";
import { themeById } from "~/themes";
import { benchActions, nameIn, nameOfPart, pageAtHand, partAt, useBenchFrames } from "../bench";
import { selectionOf, useStudio, useStudioStore } from "../keeping";
import { DEVICE_NAME, DEVICE_PLURAL } from "../panes";
import { MenuEditor } from "../menus";
import { SharedNote, sharedDocument } from "../shared";
import { WhatNext } from "../start";
import { IconAction, INK } from "../ui";
import { alsoFollowing } from "./affected";
import { AroundNote } from "./around-note";
import { ArrangementField } from "./arrangement-field";
import { AnchorField, BackdropField, GroundFilmField, OwnCssField } from "./chassis-fields";
import { BoundField } from "./bound-field";
import { ColumnsField } from "./columns-field";
import { FieldControl } from "./fields";
import { Fold, Folds, FoldsProvider } from "./fold";
import { Group } from "./group";
import { InsideField } from "./inside-field";
import { OwnRules } from "./own-rules";
import { StyleField } from "./style-field";
import { WhenItShows } from "./when-it-shows";
import { WordsOnPicture } from "./words-on-picture";

function Nothing() {
  return (
    <Box sx={{ p: 2.5, display: "grid", gap: 1.5 }}>
      <WhatNext />
      <Typography variant="h2" component="p">
        Choose a part of the page
      </Typography>
      <Typography color="text.secondary">
        Click it in a pane or in the plan below. What it says, how it sits and how it looks can then be changed here.
      </Typography>
      <Divider />
      <Typography variant="body2" color="text.secondary">
        Click words in a chosen part to change them where they stand. <kbd>A</kbd> adds a section, <kbd>[</kbd> and{" "}
        <kbd>]</kbd> walk along the page, <kbd>?</kbd> shows all keys.
      </Typography>
    </Box>
  );
}

/** What is not set by a control of this list: devices and columns have their own. */
const HAS_ITS_OWN: ReadonlySet<string> = new Set(["hidden", "share"]);

type StylesProps = {
  ids: readonly string[];
  nodes: readonly Part[];
  names: readonly string[];
  group: "sits" | "looks";
  layers: readonly Layer[];
  theme: string;
  arrangement: string;
};

function Styles({ ids, nodes, names, group, ...rest }: StylesProps) {
  const node = nodes[0]!;
  const draft = useStudio((s) => s.draft);
  const audience = useStudio((s) => s.audience);
  return names
    .map((name) => entryOf(PROPERTIES, name)!)
    .filter((property) => property.group === group && !HAS_ITS_OWN.has(property.name))
    .map((property) => {
      const device = audience === "all" || !property.perDevice ? "wide" : audience;
      const winner = resolve(rest.layers, property.name, device)?.winner;
      return (
        <StyleField
          key={property.name}
          ids={ids}
          style={node.style}
          property={property}
          following={alsoFollowing(draft, node, property.name, winner)}
          {...rest}
        />
      );
    });
}

/** What is set most often, of what a kind names; at most this many are shown without opening a head. */
const OFTEN = {
  sits: ["span", "columns", "rows", "height", "share", "flow", "wide", "spread", "align"],
  looks: ["letters", "set", "scrim", "size", "headSize", "shape", "ink"],
} as const;
const AT_ONCE = 2;
/** What is set most often of something that is placed freely. */
const PLACED_FIRST: readonly string[] = ["spread", "letters"];
const hasLetters = ({ styles }: Definition) => styles.includes("headSize") || styles.includes("size");

const oftenOf = (named: readonly string[], group: "sits" | "looks"): readonly string[] =>
  OFTEN[group].filter((name) => named.includes(name)).slice(0, AT_ONCE);

/** What in a fold differs from the usual. */
function saidOf(node: Part, names: readonly string[], besides = 0): { said: string; differs: boolean } {
  const isSet = (name: string, audience: Audience) => entryOf(node.style[audience], name) !== undefined;
  const changed = names.filter((name) => AUDIENCES.some((audience) => isSet(name, audience))).length + besides;
  return {
    said: changed ? `${changed} changed` : "",
    differs: names.some((name) => DEVICES.some((device) => isSet(name, device))),
  };
}

/** Style values of one group that are not shown at once, each family under a head of its own. */
function StyleFolds({ names, also, ...rest }: StylesProps & { also?: Also | undefined }) {
  const families = Object.keys(FAMILIES) as Family[];
  return families.map((family) => {
    const inIt = names.filter((name) => {
      const property = entryOf(PROPERTIES, name);
      return property?.family === family && property.group === rest.group && !HAS_ITS_OWN.has(name);
    });
    const extra = also?.family === family ? also : undefined;
    if (inIt.length === 0 && !extra) return null;
    return (
      <Fold key={family} title={FAMILIES[family]} {...saidOf(rest.nodes[0]!, inIt, Number(extra?.isUsed ?? false))}>
        {extra?.field}
        <Styles {...rest} names={inIt} />
      </Fold>
    );
  });
}

/** A field besides the style values of a family. */
type Also = { readonly family: Family; readonly isUsed: boolean; readonly field: ReactNode };

type TrailStep = { readonly id: string; readonly name: string };

/** From the section down to what is selected; each step selects. */
function Trail({ steps }: { steps: readonly TrailStep[] }) {
  const store = useStudioStore();
  if (steps.length === 0) return null;
  return (
    <Box component="nav" aria-label="It stands in" sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, fontSize: 12 }}>
      {steps.map(({ id, name }) => (
        <span key={id}>
          <Link component="button" type="button" variant="caption" onClick={() => store.getState().select(id)}>
            {name}
          </Link>
          <Box component="span" aria-hidden sx={{ color: INK.soft, ml: 0.5 }}>
            ›
          </Box>
        </span>
      ))}
    </Box>
  );
}

type HeadProps = {
  ids: readonly string[];
  name: string;
  isSection: boolean;
  /** An item of a menu has no look of its own. */
  isItem: boolean;
  /** The page that it is looked at on. */
  page: string;
  differences: number;
  /** What it stands in, as JSON: the same text while it is the same, so that typing draws none of this anew. */
  trail: string;
};

/** What is selected, what can be done with it as a whole, and whom changes are for. */
const DetailsHead = memo(function DetailsHead({ ids, name, isSection, isItem, page, differences, trail }: HeadProps) {
  // In the plan a thumb scrolls; here it moves.
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const store = useStudioStore();
  const now = () => store.getState();
  return (
    <Box
      sx={{
        position: "sticky",
        top: 0,
        zIndex: 2,
        bgcolor: INK.raised,
        px: 2,
        pt: 1.25,
        pb: 1.25,
        borderBottom: `1px solid ${INK.line}`,
      }}
    >
      <Trail steps={JSON.parse(trail) as TrailStep[]} />
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {name}
        </Typography>
        {isSection && isNarrow
          ? (["left", "right"] as const).map((way) => (
              <IconAction
                key={way}
                label={way === "left" ? "Move up the page" : "Move down the page"}
                icon={way === "left" ? ArrowUp : ArrowDown}
                onClick={() => benchActions(store, page).nudge(way)}
              />
            ))
          : null}
        <IconAction label="Duplicate" keys="D" icon={Copy} onClick={() => benchActions(store, page).duplicate()} />
        <IconAction label="Remove" keys="Del" icon={Trash2} onClick={() => benchActions(store, page).remove()} />
      </Box>
      {isItem ? null : <AudienceSwitch />}
      {differences ? (
        <Typography variant="caption" component="p" sx={{ color: INK.plum }}>
          ◆ {differences === 1 ? "1 difference" : `${differences} differences`} between devices{" · "}
          <Link
            component="button"
            type="button"
            variant="caption"
            onClick={() => now().run(putBackDevices(now().draft, ids, name))}
          >
            put all back
          </Link>
        </Typography>
      ) : null}
    </Box>
  );
});

/** Everything about what is selected, under the questions it answers. Of several parts, what they have in common. */
export function Details({ page: asked }: { page: string }) {
  const page = useStudio((s) => pageAtHand(s.draft, asked));
  return (
    <FoldsProvider>
      <Selected page={page} />
    </FoldsProvider>
  );
}

function Selected({ page }: { page: string }) {
  const selected = useStudio((s) => s.selected);
  const also = useStudio((s) => s.also);
  const showsCss = useStudio((s) => s.ownCss.open);
  const draft = useStudio((s) => s.draft);
  const ids = useMemo(() => selectionOf({ selected, also }), [selected, also]);
  const parts = ids.map((id) => partAt(draft, id)).filter((p) => p !== undefined);
  const [part] = parts;
  const node = part?.node;
  const kind = node && kindOf(node);
  const { look } = draft;
  // Typing changes what a section says and not how it looks: its style fields are drawn again only when they have to be.
  const layers = useMemo(
    () => (node ? nodeLayers(node, themeById(look.theme), look) : []),
    // These are what the layers are made of.
    // oxlint-disable-next-line react/exhaustive-deps
    [node?.id, node?.style, node?.props.arrangement, node?.props.backdrop, look],
  );
  if (!part || !node || !kind) return showsCss ? <OwnRules key={page} page={page} /> : <Nothing />;
  const { definition } = kind;
  const { brandPart } = definition;
  const theme = themeById(draft.look.theme);
  const arrangement = arrangementOf(kind, node, theme);
  const isOne = parts.length === 1;
  const under = isOne ? pictureUnderWords(node, theme) : null;
  const isSection = part.level === "section";
  const nodes = parts.map((p) => p.node);
  const inAll = (name: string) =>
    nodes.every((n) => {
      const d = kindOf(n)?.definition;
      return d !== undefined && hasStyle(d, n, name);
    });
  const isAbove = entryOf(draft.documents, part.document)?.root.slots.top?.some((row) => row.id === node.id) ?? false;
  const around = part.path.at(-2);
  const isPlaced = around !== undefined && hasTrait(around, "places");
  const ofUse = (name: string) => (isAbove || !OF_TOP.includes(name)) && !(isPlaced ? OF_FLOW : PLACED).includes(name);
  const given = moreStyles(definition, node).filter(ofUse);
  // What is placed freely is moved by hand; its letters are what is set most often.
  const first = isPlaced ? PLACED_FIRST.filter((name) => name !== "letters" || hasLetters(definition)) : [];
  const styles = isOne
    ? [...first, ...definition.styles.filter(ofUse)]
    : [...definition.styles, ...given].filter(inAll);
  const more = isOne ? given.filter((name) => !first.includes(name)) : [];
  const common = { ids, nodes, layers, theme: theme.name, arrangement: arrangement.name };
  const all = [...styles, ...more];
  const folded = (group: "sits" | "looks") => all.filter((each) => !oftenOf(styles, group).includes(each));
  const asked = definition.fields.filter(
    ({ where }) => !where || where[1].includes(String(entryOf(node.props, where[0]))),
  );
  const hasLooks =
    isSection || all.some((each) => entryOf(PROPERTIES, each)?.group === "looks") || brandPart !== undefined;
  const seldom = asked.filter((f) => f.seldom);
  const filled = seldom.filter((f) => {
    const value = entryOf(node.props, f.key);
    return typeof value === "string" && value !== "" && value !== entryOf(definition.defaults, f.key);
  }).length;
  const control = (field: Field) => (
    <FieldControl key={`${node.id} ${field.key}`} node={node} field={field} path={[field.key]} />
  );
  const sharedBy = sharedDocument(entryOf(draft.documents, part.document));
  const canHide = styles.includes("hidden") || more.includes("hidden");
  const name = isOne ? nameOfPart(part) : `${parts.length} parts`;
  const differences = nodes.reduce((sum, n) => sum + deviceDifferences(n).length, 0);
  return (
    <Box key={ids.join()}>
      <DetailsHead
        ids={ids}
        name={name}
        isSection={isOne && isSection}
        isItem={part.level === "item"}
        page={page}
        differences={differences}
        trail={JSON.stringify(
          isOne ? part.path.slice(0, -1).map((n, i) => ({ id: n.id, name: nameIn(n, part.path[i - 1]) })) : [],
        )}
      />

      {isOne && isSection && !sharedBy ? <AroundNote row={node.id} page={page} /> : null}
      {sharedBy ? <SharedNote key={sharedBy.id} shared={sharedBy.id} page={page} /> : null}
      {isOne && definition.fields.length ? (
        <Group title="What it says">
          {definition.eachIs ? <InsideField section={node} one={definition.eachIs} /> : null}
          {definition.binds ? (
            <BoundField
              key={node.id}
              node={node}
              document={entryOf(draft.documents, part.document)}
              as={definition.binds.as}
            />
          ) : null}
          {asked.filter((f) => !f.seldom).map(control)}
          {seldom.length ? (
            <Folds>
              <Fold title="More to say" said={filled ? `${filled} filled in` : ""}>
                {seldom.map(control)}
              </Fold>
            </Folds>
          ) : null}
        </Group>
      ) : null}

      {part.level === "item" ? (
        <Group title={entryOf(draft.documents, part.document)?.title ?? "Menu"}>
          <MenuEditor menu={part.document} selects />
        </Group>
      ) : (
        <>
          <Group title="How it sits">
            {isOne && arrangementsOf(kind, theme).length > 1 ? (
              <ArrangementField
                node={node}
                current={arrangement.id}
                isOwn={node.props.arrangement !== undefined}
                theme={theme.name}
                arrangements={arrangementsOf(kind, theme)}
              />
            ) : null}
            {isOne && definition.holds?.columns ? <ColumnsField section={node} /> : null}
            {isOne && part.level === "column" && part.path[0]?.slots.columns ? (
              <ColumnsField section={part.path[0]} />
            ) : null}
            <Styles {...common} names={oftenOf(styles, "sits")} group="sits" />
            <Folds>
              <StyleFolds {...common} names={folded("sits")} group="sits" />
            </Folds>
          </Group>

          {hasLooks ? (
            <Group title="How it looks">
              {under ? <WordsOnPicture node={node} layers={layers} picture={under} /> : null}
              <Styles {...common} names={oftenOf(styles, "looks")} group="looks" />
              {isOne && brandPart ? (
                <FromBrand part={entryOf(brandPart.parts, String(entryOf(node.props, brandPart.by))) ?? ""} />
              ) : null}
              <Folds>
                <StyleFolds
                  {...common}
                  names={folded("looks")}
                  group="looks"
                  also={
                    isOne && isSection && definition.slots.includes("main")
                      ? {
                          family: "colour",
                          isUsed: Boolean(chassisOf(node).backdrop ?? chassisOf(node).groundFilm),
                          field: (
                            <>
                              <BackdropField node={node} />
                              {under === null ? null : <GroundFilmField node={node} />}
                            </>
                          ),
                        }
                      : undefined
                  }
                />
                {isOne && isSection ? (
                  <Fold
                    title="Name and code"
                    {...saidOf(node, [], [chassisOf(node).anchor, chassisOf(node).css].filter(Boolean).length)}
                  >
                    <AnchorField key={`${node.id} anchor`} node={node} />
                    <OwnCssField key={node.id} node={node} />
                  </Fold>
                ) : null}
              </Folds>
            </Group>
          ) : null}
        </>
      )}

      <WhenItShows
        ids={ids}
        document={part.document}
        name={name}
        shown={nodes.every((n) => n.shown)}
        conditions={
          nodes.every((n) => sameJson(n.conditions, node.conditions)) ? JSON.stringify(node.conditions) : undefined
        }
        layers={layers}
        canHide={canHide}
      />
    </Box>
  );
}

/** Whom a change of style is for. */
const AudienceSwitch = memo(function AudienceSwitch() {
  const store = useStudioStore();
  const audience = useStudio((s) => s.audience);
  return (
    <>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={audience}
        aria-label="Whom a change of style is for"
        sx={{ mt: 0.5 }}
        onChange={(_e, next: Audience | null) => next && store.getState().setAudience(next)}
      >
        <ToggleButton value="all">All</ToggleButton>
        {DEVICES.map((device) => (
          <ToggleButton
            key={device}
            value={device}
            sx={{
              "&&.Mui-selected": { bgcolor: INK.plum, color: INK.paper },
              "&&.Mui-selected:hover": { bgcolor: INK.plum, color: INK.paper },
            }}
          >
            {DEVICE_NAME[device]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Typography variant="caption" component="p" sx={{ mt: 0.5, color: audience === "all" ? INK.soft : INK.plum }}>
        {audience === "all"
          ? "Changes of style are for all devices."
          : `◆ How it sits and looks is changed for ${DEVICE_PLURAL[audience]} only. Words, pictures and order are the same everywhere.`}
      </Typography>
    </>
  );
});

/** What is styled for the whole shop at once, where it is, and how many of it there are on this page. */
function FromBrand({ part: id }: { part: string }) {
  const frames = useBenchFrames();
  const part = partById(id);
  const frame = frames.wide ?? frames.phone;
  const [count, setCount] = useState(0);
  const draft = useStudio((s) => s.draft);
  useEffect(() => {
    if (!frame || !part) return;
    const plain = id === "button.primary" ? ":not(.button-2,.button-3)" : "";
    // The pane is counted when it has drawn what the draft says.
    const counting = requestAnimationFrame(() => setCount(frame.querySelectorAll(`${part.selector}${plain}`).length));
    return () => cancelAnimationFrame(counting);
  }, [frame, part, id, draft]);
  if (!part) return null;
  return (
    <Typography variant="caption" component="p" color="text.secondary">
      Drawn as {part.name} says in Brand, on {count} {count === 1 ? "place" : "places"} of this page and wherever else
      the shop has one ·{" "}
      <Link component={RouterLink} to="../brand" relative="path" variant="caption">
        change it in Brand
      </Link>
    </Typography>
  );
}
