import { describe, expect, it } from "vitest";
import { makeColumn } from "~/core/commands";
import type { Part } from "~/core/document";
import { mapSchema } from "~/core/map";
import { makeNode } from "~/kinds";
import { SAMPLE_MAP as MAP } from "~/kinds/map/sample";
import { contentWith } from "./fixtures/content";
import { invalidIn } from "./fixtures/validator";
import { renderPage } from ".";

const SCRIPTS = { every: "/assets/shop.js", goods: "/assets/goods.js" };
const FILE = `${"a".repeat(64)}.mp4`;
const PLAYER = "https://films.example/embed/17";

const page = (main: readonly Part[]) =>
  renderPage({ page: "home" }, contentWith(main), "http://shop.localhost", SCRIPTS);
const withWidget = (kind: string, props: object) =>
  page([makeNode("freehand", {}, { slots: { columns: [makeColumn([makeNode(kind, { ...props })])] } })]);

describe("a film behind a section", () => {
  const hero = (props: object) => page([makeNode("hero", { arrangement: "on-picture", picture: "wide", ...props })]);

  it("lies over the picture, without sound, and asks for what it needs", async () => {
    const { html, css, permissions } = hero({ groundFilm: FILE });
    expect(html).toMatch(/<zest-film class="ground-film"[^>]*><video [^>]*preload="none"/);
    expect(html).toContain("muted");
    expect(html).toContain("/assets/goods.js");
    expect([...permissions]).toEqual(["media"]);
    // What the script says of it later is sent although nothing in the markup says it yet.
    expect(css).toContain(".ground-film.is-begun video");
    expect(await invalidIn(html)).toEqual([]);
  });

  it("lies over a picture that any section has behind it", () => {
    const { html } = page([makeNode("split-tiles", { backdrop: "wide", groundFilm: FILE })]);
    expect(html).toContain("ground-film");
  });

  it("is not there without a picture, and no file of another name is", () => {
    expect(hero({ groundFilm: FILE, picture: null }).html).not.toContain("ground-film");
    expect(hero({ groundFilm: "../../secret.mp4" }).html).not.toContain("<video");
    expect(hero({}).permissions.size).toBe(0);
    expect(hero({}).css).not.toContain("ground-film");
  });
});

describe("a film at another address", () => {
  it("loads nothing: it is a link, says whose it is, and allows that one origin", async () => {
    const { html, permissions } = withWidget("film", { address: PLAYER, about: "It flies" });
    expect(html).not.toMatch(/<iframe|<video/);
    expect(html).toContain(`href="${PLAYER}"`);
    expect(html).toContain("It plays from films.example");
    expect([...permissions].toSorted()).toEqual(["frame https://films.example", "media"]);
    expect(await invalidIn(html)).toEqual([]);
  });

  it("may be a file; a film of the shop comes before it", () => {
    const file = withWidget("film", { address: "https://films.example/kite.webm" });
    expect([...file.permissions]).toContain("media https://films.example");
    const own = withWidget("film", { address: PLAYER, film: FILE });
    expect([...own.permissions]).toEqual(["media"]);
    expect(own.html).toContain(`/media/${FILE}`);
  });

  it("is not there where it can’t be shown safely", () => {
    const { html, permissions } = withWidget("film", { address: "https://films.example;script-src *;/x" });
    expect(html).not.toContain("films.example");
    expect([...permissions]).toEqual(["media"]);
  });
});

it("a picture that is out of focus is so in four strengths, over whatever its tone is", () => {
  const tone = (blur?: number) => ({
    light: 0,
    contrast: 0,
    warmth: 0,
    colour: 0,
    grain: 0,
    ...(blur ? { blur } : {}),
  });
  const drawn = (blur?: number) =>
    page([makeNode("hero", { arrangement: "on-picture", picture: "wide", pictureView: { tone: tone(blur) } })]);
  expect(drawn(40).html).toMatch(/class="pic [^"]*blurs blur-2"/);
  expect(drawn(100).css).toContain(".blur-4{--blur:28px}");
  expect(drawn().html).not.toContain("blurs");
});

describe("a map", () => {
  it("is drawn from the document alone", async () => {
    const { html } = withWidget("map", { map: MAP, label: "The loft" });
    expect(html).toContain(`d="${MAP.land}"`);
    expect(html).toContain('aria-label="Map: The loft, Your place"');
    expect(html).toContain('href="geo:54.5,-0.6?q=54.5,-0.6"');
    expect(await invalidIn(html)).toEqual([]);
  });

  it("is not there before a place is chosen", () => {
    expect(withWidget("map", {}).html).not.toMatch(/<svg[^>]*aria-label="Map|class="map"/);
  });

  it("takes paths that draw, and nothing else", () => {
    expect(mapSchema.safeParse(MAP).success).toBe(true);
    for (const land of ['M0,0"/><script>', "M0 0 url(x)", "M0,0L1,1 e9"])
      expect(mapSchema.safeParse({ ...MAP, land }).success).toBe(false);
    expect(mapSchema.safeParse({ ...MAP, lat: 89 }).success).toBe(false);
  });
});
