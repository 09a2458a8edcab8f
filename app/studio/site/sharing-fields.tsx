import { siteOf } from "~/core/addresses";
import { setPage } from "~/core/commands";
import { entryOf, pageProps, spread } from "~/core/document";
import { LONGEST_DESCRIPTION, LONGEST_SEARCH_TITLE } from "~/kinds";
import { madeFrom } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { SharingForm, type SharingValues } from "../sharing";
import { useAddressBefore } from "./addresses";

const LONGEST = { title: LONGEST_SEARCH_TITLE, description: LONGEST_DESCRIPTION };

/** What a change is called in the history. */
function wordsOf(change: Partial<SharingValues>): string {
  if (change.title !== undefined) return "title for search changed";
  if (change.description !== undefined) return "description changed";
  if (change.picture !== undefined)
    return change.picture === null ? "picture for sharing put back" : "picture for sharing changed";
  return change.unlisted ? "kept out of search engines" : "found by search engines";
}

/** What search engines and shared links say of a page. */
export function SharingFields({ page: id }: { page: string }) {
  const store = useStudioStore();
  const document = useStudio((s) => entryOf(s.draft.documents, id)!);
  const documents = useStudio((s) => s.draft.documents);
  const identity = useStudio((s) => s.draft.look.identity);
  const isHome = siteOf(documents).home === id;
  const own = pageProps(document);
  const before = useAddressBefore(own.parent);
  return (
    <SharingForm
      own={{ title: own.searchTitle, description: own.description, picture: own.picture, unlisted: own.unlisted }}
      made={madeFrom(spread(documents, document), isHome, identity)}
      from="page"
      address={isHome ? before.replace(/\/$/, "") : before + own.slug}
      longest={LONGEST}
      onChange={({ title, ...change }) => {
        const now = store.getState();
        const values = { ...change, ...(title === undefined ? {} : { searchTitle: title }) };
        const why = now.run(
          setPage(now.draft, id, values, wordsOf({ ...change, ...(title === undefined ? {} : { title }) })),
        );
        if (why) now.say(why, "problem");
      }}
    />
  );
}
