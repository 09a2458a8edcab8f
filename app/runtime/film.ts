import { one } from "./page";

/** A film that is fetched when somebody wants it; one that moves by itself does so in sight alone, and can be stopped. */
export class Film extends HTMLElement {
  connectedCallback(): void {
    const video = one<HTMLVideoElement>("video", this);
    if (!video) return;
    const stop = one<HTMLButtonElement>(".film-stop", this);
    const name = video.getAttribute("aria-label") ?? "";
    const begin = () => {
      this.classList.add("is-begun");
      void video.play().catch(() => undefined);
    };
    one(".film-go", this)?.addEventListener("click", () => {
      begin();
      video.focus();
    });
    if (this.dataset.itself === undefined) return;
    video.controls = false;
    video.muted = true;
    const say = () => {
      this.classList.toggle("is-playing", !video.paused);
      stop?.setAttribute("aria-label", `${video.paused ? "Play" : "Stop"}: ${name}`);
    };
    video.addEventListener("play", say);
    video.addEventListener("pause", say);
    // Somebody's own choice holds from then on.
    let isChosen = false;
    stop?.addEventListener("click", () => {
      isChosen = true;
      if (video.paused) begin();
      else video.pause();
    });
    const { connection } = navigator as { connection?: { saveData?: boolean } };
    if (connection?.saveData || matchMedia("(prefers-reduced-motion: reduce)").matches) return;
    new IntersectionObserver(
      ([entry]) => {
        if (isChosen) return;
        if (entry?.isIntersecting) begin();
        else video.pause();
      },
      { threshold: 0.4 },
    ).observe(this);
  }
}
