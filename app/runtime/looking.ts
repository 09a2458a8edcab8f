import { all, one } from "./page";

// --- pictures ---

export class Gallery extends HTMLElement {
  connectedCallback(): void {
    const stage = one(".stage", this);
    if (!stage) return;
    const shots = all(".shot", stage);
    const links = all<HTMLAnchorElement>(".thumbs a", this);
    const mark = (at: number) =>
      links.forEach((link, i) =>
        i === at ? link.setAttribute("aria-current", "true") : link.removeAttribute("aria-current"),
      );
    const show = (at: number) => {
      const shot = shots[at];
      // Scrolls the stage alone: the page stays where the shopper is.
      if (shot) stage.scrollTo({ left: shot.offsetLeft - (shots[0]?.offsetLeft ?? 0), behavior: "smooth" });
    };
    links.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        show(i);
      }),
    );
    this.addEventListener("zest-show", (event) => show(shots.indexOf(event.target as HTMLElement)));
    const seen = new IntersectionObserver(
      (entries) => {
        const entry = entries.find((e) => e.isIntersecting);
        if (entry) mark(shots.indexOf(entry.target as HTMLElement));
      },
      { root: stage, threshold: 0.6 },
    );
    shots.forEach((shot) => seen.observe(shot));
    stage.addEventListener("keydown", (event) => {
      const at = Math.round(stage.scrollLeft / Math.max(1, stage.clientWidth));
      if (event.key === "ArrowRight") show(at + 1);
      else if (event.key === "ArrowLeft") show(at - 1);
      else return;
      event.preventDefault();
    });
    // One stop for the keyboard: arrows go from picture to picture, Enter looks closely at the one that is shown.
    const opens = all<HTMLAnchorElement>(".shot-open", stage);
    for (const link of [...links, ...opens]) link.tabIndex = -1;
    if (this.dataset.zoom === undefined) return;
    stage.addEventListener("keydown", (event) => {
      if (event.key !== "Enter" || event.target !== stage) return;
      event.preventDefault();
      const at = Math.round(stage.scrollLeft / Math.max(1, stage.clientWidth));
      const shown = opens.findIndex((link) => shots[at]?.contains(link));
      this.open(opens, Math.max(0, shown));
    });
    opens.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        this.open(opens, i);
      }),
    );
  }

  /** All pictures as large as the screen; pressed once more, larger than it. */
  private open(links: readonly HTMLAnchorElement[], at: number): void {
    const focused = document.activeElement;
    const before = focused instanceof HTMLElement && this.contains(focused) ? focused : undefined;
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
}

// --- tabs (WAI-ARIA Authoring Practices, tabs with automatic activation) ---

let groups = 0;

export class Tabs extends HTMLElement {
  connectedCallback(): void {
    const panels = all<HTMLElement>(".part-tab", this);
    if (panels.length < 2) return;
    const group = ++groups;
    const list = document.createElement("div");
    list.className = "tabs";
    list.setAttribute("role", "tablist");
    const tabs = panels.map((panel, i) => {
      const tab = document.createElement("button");
      tab.type = "button";
      tab.className = "tab";
      tab.id = `tab-${group}-${i}`;
      tab.setAttribute("role", "tab");
      tab.setAttribute("aria-controls", (panel.id = `panel-${group}-${i}`));
      tab.textContent = one(".head", panel)?.textContent ?? "";
      panel.setAttribute("role", "tabpanel");
      panel.setAttribute("aria-labelledby", tab.id);
      panel.tabIndex = 0;
      list.append(tab);
      return tab;
    });
    const show = (at: number, focus = false) => {
      tabs.forEach((tab, i) => {
        tab.setAttribute("aria-selected", String(i === at));
        tab.tabIndex = i === at ? 0 : -1;
        panels[i]!.hidden = i !== at;
      });
      if (focus) tabs[at]!.focus();
    };
    tabs.forEach((tab, i) => tab.addEventListener("click", () => show(i)));
    list.addEventListener("keydown", (event) => {
      const at = tabs.indexOf(document.activeElement as HTMLButtonElement);
      const to = {
        ArrowRight: (at + 1) % tabs.length,
        ArrowLeft: (at + tabs.length - 1) % tabs.length,
        Home: 0,
        End: tabs.length - 1,
      }[event.key];
      if (to === undefined) return;
      event.preventDefault();
      show(to, true);
    });
    this.prepend(list);
    this.classList.add("is-tabs");
    show(0);
  }
}
