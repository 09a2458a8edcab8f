import { requireShop } from "~/server/http/guard.server";
import { sentFile } from "~/server/mail/index.server";
import type { Route } from "./+types/mail-sent";

/** A file that somebody sent with a form: always taken, never shown; a stranger's file is no page of the studio. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  const file = await sentFile(shop.id, params.file);
  if (!file) throw new Response("This file has been deleted.", { status: 404 });
  return new Response(new Uint8Array(file.bytes), {
    headers: {
      "Content-Type": "application/octet-stream",
      "X-Content-Type-Options": "nosniff",
      "Content-Security-Policy": "default-src 'none'; sandbox",
      "Cache-Control": "private, no-store",
      // RFC 6266 and RFC 8187: names of any letters.
      "Content-Disposition": `attachment; filename="file"; filename*=UTF-8''${encodeURIComponent(file.name).replace(/['()*]/g, (c) => `%${c.charCodeAt(0).toString(16)}`)}`,
    },
  });
}
