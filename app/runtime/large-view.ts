import { one } from "./page";

/** All pictures as large as the screen; pressed once more, larger than it. */
export function openLarge(host: HTMLElement, links: readonly HTMLAnchorElement[], at: number): void {
  const focused = document.activeElement;
  const before = focused instanceof HTMLElement && host.contains(focused) ? focused : undefined;
  const dialog = document.createElement("dialog");
  dialog.className = "zoom";
  dialog.setAttribute("aria-label", "Pictures, large");
  const stage = document.createElement("div");
  stage.className = "zoom-stage";
  for (const link of links) {
    const frame = document.createElement("div");
    const picture = document.createElement("img");
    picture.src = link.href;
    picture.alt = one<HTMLImageElement>("img", link)?.alt ?? "";
    picture.loading = "lazy";
    picture.addEventListener("click", () => picture.classList.toggle("is-large"));
    frame.append(picture);
    stage.append(frame);
  }
  const close = document.createElement("button");
  close.className = "button button-2 zoom-close";
  close.textContent = "Close";
  close.addEventListener("click", () => dialog.close());
  const step = (by: 1 | -1) => stage.scrollBy({ left: by * stage.clientWidth, behavior: "smooth" });
  dialog.append(stage, close);
  if (links.length > 1) {
    const steps = document.createElement("div");
    steps.className = "zoom-step";
    for (const [words, by] of [
      ["Back", -1],
      ["Next", 1],
    ] as const) {
      const button = document.createElement("button");
      button.className = "button button-2";
      button.textContent = words;
      button.addEventListener("click", () => step(by));
      steps.append(button);
    }
    dialog.append(steps);
  }
  dialog.addEventListener("close", () => {
    dialog.remove();
    (before ?? links[at])?.focus();
  });
  stage.addEventListener("keydown", (event) => {
    if (event.key === "ArrowRight") step(1);
    else if (event.key === "ArrowLeft") step(-1);
  });
  stage.tabIndex = 0;
  document.body.append(dialog);
  dialog.showModal();
  stage.scrollTo({ left: at * stage.clientWidth });
}
