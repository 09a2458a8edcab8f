import { all, one } from "./page";
import { openLarge } from "./large-view";

// --- slides (ARIA Authoring Practices, "Carousel") ---

/**
 * Slides to go through by arrows, links, keys and swiping. Where they change by themselves, there is a button to stop that; they
 * wait while somebody points at them or is in them, and for good once somebody has chosen one.
 */
export class Slides extends HTMLElement {
  private timer = 0;

  connectedCallback(): void {
    const track = one(".slides-track", this);
    if (!track) return;
    const slides = all(".slide", track).filter((slide) => slide.childElementCount > 0);
    const links = all<HTMLAnchorElement>(".slides-marks a", this);
    const back = one<HTMLButtonElement>(".slides-back", this);
    const on = one<HTMLButtonElement>(".slides-on", this);
    const stop = one<HTMLButtonElement>(".slides-stop", this);
    let at = 0;
    const say = (index: number) => {
      at = index;
      links.forEach((link, i) =>
        i === at ? link.setAttribute("aria-current", "true") : link.removeAttribute("aria-current"),
      );
      if (back) back.disabled = at === 0;
      if (on) on.disabled = at === slides.length - 1;
      // What is out of sight is not reached by the keyboard.
      slides.forEach((slide, i) => (slide.inert = i !== at));
    };
    const show = (index: number) => {
      const slide = slides[Math.max(0, Math.min(slides.length - 1, index))];
      // Scrolls the slides alone: the page stays where the shopper is.
      if (slide) track.scrollTo({ left: slide.offsetLeft - (slides[0]?.offsetLeft ?? 0), behavior: "smooth" });
    };
    say(0);
    const seen = new IntersectionObserver(
      (entries) => {
        const entry = entries.find((e) => e.isIntersecting);
        if (entry) say(slides.indexOf(entry.target as HTMLElement));
      },
      { root: track, threshold: 0.6 },
    );
    slides.forEach((slide) => seen.observe(slide));

    const seconds = Number(this.dataset.seconds ?? 0);
    const play = (isPlaying: boolean) => {
      clearInterval(this.timer);
      this.classList.toggle("is-playing", isPlaying);
      stop?.setAttribute("aria-label", isPlaying ? "Stop the slides" : "Let the slides change");
      // While they change by themselves, each change would be read out.
      track.setAttribute("aria-live", isPlaying ? "off" : "polite");
      if (isPlaying)
        this.timer = window.setInterval(() => {
          // Whoever is at it is left with what is there; whoever has just pressed the button to let them go on is not.
          const isAtIt = this.matches(":hover, :focus-within") && stop?.matches(":hover, :focus") !== true;
          if (!isAtIt && !document.hidden) show((at + 1) % slides.length);
        }, seconds * 1000);
    };
    const chosen = (index: number) => {
      play(false);
      show(index);
    };
    back?.addEventListener("click", () => chosen(at - 1));
    on?.addEventListener("click", () => chosen(at + 1));
    stop?.addEventListener("click", () => play(!this.classList.contains("is-playing")));
    links.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        chosen(i);
      }),
    );
    track.addEventListener("pointerdown", () => play(false));
    track.addEventListener("keydown", (event) => {
      if (event.target !== track) return;
      if (event.key === "ArrowRight") chosen(at + 1);
      else if (event.key === "ArrowLeft") chosen(at - 1);
      else return;
      event.preventDefault();
    });
    play(seconds > 0 && !matchMedia("(prefers-reduced-motion: reduce)").matches);
  }

  disconnectedCallback(): void {
    clearInterval(this.timer);
  }
}

/** One picture over another, of which the slider shows more or less. */
export class Compare extends HTMLElement {
  connectedCallback(): void {
    const range = one<HTMLInputElement>(".compare-at", this);
    const move = () => this.style.setProperty("--at", `${range?.value ?? 50}%`);
    range?.addEventListener("input", move);
    move();
  }
}

/** Pictures that open as large as the screen. */
export class Pictures extends HTMLElement {
  connectedCallback(): void {
    const links = all<HTMLAnchorElement>(".shot-open", this);
    links.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        openLarge(this, links, i);
      }),
    );
  }
}
