import { walkAsked, type WalkNews } from "~/core/walk";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import { isWalked, walkThrough } from "~/server/walk/index.server";
import type { Route } from "./+types/walk-through";

/** Sends the automatic shopper through a shop, and tells line by line (JSON) how it gets on. Whoever stops listening stops it. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop } = await requireShop(request, params.shop);
  const asked = walkAsked.safeParse(await request.json().catch(() => undefined));
  if (!asked.success) return Response.json({ problems: [] }, { status: 422 });
  if (isWalked(shop.id))
    return Response.json({ why: "The automatic shopper is in your shop already." }, { status: 409 });
  const stopping = new AbortController();
  request.signal.addEventListener("abort", () => stopping.abort());
  const lines = new TextEncoder();
  const body = new ReadableStream<Uint8Array>({
    start: (told) => {
      const tell = (news: WalkNews) => {
        if (!stopping.signal.aborted) told.enqueue(lines.encode(`${JSON.stringify(news)}\n`));
      };
      walkThrough(shop, asked.data, tell, stopping.signal)
        .then(() => stopping.signal.aborted || told.close())
        .catch((error: unknown) => {
          console.error("a walk-through could not go on:", error);
          if (!stopping.signal.aborted) told.error(error);
        });
    },
    cancel: () => stopping.abort(),
  });
  return new Response(body, {
    headers: {
      "Content-Type": "application/x-ndjson",
      "Cache-Control": "no-store, no-transform",
      "X-Accel-Buffering": "no",
    },
  });
});
