/** As much of a title and a description as search engines show, in px. Common practice, no published source. */
export const RESULT_WIDTH = { title: 600, description: 960 } as const;

const FONTS = { title: "20px Arial, sans-serif", description: "14px Arial, sans-serif" } as const;

let context: CanvasRenderingContext2D | null | undefined;

/** How wide a text is where a search engine shows it, in px; where nothing can be measured, by the mean width of a letter. */
export function widthInResult(text: string, part: keyof typeof FONTS): number {
  context ??= typeof document === "undefined" ? null : document.createElement("canvas").getContext("2d");
  if (!context) return Math.round(text.length * (part === "title" ? 9.6 : 6.6));
  context.font = FONTS[part];
  return Math.round(context.measureText(text).width);
}
