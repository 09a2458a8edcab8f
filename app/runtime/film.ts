import { one } from "./page";

/** A player of another address, as it is put onto the page once somebody has asked for it. */
function playerFrom(address: string, isFile: boolean, name: string): HTMLElement {
  if (isFile) {
    const video = document.createElement("video");
    video.controls = true;
    video.autoplay = true;
    video.playsInline = true;
    video.src = address;
    video.setAttribute("aria-label", name);
    return video;
  }
  const frame = document.createElement("iframe");
  frame.title = name;
  frame.allow = "autoplay; fullscreen; picture-in-picture; encrypted-media";
  // It may run what it needs to play in its own origin; it can't lead the page elsewhere.
  frame.setAttribute("sandbox", "allow-scripts allow-same-origin allow-presentation allow-popups");
  frame.referrerPolicy = "strict-origin";
  frame.src = address;
  return frame;
}

/** A film that is fetched when somebody wants it; one that moves by itself does so in sight alone, and can be stopped. */
export class Film extends HTMLElement {
  connectedCallback(): void {
    const name = this.dataset.name ?? "";
    const from = this.dataset.from;
    if (from !== undefined) {
      const link = one<HTMLAnchorElement>(".film-go", this);
      link?.addEventListener("click", (event) => {
        event.preventDefault();
        const player = playerFrom(link.href, from === "file", name);
        this.prepend(player);
        this.classList.add("is-begun");
        player.focus();
      });
      return;
    }
    const video = one<HTMLVideoElement>("video", this);
    if (!video) return;
    const stop = one<HTMLButtonElement>(".film-stop", this);
    const isGround = this.dataset.ground !== undefined;
    const begin = () => {
      if (!isGround) this.classList.add("is-begun");
      void video.play().catch(() => undefined);
    };
    one(".film-go", this)?.addEventListener("click", () => {
      begin();
      video.focus();
    });
    if (this.dataset.itself === undefined) return;
    // A film that can't be played never covers the picture that stands for it.
    if (isGround) video.addEventListener("playing", () => this.classList.add("is-begun"));
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
      { threshold: 0.25 },
      // A film behind a section takes no room by itself: its element has no box, its picture has.
    ).observe(video);
  }
}
