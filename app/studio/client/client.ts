import { z } from "zod";
import { refusalSchema, type Endpoint, type Problem } from "~/core/protocol";
import { plainWords } from "~/core/schema";

/** What came of asking the server. Every no has words for the seller. */
export type Reply<Answer> =
  | { readonly ok: true; readonly value: Answer }
  | {
      readonly ok: false;
      /**
       * `signed-out`: nobody is signed in any more. `unreached`: the server did not answer, or can't just now; the same can
       * be asked again later. `gone`: what it is about is no longer there. `behind`: others were faster, nothing was stored.
       * `refused`: it can't be done like that. `stopped`: whoever asked has stopped it.
       */
      readonly code: "signed-out" | "unreached" | "gone" | "behind" | "refused" | "stopped";
      readonly why: string;
      readonly problems: readonly Problem[];
      /** What the server sent with `behind` and `refused`. */
      readonly body?: unknown;
    };
export type No = Extract<Reply<never>, { ok: false }>;

export type Options = {
  readonly signal?: AbortSignal | undefined;
  /** How long to wait for an answer, in ms. */
  readonly patience?: number;
  /** Lets the request outlive the page. */
  readonly keepalive?: boolean;
  /** Hears how much of an upload has been sent, from 0 to 1. */
  readonly progress?: (share: number) => void;
};

export type Client = {
  /** Asks the server one thing. */
  readonly ask: <Input, Answer>(it: Endpoint<Input, Answer>, input: Input, options?: Options) => Promise<Reply<Answer>>;
  /** Sends a form with files; the answer is the response's JSON, as the server wrote it. */
  readonly upload: (path: string, form: FormData, options?: Options) => Promise<Reply<unknown>>;
  /** The same, where the answer comes line by line while the work goes on: `line` gets each of them. */
  readonly follow: (
    path: string,
    form: FormData,
    line: (value: unknown) => void,
    options?: Options,
  ) => Promise<Reply<undefined>>;
};

const PATIENCE_MS = 30_000;

const WORDS = {
  "signed-out": "You are signed out. Sign in again; what you have done here is saved in this browser.",
  unreached: "That did not reach the server. What you have done is still here; try again in a moment.",
  gone: "This is no longer there.",
  behind: "Somebody else was faster. Look at what has changed, and try again.",
  refused: "That can’t be done like this.",
  stopped: "Stopped.",
} as const;

const no = (code: No["code"], more: Partial<No> = {}): No => ({
  ok: false,
  code,
  why: WORDS[code],
  problems: [],
  ...more,
});

/** What a status says about asking again: nothing is wrong with the request, the server or what stands before it can't just now. */
const isForLater = (status: number) => status >= 500 || [403, 405, 408, 425, 429].includes(status);

async function refusalOf(response: Response): Promise<No> {
  const { status } = response;
  if (status === 401) return no("signed-out");
  // A disk that is full, a database that is away: the server says which.
  const said =
    status === 503 || status === 507 ? refusalSchema.safeParse(await response.json().catch(() => null)) : undefined;
  if (isForLater(status)) return no("unreached", said?.data?.why ? { why: said.data.why } : {});
  const isJson = response.headers.get("Content-Type")?.includes("json");
  const body: unknown = await (isJson ? response.json() : response.text()).catch(() => undefined);
  const read = refusalSchema.safeParse(typeof body === "string" ? { why: body } : body);
  const { why, problems = [] } = read.success ? read.data : {};
  const words = why || problems[0]?.why;
  const code = status === 404 || status === 410 ? "gone" : status === 409 ? "behind" : "refused";
  return no(code, { problems, body, ...(words ? { why: words } : {}) });
}

/** Sends a form as `fetch` does; browsers tell how much has been sent only in this older way. */
function sendForm(address: string, form: FormData, progress: (share: number) => void, signal?: AbortSignal) {
  return new Promise<Response>((done, fail) => {
    const request = new XMLHttpRequest();
    request.upload.onprogress = ({ lengthComputable, loaded, total }) => lengthComputable && progress(loaded / total);
    request.onerror = request.onabort = () => fail(new TypeError("the request did not get through"));
    request.onload = () => {
      const type = request.getResponseHeader("Content-Type") ?? "text/plain";
      done(new Response(request.responseText, { status: request.status, headers: { "Content-Type": type } }));
    };
    signal?.addEventListener("abort", () => request.abort());
    request.open("POST", address);
    request.send(form);
  });
}

/** The studio's way to the server, for one shop. `onSignedOut` hears of every answer that says so. */
export function createClient(shop: string, onSignedOut: () => void): Client {
  // What is checked here before it is sent is refused in the same words as there.
  z.config({ customError: plainWords });
  const go = async <T>(
    path: string,
    init: RequestInit,
    { signal, patience = PATIENCE_MS, keepalive = false, progress }: Options,
    read: (response: Response) => Promise<Reply<T>>,
  ): Promise<Reply<T>> => {
    const limit = Number.isFinite(patience) ? [AbortSignal.timeout(patience)] : [];
    const signals = [...(signal ? [signal] : []), ...limit];
    try {
      const address = `/s/${shop}/${path}`;
      const either = signals.length ? AbortSignal.any(signals) : undefined;
      const response =
        progress && init.body instanceof FormData
          ? await sendForm(address, init.body, progress, either)
          : await fetch(address, { ...init, keepalive, ...(either ? { signal: either } : {}) });
      if (response.ok) return await read(response);
      const refusal = await refusalOf(response);
      if (refusal.code === "signed-out") onSignedOut();
      return refusal;
    } catch {
      return no(signal?.aborted ? "stopped" : "unreached");
    }
  };
  const json = async (response: Response): Promise<Reply<unknown>> => ({ ok: true, value: await response.json() });
  return {
    ask: (it, input, options = {}) => {
      const query = it.method === "GET" ? new URLSearchParams(input as Record<string, string>).toString() : "";
      const accept = { Accept: "application/json" };
      const init: RequestInit =
        it.method === "GET"
          ? { headers: accept }
          : {
              method: "POST",
              headers: { ...accept, "Content-Type": "application/json" },
              body: JSON.stringify(input),
            };
      return go(query ? `${it.path}?${query}` : it.path, init, options, async (response) => {
        const parsed = it.answer.safeParse(await response.json());
        // An answer that can't be read is one of another version of the server.
        return parsed.success ? { ok: true, value: parsed.data } : no("unreached");
      });
    },
    upload: (path, body, options = {}) => go(path, { method: "POST", body }, { patience: Infinity, ...options }, json),
    follow: (path, body, line, options = {}) =>
      go(path, { method: "POST", body }, { patience: Infinity, ...options }, async (response) => {
        const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
        let rest = "";
        for (let { done, value } = await reader.read(); !done; { done, value } = await reader.read()) {
          const lines = (rest + value).split("\n");
          rest = lines.pop() ?? "";
          for (const text of lines) if (text) line(JSON.parse(text));
        }
        if (rest) line(JSON.parse(rest));
        return { ok: true, value: undefined };
      }),
  };
}
