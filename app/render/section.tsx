import { memo, type ReactNode } from "react";
import { nodeAttributes, resolve } from "~/core/cascade";
import { walk, type Json, type Look, type Part } from "~/core/document";
import { shadeClass, viewKey } from "~/core/pictures";
import { linkOfOwn } from "~/core/schema";
import type { Theme } from "~/core/theme";
import { boundOf, chassisOf, hasTrait, kindOf, levelOf, type Definition } from "~/kinds";
import {
  EnvProvider,
  GroundFilm,
  GroundProvider,
  InsideProvider,
  isFilm,
  NodeIdProvider,
  Pic,
  slotMark,
  useEnv,
  useRegion,
  type Inside,
  type KindEnv,
  overPlace,
} from "~/kinds/parts";
import { CONTENTS, placeOf } from "~/kinds/outline-places";
import { blankIn } from "~/kinds/designs";
import { unreadable } from "~/kinds/readable";
import { Boundary, Undrawable } from "./boundary";
import type { Lying } from "./lying";
import { arrangementOf, nodeClass, nodeLayers, pictureUnderWords } from "./style";

type PartProps = {
  node: Part;
  theme: Theme;
  look: Look;
  /** Above the fold: the first section of a page, and what is in it. */
  first: boolean;
  headId?: string | undefined;
  /** Which row it is of those above or below every page; absent: it is none. */
  row?: number;
  /** What it lies over, where it doesn't stand above its page. */
  over?: Lying | undefined;
  /** It is a section within a section, such as a slide. */
  within?: boolean;
};

const SHORT = { section: "s s", column: "col col", widget: "w w", item: "" } as const;

/** Columns and groups are themselves what holds their things; sections say in their views where things go. */
const ownSlot = ({ level, holds }: Definition) => (level !== "section" && holds ? Object.keys(holds)[0] : undefined);

/** One part of a page in its shell: the element that carries its class, its arrangement and its colour set. */
export const Section = memo(function Section(props: PartProps): ReactNode {
  const { studio } = useEnv();
  // A server draws without boundaries; it leaves out what failed and draws once more (`render/document`).
  return studio ? (
    <Boundary node={props.node}>
      <Drawn {...props} />
    </Boundary>
  ) : (
    <Drawn {...props} />
  );
});

/** What stands in a part and reaches the shop; what is not shown yet, or has a blank that only the seller can fill in, does not. */
const slotsInShop = ({ slots }: Part): Part["slots"] =>
  Object.fromEntries(
    Object.entries(slots).map(([slot, inside]) => [slot, inside.filter((n) => n.shown && blankIn(n) === undefined)]),
  );

/** A part as it is drawn: where it takes what it shows from a field, with what that says. */
function filled(
  node: Part,
  { binds }: Definition,
  field: KindEnv["field"],
): { readonly node: Part; readonly from: "itself" | "field" | "nowhere" } {
  const bound = boundOf(node);
  if (!bound || !binds) return { node, from: "itself" };
  const value = field(bound);
  if (value === undefined) return { node, from: bound.empty === "nothing" ? "nowhere" : "itself" };
  // How a picture is shown was said of the widget's own.
  const { [viewKey(binds.key)]: _view, ...props } = node.props;
  const filledIn = binds.as === "link" ? (linkOfOwn(value) as Json) : value;
  return { node: { ...node, props: { ...props, [binds.key]: filledIn } }, from: "field" };
}

/** What somebody hears of what lies over a page: its own name, its heading, or whose word it is. */
const dialogName = (node: Part, shop: string): string => {
  const head = [...walk(node)].find((part) => hasTrait(part, "head") && part.shown)?.props.text;
  return [node.props.name, head].find((said): said is string => typeof said === "string" && said !== "") ?? shop;
};

const withoutStudio = ({ studio: _studio, ...env }: KindEnv): KindEnv => env;

