/** Reads a weight in kilograms as grams; words of what is wrong with it otherwise. */
export const readKilos = (text: string): number | string =>
  /^\d{1,5}(?:[.,]\d{1,3})?$/.test(text.trim())
    ? Math.round(Number(text.trim().replace(",", ".")) * 1000)
    : "Write kilograms, like 2.5.";

/** Grams as kilograms, to be written. */
export const kilos = (grams: number): string => String(grams / 1000);
