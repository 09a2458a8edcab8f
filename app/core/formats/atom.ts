const escape = (text: string): string =>
  text
    .replace(/&/g, "&amp;")
    .replace(/</g, "&lt;")
    .replace(/>/g, "&gt;")
    .replace(/"/g, "&quot;")
    // What XML 1.0 can't hold (2.2, Char), whatever somebody pasted.
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, "");

export type FeedEntry = {
  /** An address that stays the entry's own, wherever it moves to. */
  readonly id: string;
  readonly title: string;
  readonly address: string;
  /** When it came out, as RFC 3339 writes it. */
  readonly published: string;
  readonly author: string;
  readonly summary: string;
  readonly tags: readonly { readonly name: string; readonly slug: string }[];
};

export type Feed = {
  readonly id: string;
  readonly title: string;
  readonly subtitle: string;
  /** Of the feed itself, and of the page that it is the feed of. */
  readonly address: string;
  readonly page: string;
  /** Who writes, where an entry does not say. */
  readonly author: string;
  /** When nothing of it has changed since; used where it has no entries. */
  readonly updated: string;
  readonly language: string;
  readonly entries: readonly FeedEntry[];
};

/** A feed as Atom (RFC 4287): what an entry and a feed need is there whatever is empty. Addresses are whole ones. */
export function atomFeed(feed: Feed): string {
  const updated = feed.entries.reduce((latest, { published }) => (published > latest ? published : latest), "");
  const entries = feed.entries.map(
    ({ id, title, address, published, author, summary, tags }) =>
      `<entry><id>${escape(id)}</id><title>${escape(title)}</title>` +
      `<link rel="alternate" type="text/html" href="${escape(address)}"/>` +
      `<published>${published}</published><updated>${published}</updated>` +
      (author ? `<author><name>${escape(author)}</name></author>` : "") +
      tags.map(({ name, slug }) => `<category term="${escape(slug)}" label="${escape(name)}"/>`).join("") +
      `<summary>${escape(summary)}</summary></entry>`,
  );
  return (
    `<?xml version="1.0" encoding="utf-8"?><feed xmlns="http://www.w3.org/2005/Atom" xml:lang="${escape(feed.language)}">` +
    `<id>${escape(feed.id)}</id><title>${escape(feed.title)}</title>` +
    (feed.subtitle ? `<subtitle>${escape(feed.subtitle)}</subtitle>` : "") +
    `<link rel="self" type="application/atom+xml" href="${escape(feed.address)}"/>` +
    `<link rel="alternate" type="text/html" href="${escape(feed.page)}"/>` +
    `<updated>${updated || feed.updated}</updated><author><name>${escape(feed.author)}</name></author>` +
    `${entries.join("")}</feed>`
  );
}
