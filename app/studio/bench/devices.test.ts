import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { DEVICE_WIDTH } from "../panes";
import { fitNarrow, fitPanes, PAD } from "./devices";

const settings = fc.record({
  phone: fc.record({ device: fc.constantFrom("phone" as const, "tablet" as const), isFull: fc.boolean() }),
  wide: fc.record({ device: fc.constantFrom("wide" as const, "tablet" as const), isFull: fc.boolean() }),
});

describe("panes", () => {
  it("never need more room than there is, and show at full size what is asked for", () => {
    fc.assert(
      fc.property(
        fc.constantFrom("phone" as const, "both" as const, "wide" as const),
        fc.integer({ min: 700, max: 2600 }),
        fc.integer({ min: 300, max: 1400 }),
        settings,
        (view, width, height, panes) => {
          const fits = fitPanes(view, width, height, panes);
          const shown = [fits.phone, fits.wide].filter((f) => f !== null);
          expect(shown).toHaveLength(view === "both" ? 2 : 1);
          const taken = shown.reduce((sum, f) => sum + f.room, 0) + PAD * (shown.length + 1);
          expect(taken).toBeLessThanOrEqual(width + 0.5);
          for (const pane of ["phone", "wide"] as const) {
            const fit = fits[pane];
            if (!fit) continue;
            expect(fit.scale).toBeLessThanOrEqual(1);
            expect(fit.room).toBeLessThanOrEqual(DEVICE_WIDTH[panes[pane].device] * fit.scale + 0.5);
            if (panes[pane].isFull) expect(fit.scale).toBe(1);
            // What is shrunk to fit is seen whole.
            else expect(fit.room).toBeCloseTo(DEVICE_WIDTH[panes[pane].device] * fit.scale, 3);
          }
        },
      ),
      { seed: 13 },
    );
  });

  it("are the phone alone on a narrow screen", () => {
    expect(fitNarrow(320)).toEqual({ phone: { scale: (320 - 2 * PAD) / 390, room: 320 - 2 * PAD }, wide: null });
    expect(fitNarrow(800).phone?.scale).toBe(1);
  });
});
