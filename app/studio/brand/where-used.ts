import type { BrandPart } from "~/render";
import {
  measureDeclarations,
  partDeclarations,
  referencesOf,
  type AnySet,
  type Role,
  type SolvedLook,
} from "~/core/theme";

// Where a role is used is read off the very rules that the page is drawn with, so that it can't be wrong about them.

/** What can't be matched against an element that just stands there: states, and pseudo-elements. */
const STATES =
  /::?(?:hover|active|focus|focus-visible|focus-within|disabled|placeholder|before|after|selection|-webkit-[\w-]+)(?:\([^():]*\))?/g;

function addRules(rules: CSSRuleList, found: Map<string, Set<string>>): void {
  for (const rule of rules) {
    if (rule instanceof CSSStyleRule) {
      const selectors = rule.selectorText.replace(STATES, "").trim();
      if (!selectors || /(^|,)\s*(,|$)/.test(selectors)) continue;
      for (const name of referencesOf(rule.style.cssText)) {
        const known = found.get(name) ?? new Set();
        found.set(name, known.add(selectors));
      }
    } else if (rule instanceof CSSMediaRule) addRules(rule.cssRules, found);
  }
}

const read = new Map<string, ReadonlyMap<string, ReadonlySet<string>>>();

/** Selectors by the custom property that their rules ask for. */
function selectorsByProperty(css: string): ReadonlyMap<string, ReadonlySet<string>> {
  const known = read.get(css);
  if (known) return known;
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(css);
  const found = new Map<string, Set<string>>();
  addRules(sheet.cssRules, found);
  if (read.size > 12) read.clear();
  read.set(css, found);
  return found;
}

/** The custom properties through which a role reaches the page: its own, and those of parts that are made of it. */
function propertiesOf(role: Role, look: SolvedLook): readonly string[] {
  const declared = { ...measureDeclarations(look), ...partDeclarations(look) };
  const names = [`--${role}`];
  for (const name of names) {
    for (const [other, value] of Object.entries(declared)) {
      if (!names.includes(other) && referencesOf(value).includes(name)) names.push(other);
    }
  }
  return names;
}

const setOf = (element: Element): string => element.closest<HTMLElement>("[data-set]")?.dataset.set ?? "page";

const isVisible = (element: HTMLElement) => element.getClientRects().length > 0 && !element.closest("#zest-marks");

/** The elements of a page that are a part of the brand, in reading order; what is not visible does not count. */
export const elementsOfPart = (frame: Document, part: BrandPart): readonly HTMLElement[] =>
  [...frame.querySelectorAll<HTMLElement>(part.selector)].filter(
    (element) => isVisible(element) && (part.id !== "button.primary" || !element.matches(".button-2,.button-3")),
  );

/** What a role comes out as in a set, in a page as it is drawn just now. */
function drawn(frame: Document, role: Role, set: AnySet): string {
  const probe = frame.createElement("div");
  probe.dataset.set = set;
  frame.body.append(probe);
  const value = frame.defaultView!.getComputedStyle(probe).getPropertyValue(`--${role}`);
  probe.remove();
  return value;
}

/** The elements of a page that draw from a role within a set, in reading order; what is not visible does not count. */
export function elementsUsing(
  frame: Document,
  role: Role,
  set: AnySet,
  css: string,
  look: SolvedLook,
): readonly HTMLElement[] {
  const bySelector = selectorsByProperty(css);
  const selectors = propertiesOf(role, look).flatMap((name) => [...(bySelector.get(name) ?? [])]);
  if (selectors.length === 0) return [];
  const value = drawn(frame, role, set);
  return [...frame.querySelectorAll<HTMLElement>(selectors.join(","))].filter(
    (element) =>
      setOf(element) === set &&
      isVisible(element) &&
      // Words on a picture, say, have colours of their own in place of the role's.
      frame.defaultView!.getComputedStyle(element).getPropertyValue(`--${role}`) === value,
  );
}