function Drawn({ node: stored, theme, look, first, headId, row, over, within = false }: PartProps): ReactNode {
  const env = useEnv();
  const { studio, onDrawn, partsOf, picture: find } = env;
  const region = useRegion();
  const kind = kindOf(stored);
  const why = unreadable(stored);
  // What can't be read is kept in the document, shown as such in the studio and left out in the shop.
  if (!kind || why !== undefined) return studio ? <Undrawable node={stored} why={why ?? ""} /> : null;
  const { node, from } = filled(stored, kind.definition, env.field);
  // A blank that only the seller can fill in never reaches the shop.
  if (!studio && (!node.shown || blankIn(node) !== undefined || hasTrait(node, "stands-for"))) return null;
  if (!studio && from === "nowhere") return null;
  const { definition } = kind;
  onDrawn?.(node);
  const { id: arrangement, as } = arrangementOf(kind, node, theme);
  const { tag: Tag, kind: name, level } = definition;
  const layers = nodeLayers(node, theme, look);
  const isSection = level === "section";
  const { anchor, backdrop, backdropView, groundFilm } = isSection ? chassisOf(node) : {};
  const under = isSection ? find(pictureUnderWords(node, theme)) : undefined;
  const moves = under !== undefined && isFilm(groundFilm);
  const isCut = (["edgeTop", "edgeBottom"] as const).some(
    (edge) => (resolve(layers, edge, "wide")?.value ?? "none") !== "none",
  );
  const slot = ownSlot(definition);
  // The first heading of a page is its `h1`; sections of a fixed form see to that themselves.
  const saysItself = !hasTrait(node, "no-head") && Boolean(node.props.heading);
  const head =
    isSection && first
      ? saysItself
        ? undefined
        : [...walk(node)].find((n) => hasTrait(n, "head") && n.shown)?.id
      : headId;
  const slots = studio ? node.slots : slotsInShop(node);
  const isFirst = (child: Part) => Object.values(slots).some((inside) => inside.find((n) => n.shown) === child);
  const inside: Inside = {
    slots,
    headId: head,
    draw: (child) => (
      <Section
        key={child.id}
        node={child}
        theme={theme}
        look={look}
        // Of sections within a section, such as slides, only the one that is seen first begins the page.
        first={first && (levelOf(child) !== "section" || isFirst(child))}
        headId={head}
        within={levelOf(child) === "section"}
      />
    ),
  };
  const attributes = nodeAttributes(layers);
  // Where something lists the headings of the page, each section can be led to.
  const isOver = Tag === "dialog" ? overPlace(node.id) : "";
  const place =
    isOver || anchor || (isSection && !within && region === "main" && partsOf(CONTENTS).length ? placeOf(node) : "");
  const set = attributes["data-set"];
  const drawn = <kind.View props={node.props} arrangement={as} first={first} />;
  // What a field says is changed where it stands, and not here.
  const view =
    studio && from === "field" ? (
      <EnvProvider value={withoutStudio(env)}>{drawn}</EnvProvider>
    ) : studio && from === "nowhere" ? (
      <p className="studio-empty">Nothing here: the field that it takes this from is empty.</p>
    ) : (
      drawn
    );
  const classes = [
    `${SHORT[level]}-${name} a-${as} ${nodeClass(node)}`,
    arrangement === as ? "" : `a-${arrangement}`,
    isCut ? "is-cut" : "",
    backdrop ? "on-backdrop" : "",
    under?.shade ? shadeClass(under) : "",
    over ? `lies-over over-${over.tone}` : "",
    over?.picture?.shade ? shadeClass(over.picture) : "",
    !isSection && attributes["data-set"] ? "in-set" : "",
    attributes["data-drift"] ? "drifts" : "",
  ];
  return (
    <Tag
      className={classes.filter(Boolean).join(" ")}
      {...(place ? { id: place } : {})}
      {...attributes}
      {...(studio
        ? {
            "data-node": node.id,
            // To the bench it is what columns are: it stands beside others of its sort.
            "data-level": within ? "column" : level,
            ...(slot ? slotMark(node.id, slot) : {}),
            ...(node.shown ? {} : { "data-not-shown": "" }),
          }
        : {})}
      {...(Tag === "aside" ? { "aria-label": definition.name } : {})}
      {...(Tag === "dialog" ? { "aria-label": dialogName(node, env.identity.name) } : {})}
      {...(Tag === "dialog" && (studio || env.still) ? { open: true } : {})}
      {...(Tag === "section" && row
        ? { "aria-label": `${region === "top" ? "Top" : "Bottom"} of the page, row ${row}` }
        : {})}
    >
      <NodeIdProvider value={node.id}>
        {backdrop ? (
          <Pic
            picture={backdrop}
            view={backdropView}
            at="backdrop"
            className="backdrop"
            sizes="100vw"
            eager={first}
            alt=""
          />
        ) : null}
        <InsideProvider value={inside}>
          {set === undefined ? view : <GroundProvider value={{ set, over: over?.tone }}>{view}</GroundProvider>}
        </InsideProvider>
        {moves ? <GroundFilm file={groundFilm} /> : null}
      </NodeIdProvider>
    </Tag>
  );
}
