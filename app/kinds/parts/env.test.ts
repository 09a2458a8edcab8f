import { expect, it } from "vitest";
import type { Link } from "~/core/schema";
import { envOf } from "~/render";
import { contentWith, pictures } from "~/render/fixtures/content";

const content = contentWith([]);
const { href } = envOf(content, content.draft);

it.each<readonly [Link, string | undefined]>([
  [{ to: "nowhere" }, undefined],
  [{ to: "home" }, "/"],
  [{ to: "place", page: "home", name: "loft" }, "/#loft"],
  [{ to: "place", page: "gone", name: "loft" }, undefined],
  [{ to: "product", id: "plain" }, "/products/plain"],
  [{ to: "product", id: "gone for good" }, undefined],
  [{ to: "collection", id: "two" }, "/collections/two"],
  [{ to: "page", id: "nowhere" }, undefined],
  [{ to: "file", id: "wide" }, `/media/${pictures[0]!.hash}-1280.webp`],
  [{ to: "file", id: "drawn" }, `/media/${pictures[3]!.hash}.svg`],
  [{ to: "file", id: "gone" }, undefined],
  [{ to: "mail", address: "us@shop.example" }, "mailto:us@shop.example"],
  [{ to: "phone", number: "+44 20 7946-0000" }, "tel:+442079460000"],
])("%j leads to %s", (link, address) => expect(href(link)).toBe(address));
