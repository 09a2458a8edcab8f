// @vitest-environment jsdom
import { afterEach, beforeAll, beforeEach, describe, expect, it, vi } from "vitest";
import { leftOf } from "~/core/countdown";
import { Countdown, Turns } from "./notice";

beforeAll(() => {
  customElements.define("zest-countdown", Countdown);
  customElements.define("zest-turns", Turns);
});
const NOW = Date.parse("2026-12-01T12:00:00Z");
let reduced = false;
beforeEach(() => {
  reduced = false;
  vi.useFakeTimers({ now: NOW });
  vi.stubGlobal("matchMedia", () => ({ matches: reduced }));
});
afterEach(() => {
  document.body.innerHTML = "";
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const said = () => [...document.querySelectorAll("b")].map((b) => b.textContent).join(" ");
/** Counts down to moments that are so many seconds ahead. */
function countTo(seconds: readonly number[], more = "data-seconds"): HTMLElement {
  const units = more.includes("data-seconds") ? 4 : 3;
  document.body.innerHTML = `<zest-countdown data-moments="${seconds.map((s) => NOW + s * 1000).join(" ")}" ${more}>${'<span class="count-unit"><b>––</b></span>'.repeat(units)}</zest-countdown>`;
  return document.querySelector("zest-countdown")!;
}

describe("what counts down", () => {
  it("says what is left as it goes by, as panes say it", () => {
    const first = 3 * 86_400 + 4 * 3_600 + 5 * 60 + 6;
    countTo([first]);
    for (const passed of [0, 1, 5, 60, 3_600, 86_400]) {
      vi.setSystemTime(NOW + passed * 1000);
      vi.advanceTimersByTime(1_000);
      const left = leftOf(NOW + first * 1000 - Date.now());
      expect(said()).toBe(left.map((n) => String(n).padStart(2, "0")).join(" "));
    }
  });

  it("without seconds, counts the minute that has begun", () => {
    countTo([90], "");
    expect(said()).toBe("00 00 02");
    vi.advanceTimersByTime(30_001);
    expect(said()).toBe("00 00 01");
  });

  it("goes on to the next moment, and after the last one is gone or says that it is over", () => {
    const two = countTo([2, 62]);
    vi.advanceTimersByTime(2_500);
    expect(said()).toBe("00 00 00 59");
    vi.advanceTimersByTime(60_000);
    expect([two.hidden, vi.getTimerCount()]).toEqual([true, 0]);
    const one = countTo([1], 'data-seconds data-over="It &lt;is&gt; over"');
    vi.advanceTimersByTime(1_500);
    expect([one.innerHTML, one.hidden]).toEqual(["It &lt;is&gt; over", false]);
  });
});

/** Three messages in a section. */
function notice(attributes: string): HTMLElement {
  document.body.innerHTML = `<aside class="s"><zest-turns ${attributes}><div class="notice-all">${[1, 2, 3].map((n) => `<div class="notice-message">${n}</div>`).join("")}</div><button class="notice-back"></button><button class="notice-stop"></button><button class="notice-on"></button><button class="notice-close"></button></zest-turns></aside><main id="main"></main>`;
  return document.querySelector("zest-turns")!;
}
const now = () => [...document.querySelectorAll(".is-now")].map((each) => each.textContent).join();
const press = (what: string) => document.querySelector<HTMLElement>(`.notice-${what}`)!.click();

describe("notices that take turns", () => {
  it("change by themselves until somebody stops them, or goes on by hand", () => {
    const turns = notice('data-seconds="5"');
    const box = document.querySelector(".notice-all")!;
    expect([now(), box.getAttribute("aria-live")]).toEqual(["1", "off"]);
    vi.advanceTimersByTime(10_000);
    expect(now()).toBe("3");
    press("stop");
    vi.advanceTimersByTime(60_000);
    expect([now(), box.getAttribute("aria-live")]).toEqual(["3", "polite"]);
    press("stop");
    vi.advanceTimersByTime(5_000);
    expect(now()).toBe("1");
    press("back");
    vi.advanceTimersByTime(60_000);
    expect([now(), turns.classList.contains("is-playing")]).toEqual(["3", false]);
    turns.remove();
    expect(vi.getTimerCount()).toBe(0);
  });

  it("stand still for whoever wants less motion", () => {
    reduced = true;
    notice('data-seconds="5"');
    vi.advanceTimersByTime(60_000);
    expect(now()).toBe("1");
    press("on");
    expect(now()).toBe("2");
  });

  it("are closed for good: the section goes, and the shop is told by name", () => {
    document.cookie = "closed=old; path=/";
    notice('data-closes="k3y"');
    press("close");
    expect(document.querySelector<HTMLElement>(".s")!.hidden).toBe(true);
    expect(document.cookie).toContain("closed=old.k3y");
    expect(document.activeElement?.id).toBe("main");
  });
});
