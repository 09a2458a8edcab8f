import { describe, expect, it } from "vitest";
import { addNode, addOffer, removeNodes, setProp, setShown } from "~/core/commands";
import { OVER, type Draft, type Part } from "~/core/document";
import { after } from "~/core/fixtures/outcomes";
import { makeNode } from "~/kinds";
import { fillStart, sectionAround } from "~/kinds/fill";
import { lostLinksIn } from "~/kinds/lost-links";
import { withOffers } from "~/kinds/live";
import { offersOf, type OfferRoot } from "~/core/offers";
import { publishingProblem } from "~/kinds/together";
import { contentWith, goods, pictures } from "./fixtures/content";
import { frameOf, renderPage, type Target } from ".";

const popUp = (start: string): Part => fillStart("pop-up", start, goods, pictures);
const content = contentWith([]);
const withOver = (...parts: readonly Part[]): Draft =>
  parts.reduce((draft, part, index) => {
    const { root } = draft.documents.frame!;
    return after(draft, addNode(draft, "frame", { parent: root.id, slot: OVER, index }, part, "Pop-up"));
  }, content.draft);
const html = (draft: Draft, target: Target = { page: "home" }): string =>
  renderPage(target, { ...content, draft }, "https://shop.example", { every: "/a.js", goods: "/b.js" }).html;

describe("what lies over a page", () => {
  const part = popUp("word-middle");
  const draft = withOver(part, popUp("mail-corner"));

  it("is on every page and closed, with the script that opens it; not in the cart, not in a shop that is closed", () => {
    const home = html(draft);
    expect(home.match(/<dialog /g)).toHaveLength(2);
    expect(home).not.toMatch(/<dialog [^>]*open/);
    expect(home).toContain('aria-label="Good to have you here"');
    expect(home).toContain("/b.js");
    expect(html(draft, { page: "not-found" })).toContain("<dialog");
    expect(html(draft, { page: "cart", lines: [] } as unknown as Target)).not.toContain("<dialog");
    expect(frameOf(draft.documents, draft.documents.closed).root.slots[OVER]).toBeUndefined();
  });

  it("comes when a link to it is pressed, on pages on which it can come", () => {
    const button = makeNode("button", { label: "Letters", link: { to: "over", id: part.id } });
    const { root } = draft.documents.home!;
    const to = { parent: root.id, slot: "main", index: 0 };
    const linked = after(draft, addNode(draft, "home", to, sectionAround(button), "Section"));
    const place = `over-${part.id}`;
    expect(html(linked)).toContain(`href="#${place}"`);
    expect(html(linked)).toMatch(new RegExp(`<dialog [^>]*id="${place}"`));
    // One that is not shown has no button that would do nothing.
    const hidden = after(linked, setShown(linked, [part.id], false, "Pop-up"));
    expect(html(hidden)).not.toContain("Letters");
    // And one that is gone is known to lead nowhere.
    const gone = after(linked, removeNodes(linked, [part.id], "Pop-up"));
    expect(lostLinksIn(gone, content).map(({ why }) => why)).toEqual(["a pop-up that is no longer there"]);
    expect(lostLinksIn(linked, content)).toEqual([]);
  });

  it("is known by what it says, and not by how often it comes", () => {
    const name = (of: Draft) => /data-name="(\w+)"/.exec(html(of))![1];
    const often = after(draft, setProp(draft, part.id, ["often"], "day", "How often"));
    expect(name(often)).toBe(name(draft));
    const [words] = part.slots.columns![0]!.slots.widgets!;
    const said = after(draft, setProp(draft, words!.id, ["text"], "Something else", "Words"));
    expect(name(said)).not.toBe(name(draft));
  });

  it("leaves nothing of itself when the last one is taken away", () => {
    const one = withOver(part);
    const none = after(one, removeNodes(one, [part.id], "Pop-up"));
    expect(none.documents.frame!.root.slots).toEqual(content.draft.documents.frame!.root.slots);
    expect(publishingProblem(none)).toBeUndefined();
  });

  it("comes whole or not at all: without an offer that says what it says, it is not there", () => {
    const coded = withOver(popUp("code-middle"));
    expect(html(coded)).not.toContain("<dialog");
    const said: OfferRoot = { gives: { sort: "percent", off: 1500, on: "all" }, code: "GALES" };
    const made = after(content.draft, addOffer(content.draft, "Gales", said, [], "gales"));
    const bound = withOffers(popUp("code-middle"), offersOf(made.documents));
    const { root } = made.documents.frame!;
    const shop = after(made, addNode(made, "frame", { parent: root.id, slot: OVER, index: 0 }, bound, "Pop-up"));
    expect(html(shop)).toContain("15% off with GALES");
  });
});
