import { Box, ButtonBase, Drawer, Typography } from "@mui/material";
import { X } from "lucide-react";
import { createContext, useContext, useMemo, useRef, useState } from "react";
import { addNode, locate } from "~/core/commands";
import type { Goods } from "~/core/goods";
import { offersOf } from "~/core/offers";
import type { Picture } from "~/core/pictures";
import { kindOf, kindsOf, PURPOSES, suits, type Definition, type Purpose } from "~/kinds";
import { SECTION_DESIGNS, TRADES, type Given, type SectionDesign } from "~/kinds/designs";
import { fillNode, fillStart, sectionAround } from "~/kinds/fill";
import { withOffers } from "~/kinds/live";
import { aroundPage } from "~/render";
import { useScenes } from "../pictures";
import { useStudio, useStudioStore } from "../keeping";
import { PartSight } from "../panes";
import { FindField, IconAction, INK } from "../ui";
import { SharedTiles } from "../shared";
import { useGiven, useTrade } from "./given";
import { OwnPieces } from "./own-pieces";
import { TradeField } from "./trade-field";
import { layoutProps, OVER, pathTo, sameJson, type Draft, type Part, entryOf } from "~/core/document";

type AddChoice = {
  readonly definition: Definition;
  readonly id: string;
  readonly name: string;
  /** What it is offered for, and the slot of a document's root that it goes into. */
  readonly purpose: Purpose;
  readonly slot: string;
  readonly make: (goods: Goods, pictures: readonly Picture[], given: Given) => Part;
  /** Of a design: the words by which it is looked for, and for which trades it is. */
  readonly design?: SectionDesign;
};

const NOTHING: Given = { shop: "", trade: TRADES[0], picture: () => null, product: () => null, collections: [] };

/** Sections that are finished. Which kinds they are of is only known from them, so they are made once, when they are first asked for. */
let designs: readonly AddChoice[] | undefined;
const designChoices = (): readonly AddChoice[] =>
  (designs ??= SECTION_DESIGNS.flatMap((design) => {
    const definition = kindOf(design.build(NOTHING))?.definition;
    if (!definition) return [];
    const { id, name, purpose } = design;
    return [
      { definition, id, name, purpose, slot: "main", design, make: (_goods, _pictures, given) => design.build(given) },
    ];
  }));

const SECTIONS: readonly AddChoice[] = kindsOf("section").flatMap(({ definition }): readonly AddChoice[] => {
  const { kind, slots, arrangements, starts, isOffered, traits } = definition;
  if ((!slots.includes("main") && !isOffered) || traits?.includes("stands-for")) return [];
  const usual = { definition, purpose: definition.purpose, slot: slots[0]! };
  return starts
    ? starts.map(({ id, name, region }) => ({
        ...usual,
        ...(region ? { purpose: region === OVER ? "Over the page" : "On every page", slot: region } : {}),
        id,
        name,
        make: (goods, pictures) => fillStart(kind, id, goods, pictures),
      }))
    : arrangements.map(({ id, name }) => ({
        ...usual,
        id,
        name,
        make: (goods, pictures) => fillNode(kind, goods, pictures, id),
      }));
});
const WIDGETS: readonly AddChoice[] = kindsOf("widget").map(({ definition }) => ({
  definition,
  id: definition.kind,
  name: definition.about,
  purpose: definition.purpose,
  slot: definition.slots[0]!,
  make: (goods, pictures) => fillNode(definition.kind, goods, pictures),
}));

/** The pictures that may be put anywhere by themselves, and what designs are made with; picked out once for all tiles. */
const Scenes = createContext<readonly Picture[]>([]);
const GivenToAll = createContext<Given>(NOTHING);

/** How a tile is drawn: its size on the screen, and the width of the page that is shrunk into it. */
type Tile = { readonly width: number; readonly height: number; readonly page: number };
const SECTION_TILE: Tile = { width: 224, height: 138, page: 1180 };
const WIDGET_TILE: Tile = { width: 124, height: 66, page: 320 };

/** A widget alone on a page, as it would stand in a column. */
const inColumn = (widget: Part): Part => sectionAround(widget, { all: { spaceTop: 3, spaceBottom: 3 } });
/** A part with words in it where it begins empty, and a design has none of its own: for looking at, not for a page. */
function withSample(part: Part): Part {
  const { sample = {}, defaults = {} } = kindOf(part)?.definition ?? {};
  const isUsual = (key: string) => sameJson(entryOf(part.props, key), entryOf(defaults as Part["props"], key));
  const put = Object.entries(sample as Part["props"]).filter(([key]) => isUsual(key));
  return {
    ...part,
    props: put.length ? { ...part.props, ...Object.fromEntries(put) } : part.props,
    slots: Object.fromEntries(Object.entries(part.slots).map(([slot, parts]) => [slot, parts.map(withSample)])),
  };
}

