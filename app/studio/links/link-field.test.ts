import { expect, it } from "vitest";
import { readLink } from "./link-field";

it.each([
  ["", { to: "nowhere" }],
  ["example.com", { to: "web", address: "https://example.com" }],
  ["http://example.com/a b", "Choose a product"],
  ["https://example.com/a?b=c", { to: "web", address: "https://example.com/a?b=c" }],
  ["me@shop.example", { to: "mail", address: "me@shop.example" }],
  ["+44 20 7946 0000", { to: "phone", number: "+44 20 7946 0000" }],
  ["kites", "Choose a product"],
  ["javascript:alert(1)", "Choose a product"],
])("“%s” typed as a link", (text, meaning) => {
  const read = readLink(text);
  if (typeof meaning === "string") expect(read).toContain(meaning);
  else expect(read).toEqual(meaning);
});
