import { useMemo } from "react";
import { comingIn, type Coming } from "~/core/conditions";
import { postsAhead } from "~/core/journal";
import { calledOf } from "../seasons";
import { useStudio } from "../keeping";

/** What changes next by itself, earliest first. */
export type ComingSaid = { readonly key: string; readonly at: string; readonly words: string };

const MOST_COMING = 12;

function comingWords(what: Parameters<typeof calledOf>[0], shows: boolean): string {
  const { name, where } = calledOf(what);
  const { kind } = what.document;
  if (kind === "offer") return `${name} ${shows ? "begins to hold" : "holds no longer"} (${where})`;
  if (kind === "season") return `${name} ${shows ? "begins" : "is over"} (${where})`;
  return `${name} ${shows ? "begins to show" : "shows no longer"} (${where})`;
}

/** What begins or ceases to show next, and which posts come out. */
export function useComing(clock: string): readonly ComingSaid[] {
  const documents = useStudio((s) => s.draft.documents);
  return useMemo(() => {
    // An offer or a season that is off does not come by itself.
    const isOff = ({ document, part }: Coming) =>
      (document.kind === "offer" || document.kind === "season") && part.props.off === true;
    const coming = comingIn(documents, clock).filter((each) => !isOff(each));
    const parts = coming.map(({ at, document, part, shows }) => ({
      key: part.id,
      at,
      words: comingWords({ document, part }, shows),
    }));
    const posts = postsAhead(documents, clock).map(({ page, at }) => ({
      key: page.id,
      at,
      words: `“${page.title}” comes out`,
    }));
    return [...parts, ...posts].toSorted((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0)).slice(0, MOST_COMING);
  }, [documents, clock]);
}
