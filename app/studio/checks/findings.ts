import { isOwnColour, resolve } from "~/core/cascade";
import { layoutFindings, type LayoutFinding, type LayoutRule } from "~/core/checks";
import { locate, setStyles, type Outcome } from "~/core/commands";
import { entryOf, walk, type Device, type Draft, type Part, type StyleValue } from "~/core/document";
import type { Picture, Scrim } from "~/core/pictures";
import { hasStyle, kindOf } from "~/kinds";
import { nodeLayers, pictureUnderWords, tonesOf } from "~/render";
import { themeById } from "~/themes";
import { coloursAround, setFor } from "../colours";
import { DEVICE_WIDTH } from "../panes";
import { measurePage } from "./measure";
import { contrastOnPicture, type AskContrast } from "./on-picture";

/** Something to look at on a page, on one device. */
export type Finding = LayoutFinding & {
  readonly device: Device;
  /** The tint that would be just enough, of words on a picture. */
  readonly enough?: Scrim;
};

export const RULE_WORDS: Readonly<Record<LayoutRule, string>> = {
  overflow: "Past the edge",
  "small-text": "Too small to read",
  "small-target": "Too small to tap",
  overlap: "One on top of the other",
  "long-line": "Lines too long",
  "broken-word": "A word broken in two",
  unreadable: "Hard to read",
};

/** The sections of a page as it is drawn, those of every page and those within sections among them. */
function sectionsIn(frame: Document, draft: Draft): readonly Part[] {
  const all = Object.values(draft.documents).flatMap(({ root }) => [...walk(root)]);
  const byId = new Map(all.map((section) => [section.id, section]));
  return [...frame.querySelectorAll<HTMLElement>(".s[data-node]")].flatMap(
    (element) => byId.get(element.dataset.node!) ?? [],
  );
}

/** What is wrong with the layout of a page that is drawn at the width of a device; from the top down. */
export const layoutOf = (frame: Document, device: Device): readonly Finding[] =>
  layoutFindings(measurePage(frame), DEVICE_WIDTH[device]).map((f) => ({ ...f, device }));

/** Sections of a drawn page whose words can't be read on the picture that they stand on. */
export async function onPicturesOf(
  frame: Document,
  device: Device,
  draft: Draft,
  pictures: readonly Picture[],
  ask: AskContrast,
): Promise<readonly Finding[]> {
  const theme = themeById(draft.look.theme);
  const toneOf = tonesOf(draft.look);
  const found: Finding[] = [];
  for (const node of sectionsIn(frame, draft)) {
    const under = pictureUnderWords(node, theme);
    const picture = under && pictures.find((p) => p.id === under);
    if (!picture) continue;
    const layers = nodeLayers(node, theme, draft.look);
    const answer = await contrastOnPicture(ask, frame, node, layers, picture, device, toneOf);
    const box = frame.querySelector(`[data-node="${node.id}"]`)?.getBoundingClientRect();
    if (!answer || !box || answer.reached >= answer.needed) continue;
    found.push({
      rule: "unreadable",
      device,
      node: node.id,
      says: "",
      rect: {
        left: box.left,
        top: box.top + (frame.defaultView?.scrollY ?? 0),
        width: box.width,
        height: box.height,
      },
      why: `The contrast of the words with the picture behind them is ${String(Math.floor(answer.reached * 10) / 10)}; ${answer.needed} is needed.`,
      ...(answer.enough ? { enough: answer.enough } : {}),
    });
  }
  return found;
}

export type Mend = { readonly label: string; readonly outcome: Outcome };

/** What makes words legible that stand on a picture, or in colours of the seller's own. */
function mendUnreadable(draft: Draft, finding: Finding, node: Part): Mend | undefined {
  const { enough, device } = finding;
  if (enough) {
    // A tablet shows a picture more like a wide screen does, and is seldom looked at by itself.
    const audiences = device === "wide" ? (["tablet", "wide"] as const) : [device];
    const said = { scrim: enough.strength, scrimFrom: enough.from, scrimTone: enough.tone };
    const values = audiences.flatMap((audience) =>
      Object.entries(said).map(([property, value]) => ({ id: node.id, audience, property, value })),
    );
    return { label: "Tint it just enough", outcome: setStyles(draft, values, "Tint just enough for the words") };
  }
  const own = (property: string) => Object.values(node.style).some((sheet) => isOwnColour(entryOf(sheet, property)));
  if (own("ink")) {
    const values = [{ id: node.id, audience: "all" as const, property: "ink", value: undefined }];
    return { label: "Put the colour of the words back", outcome: setStyles(draft, values, "Colour of words put back") };
  }
  const ground = own("ground") ? coloursAround(draft, node.id)?.ground : undefined;
  const set = ground === undefined ? undefined : setFor(draft, ground);
  if (set === undefined) return undefined;
  const values = [{ id: node.id, audience: "all" as const, property: "set", value: set }];
  return { label: "Use colours that can be read", outcome: setStyles(draft, values, "Words that can be read on it") };
}

/** What puts a finding right in one step, where there is such a thing; for the device on which it was found. */
export function mendOf(draft: Draft, finding: Finding): Mend | undefined {
  const node = locate(draft, finding.node)?.node;
  const definition = node && kindOf(node)?.definition;
  if (!node || !definition) return undefined;
  const layers = nodeLayers(node, themeById(draft.look.theme), draft.look);
  const now = (property: string) => resolve(layers, property, finding.device)?.value;
  const can = (property: string) => hasStyle(definition, node, property);
  const set = (property: string, value: StyleValue, label: string): Mend => ({
    label,
    outcome: setStyles(draft, [{ id: node.id, audience: finding.device, property, value }], label),
  });
  const smallerHead = () => {
    const head = now("headSize");
    return can("headSize") && typeof head === "number" && head > 1
      ? set("headSize", head - 1, "Make the head a step smaller")
      : undefined;
  };
  switch (finding.rule) {
    case "small-text":
      return can("size") ? set("size", 0, "Make it as large as text") : undefined;
    case "long-line":
      if (can("measure")) return set("measure", "62ch", "Shorten the lines");
      return can("width") && now("width") !== "narrow" ? set("width", "narrow", "Make the section narrow") : undefined;
    case "broken-word":
      return smallerHead();
    case "overflow": {
      const smaller = smallerHead();
      if (smaller) return smaller;
      if (can("wide") && now("wide") !== "fill") return set("wide", "fill", "Fit it into its place");
      if (can("rows") && now("rows") !== 1) return set("rows", 1, "Put the columns below each other");
      return undefined;
    }
    case "overlap":
      return can("above") ? set("above", 3, "Give it room above") : undefined;
    case "small-target":
      return can("pad") ? set("pad", 2, "Give it room around") : undefined;
    case "unreadable":
      return mendUnreadable(draft, finding, node);
  }
}
