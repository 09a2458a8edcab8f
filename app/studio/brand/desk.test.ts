import { describe, expect, it } from "vitest";
import { SETTINGS, solveBrand } from "~/core/theme";
import { PARTS, partById } from "~/render";
import { themeById, THEMES } from "~/themes";
import { sheetMeasures } from "./contact-sheet";
import { createDesk } from "./desk";
import { leastOf } from "./role-strip";
import { settingsOfPart } from "./sheet/picked-card";
import { brandRows } from "./sheet/versions-group";

describe("the desk", () => {
  it("walks from page to page and back along the way it came", () => {
    const desk = createDesk();
    desk.getState().walkTo("/collections/all");
    desk.getState().walkTo("/products/a");
    desk.getState().walkTo("/products/a");
    expect([desk.getState().address, desk.getState().trail]).toEqual(["/products/a", ["/", "/collections/all"]]);
    desk.getState().back();
    desk.getState().back();
    desk.getState().back();
    expect([desk.getState().address, desk.getState().trail]).toEqual(["/", []]);
  });

  it("remembers a way of any length no longer than it is of use", () => {
    const desk = createDesk();
    for (let i = 0; i < 100; i++) desk.getState().walkTo(`/products/${i}`);
    expect(desk.getState().trail).toHaveLength(30);
    expect(desk.getState().trail.at(-1)).toBe("/products/98");
  });

  it("opens the group of what was picked and shows the colours it stands on; another page lets go of it", () => {
    const desk = createDesk();
    desk.getState().pick({ part: "badge", set: "tint" }, "badge");
    expect(desk.getState()).toMatchObject({ picked: { part: "badge" }, set: "tint" });
    expect(desk.getState().open.has("badge")).toBe(true);
    desk.getState().walkTo("/search");
    expect(desk.getState().picked).toBeNull();
    expect(desk.getState().open.has("badge")).toBe(true);
  });

  it("shows all pages while something is sought, but for the sheet of parts, and counts anew each time", () => {
    const desk = createDesk();
    desk.getState().seek({ set: "page", role: "sale" });
    expect(desk.getState().view).toBe("all");
    desk.getState().count("Home phone", 3);
    desk.getState().count("Home phone", 3);
    expect(desk.getState().counts).toEqual({ "Home phone": 3 });
    desk.getState().seek({ part: "badge" });
    expect(desk.getState().counts).toEqual({});
    desk.getState().show("parts");
    desk.getState().seek({ part: "tabs" });
    expect(desk.getState().view).toBe("parts");
    desk.getState().seek(null);
    expect(desk.getState().sought).toBeNull();
  });

  it("opens and closes groups", () => {
    const desk = createDesk();
    desk.getState().toggle("files");
    expect(desk.getState().open.has("files")).toBe(true);
    desk.getState().toggle("files");
    expect(desk.getState().open.has("files")).toBe(false);
  });
});

describe("the contact sheet", () => {
  it.each([
    [6, 964, 610],
    [6, 708, 560],
    [6, 1600, 900],
    [3, 964, 610],
    [1, 320, 500],
    [12, 964, 610],
  ])("of %d pages in %d × %d px keeps every card within its width", (count, width, height) => {
    const { columns, phone, wide, pane } = sheetMeasures(count, width, height);
    expect(columns * (phone + wide + 20) + 12 * (columns + 1)).toBeLessThanOrEqual(width + 1);
    expect(columns).toBeGreaterThanOrEqual(1);
    expect(phone).toBeGreaterThan(50);
    expect(wide).toBeGreaterThan(phone);
    expect(pane).toBeGreaterThanOrEqual(170);
  });

  it("shows all six kinds of pages at 1280 × 800 without scrolling", () => {
    const { columns, pane } = sheetMeasures(6, 964, 609);
    const rows = Math.ceil(6 / columns);
    expect(rows * (pane + 24 + 20 + 4) + 12 * (rows + 1)).toBeLessThanOrEqual(609);
  });
});

describe("a part that is picked", () => {
  it.each(PARTS.map((p) => [p.id] as const))(
    "%s has something that styles it, and only settings that there are",
    (id) => {
      const part = partById(id)!;
      const names = settingsOfPart(part.keys, () => true);
      expect(names.length).toBeGreaterThan(0);
      for (const name of names) expect(SETTINGS.has(name), name).toBe(true);
    },
  );

  it("of three buttons shows its own settings and those of all, a gradient only where there is one", () => {
    const keys = partById("button.secondary")!.keys;
    const names = settingsOfPart(keys, () => false);
    expect(names).toContain("button.secondary.style");
    expect(names).toContain("button.height");
    expect(names.filter((n) => /primary|quiet|gradient/.test(n))).toEqual([]);
    expect(settingsOfPart(keys, () => true)).toContain("button.secondary.gradient");
  });
});

describe("two brands side by side", () => {
  it("are told apart setting by setting, in words, with the theme where they leave it to it", () => {
    const rows = brandRows(
      { colour: "#112233", corners: "square" },
      "pomelo",
      { corners: "square", "badge.shape": "square" },
      "quince",
    );
    expect(rows).toEqual([
      { key: "theme", name: "Theme", a: "Pomelo", b: "Quince" },
      { key: "badge.shape", name: "Shape", a: "Pill (theme Pomelo)", b: "Square" },
      { key: "colour", name: "Brand colour", a: "#112233", b: "as theme Quince has it" },
    ]);
    expect(brandRows({ corners: "soft" }, "pomelo", { corners: "soft" }, "pomelo")).toEqual([]);
    expect(brandRows({ "pin.light.page.link": "#112233" }, "pomelo", {}, "pomelo")[0]).toMatchObject({
      a: "#112233",
      b: "not fixed",
    });
  });
});

it("the strip shows the least contrast of whatever must be legible, and nothing for what need not", () => {
  for (const theme of THEMES) {
    const roles = solveBrand(themeById(theme.id), {}).roles.sets.page;
    expect(leastOf("ink", roles)).toBeGreaterThanOrEqual(4.5);
    expect(leastOf("field-line", roles)).toBeGreaterThanOrEqual(3);
    expect(leastOf("line", roles)).toBeUndefined();
    expect(leastOf("disabled", roles)).toBeUndefined();
  }
});
