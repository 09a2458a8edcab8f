/** What the parts of the goods script share: finding things on the page, sending forms, saying how it went. */

/** `page`: where what was done is seen. */
export type FormAnswer = {
  readonly ok: boolean;
  readonly text: string;
  readonly count?: number;
  readonly page?: string;
};

export const one = <T extends Element = HTMLElement>(selector: string, within: ParentNode = document): T | null =>
  within.querySelector<T>(selector);
export const all = <T extends Element = HTMLElement>(selector: string, within: ParentNode = document): T[] => [
  ...within.querySelectorAll<T>(selector),
];
const TROUBLE = "That did not go through. Please try again in a moment.";

export async function post(form: HTMLFormElement, more: Record<string, string> = {}): Promise<FormAnswer> {
  const body = new URLSearchParams([...new FormData(form)].map(([name, value]) => [name, String(value)]));
  for (const [name, value] of Object.entries(more)) body.set(name, value);
  try {
    const answer = await fetch(form.action, {
      method: "POST",
      headers: { Accept: "application/json", "Content-Type": "application/x-www-form-urlencoded" },
      body,
    });
    return (await answer.json()) as FormAnswer;
  } catch {
    return { ok: false, text: TROUBLE };
  }
}

/** Sends a form where it stands and puts the answer below it. */
export function sendsInPlace(form: HTMLFormElement | null): void {
  const message = form && one(".message", form);
  if (!form || !message) return;
  form.addEventListener("submit", async (event) => {
    event.preventDefault();
    const button = one<HTMLButtonElement>("button[type=submit]", form);
    if (button) button.disabled = true;
    const said = await post(form);
    message.dataset.state = said.ok ? "done" : "failed";
    message.textContent = said.text;
    if (said.ok) form.reset();
    if (button) button.disabled = false;
  });
}

/** What on the page depends on the cart, as a meter of what is still to go, is drawn anew by the server and moved to where it is now. */
async function drawByCart(): Promise<void> {
  const parts = all<HTMLElement>("[data-by-cart]");
  if (parts.length === 0) return;
  const answer = await fetch(location.href).catch(() => undefined);
  if (!answer?.ok) return;
  const page = new DOMParser().parseFromString(await answer.text(), "text/html");
  for (const part of parts) {
    const now = page.getElementById(part.id);
    const was = one<HTMLProgressElement>("progress", part)?.value;
    part.replaceChildren(...(now?.childNodes ?? []));
    const bar = one<HTMLProgressElement>("progress", part);
    if (!bar || was === undefined) continue;
    const { value } = bar;
    // From where it was, or there would be nothing that moves.
    bar.value = was;
    bar.getBoundingClientRect();
    bar.value = value;
  }
}

/** How much is in the cart, as the server said it last. */
export const inCart = (): number => Number(/(?:^|; )items=(\d+)/.exec(document.cookie)?.[1] ?? 0);

/** How much is in the cart, beside the header's sign, and whatever else says so. */
export function showCount(count: number): void {
  void drawByCart();
  for (const badge of all(".cart-n")) {
    badge.textContent = count ? String(count) : "";
    badge.hidden = count === 0;
  }
}

/**
 * Lays something over all of the page, whatever it stands in: the parts of a page that stay in view or move when they arrive are
 * layers of their own, and what stands further down lies over all of them. A browser without such a layer goes by `z-index`.
 */
export function liftOver(box: HTMLElement): void {
  box.popover = "manual";
  box.showPopover?.();
}

let toastTimer = 0;
/** It stays long enough to be read and reached, and for as long as somebody is at it. */
function goesSoon(box: HTMLElement): void {
  clearTimeout(toastTimer);
  toastTimer = window.setTimeout(() => (box.hidden = true), 12_000);
}

export function toast(text: string, isGood: boolean): void {
  let box = one(".cart-toast");
  if (!box) {
    box = document.createElement("div");
    box.className = "toast cart-toast";
    box.setAttribute("role", "status");
    box.dataset.set = one("zest-buy")?.dataset.toast ?? "dark";
    // After the form that was sent, so that the next press of Tab is in it.
    (one("zest-buy") ?? document.body).append(box);
    liftOver(box);
    for (const [name, stays] of [
      ["pointerenter", true],
      ["pointerleave", false],
      ["focusin", true],
      ["focusout", false],
    ] as const)
      box.addEventListener(name, () => (stays ? clearTimeout(toastTimer) : goesSoon(box!)));
  }
  const words = document.createElement("span");
  words.textContent = text;
  box.replaceChildren(words);
  if (isGood) {
    const link = document.createElement("a");
    link.href = "/cart";
    link.textContent = "See the cart";
    box.append(link);
  }
  box.hidden = false;
  goesSoon(box);
}
