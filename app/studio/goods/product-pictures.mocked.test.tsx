// @vitest-environment jsdom
import { useState } from "react";
import { afterEach, expect, it, vi } from "vitest";
import { makeProduct, type Product } from "~/core/goods";
import { contentWith } from "~/render/fixtures/content";
import { mount } from "../fixtures/mount";
import { ProductPictures } from "./product-pictures";

// What is dragged watches its size as soon as it is loaded; jsdom has nothing that does.
vi.hoisted(() => {
  globalThis.ResizeObserver ??= class {
    observe() {}
    unobserve() {}
    disconnect() {}
  };
});
vi.mock("react-router", async (original) => ({
  ...(await original<object>()),
  // What an area has loaded besides is loaded again after a change; here is nothing to load.
  useRevalidator: () => ({ revalidate: () => Promise.resolve() }),
}));

let end: (() => Promise<void>) | undefined;
afterEach(async () => {
  await end?.();
  end = undefined;
  vi.unstubAllGlobals();
});

const ids = contentWith([])
  .pictures.slice(0, 2)
  .map((p) => p.id);
const FILE = `${"b".repeat(64)}.mp4`;

async function pictures(start: Partial<Product>) {
  let now = makeProduct({ id: "p", title: "Kite", pictures: ids, ...start });
  function Held() {
    const [product, setProduct] = useState(now);
    now = product;
    return (
      <ProductPictures product={product} set={(c) => setProduct({ ...product, ...c })} problem={() => undefined} />
    );
  }
  const mounted = await mount(<Held />);
  end = mounted.end;
  const tiles = () => [...document.querySelectorAll('[role="listitem"]')].map((t) => t.textContent ?? "");
  return { ...mounted, tiles, product: () => now };
}
const choose = async (file: File) => {
  const input = document.querySelector<HTMLInputElement>('input[aria-label="Upload a film"]')!;
  Object.defineProperty(input, "files", { value: [file], configurable: true });
  input.dispatchEvent(new Event("change", { bubbles: true }));
};

it("a film stands where it was put, is described in words, and goes alone", async () => {
  const { tiles, press, write, product, text } = await pictures({ video: { file: FILE, after: 1 } });
  expect(tiles()).toHaveLength(3);
  const film = document.querySelectorAll<HTMLElement>('[role="listitem"] button')[2]!;
  expect(film.getAttribute("aria-label")).toContain("Film");
  await press(film.getAttribute("aria-label")!);
  expect(text()).toContain("Describe it in a few words.");
  await write("What the film shows, for those who don’t see it", "It climbs off the pier");
  expect(product().video).toEqual({ file: FILE, after: 1, alt: "It climbs off the pier" });
  await press("Remove It climbs off the pier");
  expect([product().video, product().pictures]).toEqual([null, ids]);
  expect(tiles()).toHaveLength(2);
});

it("a film that can't be taken is refused with a reason, and nothing else is lost", async () => {
  const { product, text, press } = await pictures({});
  vi.stubGlobal("fetch", async () => Response.json({ films: [], documents: [] }));
  /** What is sent with a look at how far it is goes by the older way; null: it does not get through. */
  const answering = (answer: { status: number; body: object } | null) =>
    vi.stubGlobal(
      "XMLHttpRequest",
      class {
        readonly upload = {};
        onload?: () => void;
        onerror?: () => void;
        readonly status = answer?.status;
        readonly responseText = JSON.stringify(answer?.body);
        getResponseHeader = () => "application/json";
        open() {}
        send = () => queueMicrotask(() => (answer ? this.onload : this.onerror)?.());
      },
    );
  answering({ status: 422, body: { ok: false, why: "This is no film that browsers play." } });
  await press("Film");
  await choose(new File(["x"], "x.mp4"));
  await vi.waitFor(() => expect(text()).toContain("This is no film that browsers play."));
  answering(null);
  await choose(new File(["x"], "x.mp4"));
  await vi.waitFor(() => expect(text()).toContain("did not arrive. Check the connection"));
  expect(product().pictures).toEqual(ids);
  answering({ status: 200, body: { ok: true, file: FILE } });
  await choose(new File(["x"], "x.mp4"));
  await vi.waitFor(() => expect(product().video).toEqual({ file: FILE, after: 1 }));
});