/** A widget with what it is for in it, where it would be empty by itself. */
function withExample(widget: Part, goods: Goods, pictures: readonly Picture[]): Part {
  const example = kindOf(widget)?.definition.example;
  const make = (kind: string, props: Part["props"] = {}): Part => {
    const made = fillNode(kind, goods, pictures);
    return { ...made, props: { ...made.props, ...props } };
  };
  return example ? { ...widget, slots: example(make) } : widget;
}

/** What is offered, as it would look here. */
function Miniature({ choice, tile }: { choice: AddChoice; tile: Tile }) {
  const scenes = useContext(Scenes);
  const given = useContext(GivenToAll);
  const goods = useStudio((s) => s.goods);
  const offers = useStudio((s) => offersOf(s.draft.documents));
  const node = useMemo(() => {
    const made = withSample(withOffers(choice.make(goods, scenes, given), offers));
    if (choice.definition.level === "section") return made;
    return inColumn(withExample(made, goods, scenes));
  }, [choice, goods, scenes, given, offers]);
  const name = `${choice.definition.name}, ${choice.name}`;
  return <PartSight node={node} name={name} withBlanks={choice.design !== undefined} {...tile} />;
}

type TileProps = {
  choice: AddChoice;
  tile: Tile;
  label: string;
  onAdd: () => void;
  onCarry?: (down: PointerEvent) => void;
};

function TileButton({ choice, tile, label, onAdd, onCarry }: TileProps) {
  const { definition, name, design } = choice;
  return (
    <ButtonBase
      onClick={onAdd}
      onPointerDown={(event) => onCarry?.(event.nativeEvent)}
      onDragStart={(event) => event.preventDefault()}
      aria-label={label}
      sx={{
        display: "block",
        textAlign: "left",
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        overflow: "hidden",
        bgcolor: INK.raised,
        ...(onCarry ? { cursor: "grab", touchAction: "none" } : {}),
        "&:hover, &.Mui-focusVisible": { borderColor: INK.ink, boxShadow: `0 3px 0 ${INK.lemon}` },
      }}
    >
      <Miniature choice={choice} tile={tile} />
      <Box
        sx={{ px: 1.25, py: 0.75, borderTop: `1px solid ${INK.line}`, width: tile.width, minHeight: design ? 52 : 0 }}
      >
        <Typography variant="subtitle2" noWrap={!design} sx={{ lineHeight: 1.25 }}>
          {design ? name : definition.name}
        </Typography>
        {definition.level === "section" && !design ? (
          <Typography variant="caption" color="text.secondary" noWrap component="p">
            {name}
          </Typography>
        ) : null}
      </Box>
    </ButtonBase>
  );
}

const placeOf = (purpose: Purpose): string => `add-${purpose.toLowerCase().replaceAll(" ", "-")}`;

type PurposeRailProps = { purposes: readonly Purpose[]; onGo: (purpose: Purpose) => void };

/** What there is to put on a page, by what it is for; each leads to its place. */
const PurposeRail = ({ purposes, onGo }: PurposeRailProps) => (
  <Box
    component="nav"
    aria-label="By purpose"
    sx={{
      display: { xs: "none", md: "block" },
      flex: "none",
      width: 168,
      py: 2,
      pl: 2,
      overflowY: "auto",
      borderRight: `1px solid ${INK.line}`,
    }}
  >
    {purposes.map((purpose) => (
      <ButtonBase
        key={purpose}
        onClick={() => onGo(purpose)}
        sx={{
          display: "block",
          width: "100%",
          textAlign: "left",
          px: 1,
          py: 0.75,
          fontSize: 14,
          borderRadius: "4px 0 0 4px",
          "&:hover, &.Mui-focusVisible": { bgcolor: INK.raised },
        }}
      >
        {purpose}
      </ButtonBase>
    ))}
  </Box>
);

type AddSheetProps = {
  page: string;
  /** Before which section of the page; closed when null. */
  at: number | null;
  onClose: () => void;
  /** A widget is wanted where something is selected. */
  onWidget: (widget: Part) => void;
  /** Something has been added and the sheet is gone: the keyboard should be on it. */
  onAdded: () => void;
  /** A widget is being dragged out of the sheet. */
  onCarry: (widget: Part, down: PointerEvent) => void;
};

type Documents = Draft["documents"];

