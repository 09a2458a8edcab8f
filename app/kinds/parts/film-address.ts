/** The name under which a film of the library is served. */
const FILE = /^[0-9a-f]{64}\.(?:mp4|webm)$/;
export const isFilm = (file: string | null | undefined): file is string => typeof file === "string" && FILE.test(file);

/** What plays at another address: a film file, or a page that has a player in it. */
export type OutsideFilm = {
  readonly address: string;
  /** Scheme and host, for the security policy. */
  readonly origin: `https://${string}`;
  readonly host: string;
  readonly isFile: boolean;
};

/** The address in what somebody gave: the address itself, or what is to be copied into a page, which holds it. */
const addressIn = (given: string): string =>
  /\bsrc\s*=\s*["']([^"'\s]+)["']/i.exec(given)?.[1]?.replaceAll("&amp;", "&") ?? given.trim();

/** A film at another address; undefined where it is not one that can be shown safely (https, without a name and password). */
export function outsideFilm(given: string): OutsideFilm | undefined {
  const text = addressIn(given);
  if (!URL.canParse(text)) return undefined;
  const url = new URL(text);
  if (url.protocol !== "https:" || url.username || url.password) return undefined;
  // A host may hold signs that end an entry of the security policy; such a host is nobody's.
  if (!/^[a-z0-9-]+(?:\.[a-z0-9-]+)+$/.test(url.hostname)) return undefined;
  return {
    address: url.href,
    origin: `https://${url.host}`,
    host: url.hostname.replace(/^www\./, ""),
    isFile: /\.(?:mp4|webm)$/i.test(url.pathname),
  };
}
