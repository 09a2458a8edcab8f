import { logoPicture } from "~/core/document";
import { priceSpan, productWith } from "~/core/goods";
import { productAddress } from "~/core/addresses";
import { formatMoney } from "~/core/money";
import { renditionAddress, type Picture } from "~/core/pictures";
import { familyById, solveLook } from "~/core/theme";
import type { LetterBlock } from "~/core/mail";
import { lettersOf } from "~/core/shop-letters";
import { themeById } from "~/themes";
import { wayOf, type ShopContent } from "./shop";

// Mail programs know little of what browsers do: a letter is one table 600 px wide, each thing says itself how it looks, and the
// fonts are those that every machine has (common practice, no source).

/** A letter as it goes out: in the shop's look, and as plain text for whoever reads that. */
export type WrittenLetter = { readonly html: string; readonly text: string };

/** What a letter is made of: what sellers put into one, and what it says of an order. */
export type LetterPart =
  | LetterBlock
  | {
      readonly sort: "rows";
      readonly rows: readonly { readonly left: string; readonly right: string; readonly isStrong?: boolean }[];
    }
  /** A picture that is none of the library. */
  | {
      readonly sort: "image";
      readonly address: string;
      readonly alt: string;
      readonly width: number;
      readonly height: number;
    };

export type LetterGiven = {
  readonly subject: string;
  readonly blocks: readonly LetterPart[];
  /** Where whoever gets it can leave the list; absent: it is to one person, or only looked at. */
  readonly leave?: string | undefined;
  /** Why they get it, in a sentence. */
  readonly because: string;
};

const escape = (text: string): string =>
  text.replace(/&/g, "&amp;").replace(/</g, "&lt;").replace(/>/g, "&gt;").replace(/"/g, "&quot;");

const WIDTH = 600;
const SERIF = "Georgia,'Times New Roman',serif";
const SANS = "-apple-system,'Segoe UI',Helvetica,Arial,sans-serif";

/** Words with their addresses as links; ends of lines stay. */
const linked = (text: string, link: string): string =>
  escape(text)
    .replace(
      /https?:\/\/[^\s<>&"]+[^\s<>&".,;:!?)]/g,
      (address) => `<a href="${address}" style="color:${link}">${address}</a>`,
    )
    .replaceAll("\n", "<br>");

const paragraphs = (text: string): readonly string[] =>
  text
    .split(/\n\s*\n/)
    .map((each) => each.trim())
    .filter(Boolean);

