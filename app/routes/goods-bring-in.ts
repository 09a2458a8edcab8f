import { z } from "zod";
import { COLUMN_MEANINGS, MOST_COLUMNS, putRight, type ColumnChoice } from "~/core/goods";
import {
  addArchive,
  importGoods,
  importReviews,
  planImport,
  readReviews,
  readTableFile,
  rememberColumns,
  settingsOf,
} from "~/server/goods/index.server";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble, troubleOf } from "~/server/http/trouble.server";
import { freshShop } from "~/server/shops/index.server";
import { formOf } from "~/server/http/form.server";
import type { Route } from "./+types/goods-bring-in";

/** What a field of a form says as JSON; `usual` where it says nothing. */
const jsonText = (most: number, usual: string) =>
  z
    .string()
    .max(most)
    .default(usual)
    .transform((text, context) => {
      try {
        return JSON.parse(text) as unknown;
      } catch {
        context.addIssue({ code: "custom", message: "That is not JSON." });
        return z.NEVER;
      }
    });

const schema = z.object({
  intent: z.enum(["plan", "import", "plan-reviews", "import-reviews"]),
  file: z.file("Choose a file."),
  archive: z.file().optional(),
  columns: jsonText(100_000, "{}").pipe(z.record(z.string().max(160), z.enum(COLUMN_MEANINGS))),
  /** Cells that were written anew. */
  fixes: jsonText(400_000, "[]").pipe(
    z
      .array(
        z.strictObject({
          line: z.number().int().min(1).max(1_000_000),
          at: z.number().int().min(0).max(MOST_COLUMNS),
          value: z.string().max(4_000),
        }),
      )
      .max(1_000),
  ),
});

/** As many lines of a plan as are shown, and as many problems as anybody reads. */
const SHOWN = 200;

/**
 * Brings goods or reviews in from a file. What is long (pictures, lines) is answered line by line as JSON, so that progress can be
 * shown; whoever hangs up stops it, and then nothing of the goods was stored.
 */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const refuse = (why: string) => Response.json({ step: "refused", why }, { status: 422 });
  let given: unknown;
  try {
    given = Object.fromEntries(await formOf(request));
  } catch (error) {
    if (error instanceof Response) throw error;
    return refuse("The file did not arrive whole. Check the connection and try again.");
  }
  const input = schema.safeParse(given);
  if (!input.success) return refuse("This file can’t be taken. Choose a CSV file or an XLSX workbook.");
  const { intent, file, archive } = input.data;
  const read = await readTableFile(Buffer.from(await file.arrayBuffer()));
  if (!read.ok) return refuse(read.why);

  if (intent === "plan-reviews" || intent === "import-reviews") {
    const reviews = await readReviews(shop, read.table);
    if (intent === "import-reviews") return Response.json({ step: "done", ...(await importReviews(shop, reviews)) });
    return Response.json({
      step: "planned",
      count: reviews.reviews.length,
      problems: reviews.problems.slice(0, SHOWN),
    });
  }
  // What was said of columns of these names before still holds, unless it is said otherwise now.
  const columns = { ...(await settingsOf(shop.id)).columns, ...input.data.columns } as ColumnChoice;
  const table = putRight(read.table, input.data.fixes);
  if (intent === "plan") {
    const plan = await planImport(shop, table, columns);
    return Response.json({
      step: "planned",
      plan: { ...plan, lines: plan.lines.slice(0, SHOWN), problems: plan.problems.slice(0, SHOWN) },
      problems: plan.problems.length,
    });
  }

  const encoder = new TextEncoder();
  const stop = new AbortController();
  request.signal.addEventListener("abort", () => stop.abort());
  const body = new ReadableStream<Uint8Array>({
    async start(controller) {
      const tell = (line: object) => {
        try {
          controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
        } catch {
          // Nobody listens any more.
          stop.abort();
        }
      };
      try {
        let pictures: object | undefined;
        if (archive && archive.size > 0) {
          const done = await addArchive(
            shop.id,
            Buffer.from(await archive.arrayBuffer()),
            (at, of) => tell({ step: "pictures", at, of }),
            stop.signal,
          );
          if ("why" in done) {
            tell({ step: "refused", why: done.why });
            controller.close();
            return;
          }
          pictures = done;
        }
        tell({ step: "lines", at: 0, of: table.rows.length });
        const now = await freshShop(shop);
        const done = await importGoods(now, table, columns, {
          step: (at, of) => {
            // Node lets go of a request that nobody holds, and then its signal says nothing any more; to ask here holds it.
            if (request.signal.aborted) stop.abort();
            tell({ step: "lines", at, of });
          },
          signal: stop.signal,
        });
        await rememberColumns(shop.id, input.data.columns);
        tell({ step: "done", ...done, ...(pictures ? { pictures } : {}) });
      } catch (error) {
        if (stop.signal.aborted) tell({ step: "stopped" });
        else {
          console.error(error);
          const said = (await troubleOf(error)?.json()) as { why: string } | undefined;
          const why = said?.why ?? "Something went wrong here, and nothing was stored. Please try again.";
          tell({ step: "refused", why });
        }
      }
      try {
        controller.close();
      } catch {
        // It is closed already: whoever asked has hung up.
      }
    },
    cancel: () => stop.abort(),
  });
  return new Response(body, { headers: { "Content-Type": "application/x-ndjson", "X-Accel-Buffering": "no" } });
});
