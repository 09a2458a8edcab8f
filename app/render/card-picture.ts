import { CARD_DESIGNS, CARD_HEIGHT, CARD_WIDTH, shapesOf, type CardDesign } from "~/core/gift-cards";
import { solveLook } from "~/core/theme";
import type { Look } from "~/core/document";
import { themeById } from "~/themes";

/** Where the picture of a card is served, for letters: mail programs draw no SVG. */
export const cardPictureAddress = (design: CardDesign): string => `/gift-cards/${design}.png`;
export const isCardDesign = (name: string): name is CardDesign => CARD_DESIGNS.some((each) => each === name);

/** A card as an SVG of its own, in the colours of a look. */
export function cardSvg(design: CardDesign, look: Look): string {
  const { page } = solveLook(themeById(look.theme), look).roles.sets;
  const shapes = shapesOf(design).map(({ path, in: tone, stroke }) => {
    const [colour, opacity] = tone === "light" ? [page["on-brand"], 1] : [page.page, 0.7];
    return stroke
      ? `<path d="${path}" fill="none" stroke="${colour}" stroke-width="${stroke}" stroke-linecap="round" stroke-linejoin="round" opacity="${opacity}"/>`
      : `<path d="${path}" fill="${colour}" opacity="${opacity}"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${CARD_WIDTH} ${CARD_HEIGHT}" width="${CARD_WIDTH}" height="${CARD_HEIGHT}"><rect width="${CARD_WIDTH}" height="${CARD_HEIGHT}" fill="${page.brand}"/>${shapes.join("")}</svg>`;
}
