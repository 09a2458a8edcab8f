import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import type { Page } from "@playwright/test";
import type Axe from "axe-core";

const SOURCE = readFileSync(createRequire(import.meta.url).resolve("axe-core/axe.min.js"), "utf8");

/**
 * What axe-core objects to on a page and in its frames, as lines of text. Only objections are carried over from the browser: to
 * carry over all that is well takes five times as long as to find out.
 */
export async function violationsOf(page: Page, options: Axe.RunOptions): Promise<string[]> {
  const frames = options.iframes === false ? [page.mainFrame()] : page.frames();
  for (const frame of frames) {
    // A frame can go while the others are being made ready.
    await frame.evaluate(SOURCE).catch((error: unknown) => {
      if (!frame.isDetached()) throw error;
    });
  }
  return page.evaluate(async (given) => {
    const { axe } = window as unknown as { axe: typeof Axe };
    const results: Promise<Axe.AxeResults> = axe.run(document, { ...given, resultTypes: ["violations"] });
    const { violations } = await results;
    return violations.flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 160)} ${n.failureSummary ?? ""}`.replace(/\s+/g, " ")),
    );
  }, options);
}
