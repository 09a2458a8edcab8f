import { ABOUT } from "~/core/commands";
import { freeze, MAIN_MENU, newId, type PageDocument, type Draft, type Json, type Part } from "~/core/document";
import { DOCUMENT_VERSION } from "~/core/schema";
import { makeNode } from "~/kinds";
import { firstHome, firstStory } from "~/kinds/designs";
import { THEMES } from "~/themes";

const root = (slots: Record<string, readonly Part[]>): Part => ({
  id: newId(),
  kind: "root",
  props: {},
  style: {},
  conditions: [],
  shown: true,
  slots,
});

export const pageDocument = (id: string, title: string, main: readonly Part[]): PageDocument => ({
  schemaVersion: DOCUMENT_VERSION,
  id,
  kind: "page",
  title,
  root: root({ main }),
});

export const frameDocument = (top: readonly Part[], bottom: readonly Part[]): PageDocument => ({
  schemaVersion: DOCUMENT_VERSION,
  id: "frame",
  kind: "frame",
  title: "Every page",
  root: root({ top, bottom }),
});

/** An item of a menu to begin with. */
export const menuItem = (link: Json, label = ""): Part => makeNode("menu-item", { label, link });

/** A menu to begin with. */
export const menuDocument = (id: string, title: string, items: readonly Part[]): PageDocument => ({
  schemaVersion: DOCUMENT_VERSION,
  id,
  kind: "menu",
  title,
  root: root({ items }),
});

/**
 * What a new shop starts with: a whole home page in good order, in words that are true of any small shop. It promises nothing:
 * what a seller promises, they write.
 */
export function starterDraft(name: string): Draft {
  const section = (kind: string, props: Record<string, Json> = {}) => makeNode(kind, props);
  return freeze({
    look: { theme: THEMES[0]!.id, identity: { name, tagline: "", logo: { form: "words" } }, brand: {}, versions: {} },
    documents: {
      frame: frameDocument(
        [section("header")],
        [
          section("footer", {
            about: `${name} is a small shop. Thank you for looking in.`,
            small: `© ${name}`,
          }),
        ],
      ),
      [MAIN_MENU]: menuDocument(MAIN_MENU, "Main menu", [
        menuItem({ to: "home" }),
        menuItem({ to: "page", id: ABOUT }),
      ]),
      home: pageDocument("home", "Home", firstHome(name)),
      [ABOUT]: pageDocument(ABOUT, "About us", firstStory(name)),
    },
  });
}
