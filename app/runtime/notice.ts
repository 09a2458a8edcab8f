import { all, one } from "./page";

/** What was closed is remembered for a season, and of much the latest. */
const CLOSED_SECONDS = 90 * 86_400;
const MOST_CLOSED = 12;

/** Messages that take turns in one place; each is as high as the highest of them, so that nothing moves below. */
export class Turns extends HTMLElement {
  private timer = 0;

  connectedCallback(): void {
    const box = one(".notice-all", this);
    const messages = all<HTMLElement>(".notice-message", this);
    const stop = one(".notice-stop", this);
    one(".notice-close", this)?.addEventListener("click", () => this.close());
    if (!box || messages.length < 2) return;
    let at = 0;
    const show = (index: number) => {
      at = (index + messages.length) % messages.length;
      // What is over has gone meanwhile.
      messages.forEach((message, i) => message.classList.toggle("is-now", i === at));
    };
    const seconds = Number(this.dataset.seconds ?? 0);
    const play = (isPlaying: boolean) => {
      clearInterval(this.timer);
      this.classList.toggle("is-playing", isPlaying);
      stop?.setAttribute("aria-label", isPlaying ? "Stop the notices" : "Let the notices take turns");
      // While they change by themselves, each change would be read out.
      box.setAttribute("aria-live", isPlaying ? "off" : "polite");
      if (isPlaying)
        this.timer = window.setInterval(() => {
          // Whoever is at it is left with what is there; whoever has just pressed the button to let them go on is not.
          const isAtIt = this.matches(":hover, :focus-within") && stop?.matches(":hover, :focus") !== true;
          if (!isAtIt && !document.hidden) show(at + 1);
        }, seconds * 1000);
    };
    for (const [way, by] of [
      ["back", -1],
      ["on", 1],
    ] as const)
      one(`.notice-${way}`, this)?.addEventListener("click", () => {
        play(false);
        show(at + by);
      });
    stop?.addEventListener("click", () => play(!this.classList.contains("is-playing")));
    show(0);
    this.classList.add("is-turning");
    play(seconds > 0 && !matchMedia("(prefers-reduced-motion: reduce)").matches);
  }

  /** It is gone from this page, and from all that follow: the shop reads what was closed before it draws them. */
  private close(): void {
    const name = this.dataset.closes ?? "";
    const had = /(?:^|; )closed=([\w.]*)/.exec(document.cookie)?.[1]?.split(".") ?? [];
    const names = [...had.filter((each) => each && each !== name), name].slice(-MOST_CLOSED);
    const secure = location.protocol === "https:" ? "; Secure" : "";
    document.cookie = `closed=${names.join(".")}; Path=/; SameSite=Lax; Max-Age=${CLOSED_SECONDS}${secure}`;
    const section = this.closest<HTMLElement>(".s");
    if (section) section.hidden = true;
    // Whoever goes by the keyboard goes on from the page.
    const main = one("#main");
    if (!main) return;
    main.tabIndex = -1;
    main.focus({ preventScroll: true });
  }

  disconnectedCallback(): void {
    clearInterval(this.timer);
  }
}

const pad = (n: number) => String(n).padStart(2, "0");

/** Says what is left until the next of its moments (`data-moments`, in ms since 1970); after the last it is gone, or says that it is over. */
export class Countdown extends HTMLElement {
  private timer = 0;

  connectedCallback(): void {
    const moments = (this.dataset.moments ?? "").split(" ").map(Number);
    const numbers = all(".count-unit b", this);
    const hasSeconds = this.dataset.seconds !== undefined;
    const say = () => {
      const now = Date.now();
      const next = moments.find((moment) => moment > now);
      if (next === undefined) return this.end();
      // Without seconds, the last minute is one minute and not none.
      const left = Math.floor((next - now) / 1000) + (hasSeconds ? 0 : 59);
      const parts = [Math.floor(left / 86_400), Math.floor(left / 3_600) % 24, Math.floor(left / 60) % 60, left % 60];
      numbers.forEach((number, i) => {
        const text = pad(parts[i] ?? 0);
        if (number.textContent !== text) number.textContent = text;
      });
      // On from the beginning of a second, or of a minute that is left.
      const step = hasSeconds ? 1_000 : 60_000;
      this.timer = window.setTimeout(say, ((next - now) % step) + 1);
    };
    say();
    this.classList.add("is-on");
  }

  private end(): void {
    const { over } = this.dataset;
    if (over) this.textContent = over;
    else this.hidden = true;
  }

  disconnectedCallback(): void {
    clearTimeout(this.timer);
  }
}
