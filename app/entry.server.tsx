import { Writable } from "node:stream";
import createCacheModule from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import createEmotionServerModule from "@emotion/server/create-instance";
import { renderToPipeableStream } from "react-dom/server";
import { isRouteErrorResponse, ServerRouter, type AppLoadContext, type EntryContext } from "react-router";
import { NonceContext } from "~/studio/ui";

// Both packages may come as CommonJS, whose default export is inside the default.
const unwrap = <T,>(module: T): T => (module as { default?: T }).default ?? module;
const createCache = unwrap(createCacheModule);
const createEmotionServer = unwrap(createEmotionServerModule);

const RENDER_TIMEOUT = 10_000;

/** Draws the whole document, then puts the style that it uses into its head. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  context: EntryContext,
  load: AppLoadContext,
): Promise<Response> {
  const { nonce } = load;
  const cache = createCache({ key: "zw", nonce });
  const emotion = createEmotionServer(cache);
  return new Promise((done, fail) => {
    const { pipe, abort } = renderToPipeableStream(
      <CacheProvider value={cache}>
        <NonceContext value={nonce}>
          <ServerRouter context={context} url={request.url} nonce={nonce} />
        </NonceContext>
      </CacheProvider>,
      {
        nonce,
        onAllReady() {
          const chunks: Buffer[] = [];
          const sink = new Writable({
            write(chunk: Buffer, _encoding, next) {
              chunks.push(Buffer.from(chunk));
              next();
            },
            final(next) {
              const html = Buffer.concat(chunks).toString("utf8");
              const styles = emotion
                .constructStyleTagsFromChunks(emotion.extractCriticalToChunks(html))
                .replaceAll("<style ", `<style nonce="${nonce}" `);
              headers.set("Content-Type", "text/html; charset=utf-8");
              done(new Response(html.replace("</head>", `${styles}</head>`), { status, headers }));
              next();
            },
          });
          pipe(sink);
        },
        onShellError: fail,
        onError(error) {
          status = 500;
          console.error(error);
        },
      },
    );
    setTimeout(abort, RENDER_TIMEOUT).unref();
  });
}

/** Notes what went wrong here; what is wrong with a request, and who has hung up, is nothing to note. */
export function handleError(error: unknown, { request }: { request: Request }): void {
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status < 500)) return;
  console.error(error);
}