/** The document whose rows stand above or below a page. */
const aroundIn = (documents: Documents, page: string, slot: "top" | "bottom"): string =>
  aroundPage(entryOf(documents, page))[slot] === "own" ? page : "frame";

const rowsAround = (documents: Documents, page: string, slot: "top" | "bottom"): readonly Part[] | undefined =>
  entryOf(documents, aroundIn(documents, page, slot))?.root.slots[slot];

/** Everything that can be put on the page, shown in the shop's own look and with its own goods. */
export function AddSheet({ page, at, onClose, onAdded, onWidget, onCarry }: AddSheetProps) {
  const hasAdded = useRef(false);
  const store = useStudioStore();
  const [sought, setSought] = useState("");
  const words = sought.trim().toLowerCase().split(/\s+/);
  const matches = ({ definition: d, name, purpose, design }: AddChoice) => {
    const more = design ? design.synonyms : [d.about, ...(d.synonyms ?? [])];
    const said = [d.name, name, purpose, ...more].join(" ").toLowerCase();
    return words.every((word) => said.includes(word));
  };
  const sort = useStudio((s) => {
    const document = entryOf(s.draft.documents, page);
    return document && layoutProps(document)?.of;
  });
  const top = useStudio((s) => rowsAround(s.draft.documents, page, "top"));
  const bottom = useStudio((s) => rowsAround(s.draft.documents, page, "bottom"));
  /** Header and footer are offered where they are lacking; there is one of each. */
  const isLacking = ({ kind, tag, slots }: Definition) =>
    (tag !== "header" && tag !== "footer") || !(slots[0] === "top" ? top : bottom)?.some((part) => part.kind === kind);
  const suited = ({ definition }: AddChoice) => isLacking(definition) && suits(definition, sort);
  const [trade] = useTrade();
  const given = useGiven(trade);
  const isForTrade = ({ design }: AddChoice) => trade === "any" || !design?.trades || design.trades.includes(trade);
  // Until it is first opened nothing of it is worked out.
  const [wasOpen, setWasOpen] = useState(at !== null);
  if (at !== null && !wasOpen) setWasOpen(true);
  const finished = (wasOpen ? designChoices() : []).filter((c) => suited(c) && isForTrade(c) && matches(c));
  const sections = SECTIONS.filter((c) => suited(c) && matches(c));
  // What has a place in one kind of section alone is offered there.
  const takes = useStudio((s) => {
    const root = s.selected ? locate(s.draft, s.selected)?.root : undefined;
    const section = root && pathTo(root, s.selected!)[0];
    return Object.keys((section && kindOf(section)?.definition.holds) ?? {}).join(" ");
  });
  const hasPlace = ({ definition: { slots } }: AddChoice) =>
    slots.includes("widgets") || slots.some((slot) => takes.split(" ").includes(slot));
  const widgets = WIDGETS.filter((c) => hasPlace(c) && suited(c) && matches(c));
  // What is called by the words that are looked for stands first; what only mentions them, after that.
  const isCalled = ({ definition: { name } }: AddChoice) => words.every((word) => name.toLowerCase().includes(word));
  const called = new Set(sought.trim() ? [...finished, ...sections].filter(isCalled).map((c) => c.purpose) : []);
  const offered = [...PURPOSES]
    .sort((a, b) => Number(called.has(b)) - Number(called.has(a)))
    .map((purpose) => ({
      purpose,
      ready: finished.filter((c) => c.purpose === purpose),
      plain: sections.filter((c) => c.purpose === purpose),
    }))
    .filter(({ ready, plain }) => ready.length + plain.length);
  const scenes = useScenes();
  const make = (choice: AddChoice) => choice.make(store.getState().goods, scenes, given);
  const close = () => {
    setSought("");
    onClose();
  };
  const done = () => {
    hasAdded.current = true;
    close();
  };
  // Whoever is in columns wants something to put there; whoever is not wants a section.
  const isInColumns = useStudio((s) => {
    const root = s.selected ? locate(s.draft, s.selected)?.root : undefined;
    return root ? Boolean(pathTo(root, s.selected!)[0]?.slots.columns) : false;
  });
  const things = (
    <Box component="section" aria-label="Things for columns">
      <Typography variant="h3" component="h3">
        Things for columns
      </Typography>
      <Typography variant="caption" component="p" color="text.secondary" sx={{ mb: 1 }}>
        Click to put one where you are, or drag it onto a page.
      </Typography>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5 }}>
        {widgets.map((choice) => (
          <TileButton
            key={choice.id}
            choice={choice}
            tile={WIDGET_TILE}
            label={`Add ${choice.definition.name}`}
            onAdd={() => {
              onWidget(make(choice));
              done();
            }}
            onCarry={(down) => onCarry(make(choice), down)}
          />
        ))}
      </Box>
    </Box>
  );
  const add = (choice: AddChoice) => {
    const { draft, run, say } = store.getState();
    const { slot, definition } = choice;
    const document =
      slot === "top" || slot === "bottom" ? aroundIn(draft.documents, page, slot) : slot === OVER ? "frame" : page;
    const { root } = entryOf(draft.documents, document)!;
    // A row goes next to the page: below what stands on top, above what stands at the bottom. A notice is the first thing of all.
    const isBelow = slot === "top" && definition.tag !== "aside";
    const index =
      slot === "main"
        ? (at ?? 0)
        : isBelow || definition.tag === "footer" || slot === OVER
          ? (entryOf(root.slots, slot)?.length ?? 0)
          : 0;
    const made = withOffers(make(choice), offersOf(draft.documents));
    const why = run(addNode(draft, document, { parent: root.id, slot, index }, made, definition.name));
    if (why) say(why, "problem");
    done();
  };
  return (
    <Scenes value={scenes}>
      <GivenToAll value={given}>
        <Drawer
          anchor="bottom"
          open={at !== null}
          onClose={close}
          slotProps={{
            transition: {
              // By itself the sheet gives the keyboard back to where it was: a key pressed next would mean something else.
              onExited: () => {
                if (hasAdded.current) onAdded();
                hasAdded.current = false;
              },
            },
            paper: {
              "aria-label": "Add a section",
              role: "dialog",
              sx: { height: "max(66vh, min(94vh, 26rem))", borderTop: `2px solid ${INK.ink}`, bgcolor: INK.paper },
            },
          }}
        >
          <Box
            sx={{
              display: "flex",
              flexWrap: "wrap",
              alignItems: "center",
              gap: 2,
              px: 3,
              py: 1.5,
              borderBottom: `1px solid ${INK.line}`,
            }}
          >
            <Typography variant="h2" sx={{ flex: 1, whiteSpace: "nowrap" }}>
              What should be there?
            </Typography>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, order: { xs: 1, md: 0 } }}>
              <TradeField />
              <FindField label="Find" value={sought} onChange={setSought} width={280} autoFocus />
            </Box>
            <IconAction label="Close" keys="Esc" icon={X} onClick={close} />
          </Box>
          <Box sx={{ display: "flex", minHeight: 0, flex: 1 }}>
            <PurposeRail
              purposes={offered.map((o) => o.purpose)}
              onGo={(purpose) => document.getElementById(placeOf(purpose))?.scrollIntoView({ block: "start" })}
            />
            <Box sx={{ overflowY: "auto", px: 3, py: 2, display: "grid", gap: 3, flex: 1, alignContent: "start" }}>
              {widgets.length && isInColumns ? things : null}
              {offered.map(({ purpose, ready, plain }) => (
                <Box component="section" key={purpose} aria-label={purpose} id={placeOf(purpose)}>
                  <Typography variant="h3" component="h3" sx={{ mb: 1 }}>
                    {purpose}
                  </Typography>
                  {ready.length ? (
                    <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
                      {ready.map((choice) => (
                        <TileButton
                          key={choice.id}
                          choice={choice}
                          tile={SECTION_TILE}
                          label={`Add ${choice.name}`}
                          onAdd={() => add(choice)}
                        />
                      ))}
                    </Box>
                  ) : null}
                  {ready.length && plain.length ? (
                    <Typography variant="subtitle2" component="h4" color="text.secondary" sx={{ mt: 2, mb: 1 }}>
                      Plain, by what they are
                    </Typography>
                  ) : null}
                  <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
                    {plain.map((choice) => (
                      <TileButton
                        key={`${choice.definition.kind} ${choice.id}`}
                        choice={choice}
                        tile={SECTION_TILE}
                        label={`Add ${choice.definition.name}: ${choice.name}`}
                        onAdd={() => add(choice)}
                      />
                    ))}
                  </Box>
                </Box>
              ))}
              <SharedTiles page={page} at={at ?? 0} sought={sought} onDone={done} />
              <OwnPieces page={page} at={at ?? 0} sought={sought} onDone={done} />
              {widgets.length && !isInColumns ? things : null}
              {offered.length + widgets.length === 0 ? (
                <Typography color="text.secondary">
                  Nothing here is called “{sought}”. Try what it should do: welcome, goods, story, sign-up.
                </Typography>
              ) : null}
            </Box>
          </Box>
        </Drawer>
      </GivenToAll>
    </Scenes>
  );
}
