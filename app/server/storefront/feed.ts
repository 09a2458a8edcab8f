import { closedOf, decodeAddress } from "~/core/addresses";
import { atomFeed } from "~/core/formats";
import { feedAddress, journalOfFeed, postsOf, tagSlug } from "~/core/journal";
import { momentIn } from "~/core/situation";
import { postSummary, type ShopContent } from "~/render";
import { publishedAt } from "../publishing/index.server";
import type { Shop } from "../shops/index.server";
import { contentOf } from "./pages";

/** The latest posts that a feed holds; whoever reads one comes by more often than that. */
const MOST_ENTRIES = 40;

/** The feed that stands at a path, of what is published. */
export async function feedOf(shop: Shop, path: string, origin: string): Promise<string | undefined> {
  const content = await contentOf(shop);
  return content && journalFeed(content, path, origin, await publishedAt(shop.publicationId!));
}

/**
 * The feed that stands at a path (Atom, RFC 4287): of a journal that is in the shop. Undefined where there is none. `published`: when
 * the shop last changed, as RFC 3339 writes it.
 */
export function journalFeed(content: ShopContent, path: string, origin: string, published: string): string | undefined {
  const plain = decodeAddress(path);
  if (plain === undefined || closedOf(content.draft.documents).closed) return undefined;
  const { documents, look } = content.draft;
  const journal = journalOfFeed(documents, plain);
  if (!journal) return undefined;
  const posts = postsOf(documents, journal.document.id)
    .filter(({ props }) => !props.hidden && !props.unlisted && props.at !== "")
    .slice(0, MOST_ENTRIES);
  // Pages are found by their id for ever, whatever becomes of their address.
  const lasting = (id: string) => `${origin}/pages/${id}`;
  return atomFeed({
    id: lasting(journal.document.id),
    title: `${journal.document.title} · ${look.identity.name}`,
    subtitle: journal.props.summary || journal.props.description,
    address: origin + feedAddress(journal.address),
    page: origin + journal.address,
    author: look.identity.name,
    updated: published,
    language: content.locale,
    entries: posts.map(({ document, address, props }) => ({
      id: lasting(document.id),
      title: document.title,
      address: origin + address,
      published: new Date(momentIn(props.at, content.goods.asOf.timeZone) ?? 0).toISOString(),
      author: props.author,
      summary: postSummary(documents, document),
      tags: props.tags.map((name) => ({ name, slug: tagSlug(name) })),
    })),
  });
}
