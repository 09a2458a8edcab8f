import { linkSchema, NO_LINK, type Link } from "./links";

/** Before where one of the seller's own fields leads to, as JSON. */
const OWN_LINK = "link:";

/** An own field's value that leads somewhere; empty where it leads nowhere. */
export const ownLink = (link: Link): string => (link.to === "nowhere" ? "" : OWN_LINK + JSON.stringify(link));

/** Where an own field's value leads; nowhere where it is no such value. */
export function linkOfOwn(value: string): Link {
  if (!value.startsWith(OWN_LINK)) return NO_LINK;
  try {
    const read = linkSchema.safeParse(JSON.parse(value.slice(OWN_LINK.length)));
    return read.success ? read.data : NO_LINK;
  } catch {
    return NO_LINK;
  }
}