/** Writes a letter in the look of a shop. `origin`: the shop's own, without a slash at the end: a mail has no address to be relative to. */
export function renderLetter(
  { subject, blocks, leave, because }: LetterGiven,
  content: ShopContent,
  origin: string,
): WrittenLetter {
  const { look } = content.draft;
  const { identity } = look;
  const solved = solveLook(themeById(look.theme), look);
  const said = lettersOf(content.draft.documents).look ?? {};
  const colours = solved.roles.sets[said.ground ?? "page"];
  const { page, raised, ink, soft, line, link, accent } = colours;
  const onAccent = colours["on-accent"];
  const face = (id: string) => {
    const { name, fallback } = familyById(id);
    return `'${name}',${fallback === "serif" ? SERIF : SANS}`;
  };
  const heads = face(solved.typePair.heads.family);
  const words = face(solved.typePair.text.family);
  const find = (id: string | null | undefined): Picture | undefined =>
    content.pictures.find((p) => p.id === id && !p.vector);
  const at = (address: string) => (address.startsWith("/") ? origin + address : address);
  const img = (picture: Picture, width: number) =>
    `<img src="${at(renditionAddress(picture, width * 2 > 640 ? 1280 : 640))}" width="${width}" height="${Math.round((width / picture.width) * picture.height)}" alt="${escape(picture.alt)}" style="display:block;width:100%;max-width:${width}px;height:auto;border:0">`;
  const row = (inner: string, pad = "0 32px 20px") => `<tr><td style="padding:${pad}">${inner}</td></tr>`;
  const plain: string[] = [];
  const block = (each: LetterPart): string => {
    switch (each.sort) {
      case "heading":
        if (!each.text.trim()) return "";
        plain.push(each.text.trim().toUpperCase());
        return row(
          `<h2 style="margin:0;font:700 24px/1.25 ${heads};color:${ink}">${escape(each.text.trim())}</h2>`,
          "8px 32px 12px",
        );
      case "words":
        plain.push(...paragraphs(each.text));
        return paragraphs(each.text)
          .map((text) =>
            row(
              `<p style="margin:0;font:400 16px/1.55 ${words};color:${ink}">${linked(text, link)}</p>`,
              "0 32px 16px",
            ),
          )
          .join("");
      case "picture": {
        const picture = find(each.picture);
        return picture ? row(img(picture, WIDTH), "4px 0 24px") : "";
      }
      case "button": {
        const way = wayOf(each.link, content);
        if (!way || !each.label.trim()) return "";
        plain.push(`${each.label.trim()}: ${at(way.address)}`);
        return row(
          `<a href="${escape(at(way.address))}" style="display:inline-block;padding:14px 26px;background:${accent};color:${onAccent};border-radius:6px;font:700 16px/1.2 ${words};text-decoration:none">${escape(each.label.trim())}</a>`,
          "4px 32px 24px",
        );
      }
      case "goods": {
        const products = each.products.flatMap((id) => productWith(content.goods, id) ?? []);
        return products
          .map((product) => {
            const { least, most } = priceSpan(product);
            const price = `${most > least ? "from " : ""}${formatMoney(least, content.currency, content.moneyFormat)}`;
            const address = at(productAddress(product));
            plain.push(`${product.title}, ${price}: ${address}`);
            const picture = find(product.pictures[0]);
            return row(
              `<table role="presentation" width="100%" cellpadding="0" cellspacing="0"><tr>${picture ? `<td width="112" valign="top"><a href="${address}">${img(picture, 96)}</a></td>` : ""}<td valign="middle" style="font:400 16px/1.45 ${words};color:${ink}"><a href="${address}" style="color:${ink};font-weight:700;text-decoration:none">${escape(product.title)}</a><br><span style="color:${soft}">${escape(price)}</span></td></tr></table>`,
              "0 32px 18px",
            );
          })
          .join("");
      }
      case "code":
        if (!each.text.trim()) return "";
        plain.push(each.text.trim());
        return row(
          `<div style="display:inline-block;padding:12px 22px;border:2px dashed ${accent};font:700 20px/1.2 ${words};letter-spacing:1px;color:${ink}">${escape(each.text.trim())}</div>`,
          "4px 32px 24px",
        );
      case "rows":
        plain.push(each.rows.map(({ left, right }) => `${left}: ${right}`).join("\n"));
        return row(
          `<table role="presentation" width="100%" cellpadding="0" cellspacing="0">${each.rows
            .map(({ left, right, isStrong }) => {
              const style = `padding:8px 0;border-top:1px solid ${line};font:${isStrong ? 700 : 400} 16px/1.45 ${words};color:${ink}`;
              return `<tr><td style="${style}">${escape(left)}</td><td align="right" style="${style};white-space:nowrap;padding-left:16px">${escape(right)}</td></tr>`;
            })
            .join("")}</table>`,
          "0 32px 24px",
        );
      case "image":
        plain.push(each.alt);
        return row(
          `<img src="${escape(each.address)}" width="${each.width}" height="${each.height}" alt="${escape(each.alt)}" style="display:block;width:100%;max-width:${each.width}px;height:auto;border:0;border-radius:12px">`,
          "4px 32px 24px",
        );
      case "line":
        plain.push("–––");
        return row(`<div style="border-top:1px solid ${line};font-size:0;line-height:0">&nbsp;</div>`, "8px 32px 24px");
    }
  };
  const head = find(said.picture);
  const closing: readonly LetterPart[] = said.closing ? [{ sort: "words", text: said.closing }] : [];
  const body = (head ? row(img(head, WIDTH), "0 0 24px") : "") + [...blocks, ...closing].map(block).join("");
  const isMiddle = said.logo === "middle";
  const logo = find(logoPicture(identity));
  const name = logo
    ? `<img src="${at(renditionAddress(logo, 320))}" height="40" alt="${escape(identity.name)}" style="display:block;height:40px;width:auto;border:0${isMiddle ? ";margin:0 auto" : ""}">`
    : `<span style="font:700 22px/1.2 ${heads};color:${ink}">${escape(identity.name)}</span>`;
  const end = `${escape(because)}${leave ? ` <a href="${escape(leave)}" style="color:${soft}">Leave the list</a>` : ""}`;
  const html = `<!doctype html><html lang="${content.locale.split("-")[0] ?? "en"}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${escape(subject)}</title></head><body style="margin:0;padding:0;background:${raised}"><table role="presentation" width="100%" cellpadding="0" cellspacing="0" style="background:${raised}"><tr><td align="center" style="padding:24px 8px"><table role="presentation" width="100%" cellpadding="0" cellspacing="0" style="max-width:${WIDTH}px;background:${page};border:1px solid ${line}">${row(`<a href="${origin}/" style="display:block;text-decoration:none${isMiddle ? ";text-align:center" : ""}">${name}</a>`, "28px 32px 24px")}${body}${row(`<p style="margin:0;padding-top:16px;border-top:1px solid ${line};font:400 13px/1.5 ${words};color:${soft}">${end}</p>`, "16px 32px 28px")}</table></td></tr></table></body></html>`;
  const text = [
    identity.name,
    "",
    ...plain.flatMap((each) => [each, ""]),
    "--",
    because,
    ...(leave ? [`Leave the list: ${leave}`] : []),
  ].join("\n");
  return { html, text };
}
