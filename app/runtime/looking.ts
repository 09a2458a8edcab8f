import { all, one } from "./page";
import { openLarge } from "./large-view";

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
      openLarge(this, opens, Math.max(0, shown));
    });
    opens.forEach((link, i) =>
      link.addEventListener("click", (event) => {
        event.preventDefault();
        openLarge(this, opens, i);
      }),
    );
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
