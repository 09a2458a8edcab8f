/** What somebody has closed, as the shop's script notes it. */
export const CLOSED_COOKIE = "closed";

/** How links say where they stand: `from`, or what programs that send letters and count visits put into them. */
const LINK_KEYS = ["from", "utm_source", "utm_campaign"] as const;
export const LONGEST_LINK = 60;

/** What an address says of the link by which somebody came; undefined where it says nothing. */
export function linkIn(url: string): string | undefined {
  const at = url.indexOf("?");
  if (at < 0) return undefined;
  const query = new URLSearchParams(url.slice(at + 1));
  const said = LINK_KEYS.map((key) => query.get(key)?.trim() ?? "").find(Boolean);
  return said?.slice(0, LONGEST_LINK);
}
