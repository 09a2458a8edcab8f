import { outlineOf } from "~/kinds/outline";
import { CONTENTS } from "~/kinds/outline-places";
import { memo, useDeferredValue, useMemo } from "react";
import { ownFieldsOf, SITE, type Draft, type Look, type PageDocument } from "~/core/document";
import { draftOn } from "~/core/conditions";
import type { Goods } from "~/core/goods";
import type { Situation } from "~/core/situation";
import { focusCss, shadeCss, type Picture } from "~/core/pictures";
import { draftAt } from "~/core/journal";
import { lookCss, resolveSetting, SETTINGS, solveLook } from "~/core/theme";
import { EnvProvider, logoCss, type KindEnv } from "~/kinds/parts";
import {
  darkSetsOf,
  documentOf,
  codeOn,
  documentCss,
  envOf,
  frameOf,
  GOODS_SETTINGS,
  liveIn,
  nodeCss,
  ownDocuments,
  Page,
  PageBody,
  partsByKind,
  partsOnPictures,
  pictureUnderWords,
  tonedTint,
  toneWords,
  sharedCss,
  shownOf,
  siteWords,
  withoutAround,
  type Target,
} from "~/render";
import { themeById } from "~/themes";
import type { Sheets } from "./shop-frame";
import { useAsked } from "./target";
import { useStudio } from "../keeping";

export type Dressing = {
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  readonly currency: string;
  readonly locale: string;
  readonly moneyFormat: string;
  readonly codeOrigin?: string;
};

/**
 * Style sheets of a draft's pages, in the order in which they apply. A part of the look that did not change keeps its text,
 * so that a colour being dragged replaces the sheet of colours and nothing else. `look`: another look than the draft's own.
 */
export function usePageSheets(
  draft: Draft,
  pictures: readonly Picture[],
  look: Look = draft.look,
  /** Whether with the CSS that the seller wrote. */
  withOwn = true,
): Sheets {
  const { documents } = draft;
  const theme = themeById(look.theme);
  const { fonts, measures, colours } = lookCss(solveLook(theme, look));
  const shared = sharedCss(theme);
  const logo = logoCss(look.identity.logo);
  const focus = useMemo(() => pictures.map(focusCss).join(""), [pictures]);
  const goods = GOODS_SETTINGS.map((name) => look.brand[name]).join(" ");
  const nodes = useMemo(() => {
    const sheets = new Map<string, string>();
    for (const document of Object.values(documents)) {
      for (const node of Object.values(document.root.slots).flat())
        sheets.set(node.id, nodeCss(node, theme, look, withOwn));
    }
    return sheets;
    // Of the look, only this reaches the rules of single sections.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [documents, theme, goods, withOwn]);
  const own = useMemo(() => {
    if (!withOwn) return "";
    const { [SITE]: site, ...pages } = documents;
    return documentCss(site) + Object.values(pages).map(documentCss).join("");
  }, [documents, withOwn]);
  const tones = toneWords({ look, documents });
  // A library has thousands of pictures, of which few stand under words.
  const tints = useMemo(() => {
    const parts = Object.values(documents).flatMap((document) => partsOnPictures(document, theme));
    const under = new Set(parts.map((part) => pictureUnderWords(part, theme)));
    const shown = pictures.filter((p) => under.has(p.id));
    const find = (id: string | null) => shown.find((p) => p.id === id);
    return [...shown.map(shadeCss), ...parts.map((part) => tonedTint(part, theme, look, find))].join("");
    // Of the look, tones take what `tones` says.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [documents, pictures, theme, tones]);
  return useMemo(
    () =>
      new Map([
        ["fonts", fonts],
        ["measures", measures + logo],
        ["colours", colours],
        ["shared", shared],
        ...nodes,
        ["own", own],
        ["focus", focus],
        ["tints", tints],
      ]),
    [fonts, measures, logo, colours, shared, nodes, own, focus, tints],
  );
}

/** What fields say that widgets can take their words from. */
function fieldWords(documents: Draft["documents"], page: PageDocument | undefined): unknown {
  const { summary, author, at, own } = page?.root.props ?? {};
  const fields = [ownFieldsOf(documents), ownFieldsOf(documents, "product")];
  return [fields, page?.title, summary, author, at, own];
}

const STRUCTURAL = [...SETTINGS.values()].filter((s) => s.structural).map((s) => s.key);

/** The look as far as it changes what pages contain: the same object for as long as only colours, sizes and shapes change. */
export function useStructure(look: Look, documents: Draft["documents"]): Look {
  const theme = themeById(look.theme);
  const key = JSON.stringify([
    look.theme,
    look.identity,
    toneWords({ look, documents }),
    [...darkSetsOf(look)],
    STRUCTURAL.map((name) => resolveSetting(name, look.brand, theme.defaults).value),
  ]);
  // The key holds all of the look that counts here.
  // oxlint-disable-next-line react/exhaustive-deps
  return useMemo(() => look, [key]);
}

type ShopPageProps = {
  draft: Draft;
  target: Target;
  dressing: Dressing;
  /** Absent: just as shoppers see it. */
  studio?: KindEnv["studio"];
};

/** A page of the shop as the studio shows it. */
export function ShopPage({ draft, ...rest }: ShopPageProps) {
  const look = useStructure(draft.look, draft.documents);
  // What doesn't show now, here, or to whoever is looked as, is seen here as what is not shown yet.
  const situation = useStudio((s) => s.situation);
  const asked = useAsked(rest.target);
  const isTurned = useStudio((s) => s.looking?.at !== undefined);
  // At another time, posts that have not come out by then are not there.
  const then = isTurned ? draftAt(draft, asked.clock) : draft;
  const own = ownDocuments(rest.target, draft.documents, rest.dressing.goods);
  const told = { ...rest.dressing, situation: { ...situation, ...(asked.page ? { page: asked.page } : {}) } };
  const { documents } = liveIn(draftOn(then, asked, own), told, rest.studio?.editing);
  return <StillPage look={look} documents={documents} situation={situation} {...rest} />;
}

/** As many sections as the tallest pane shows at first. */
const FIRST_SECTIONS = 4;

type StillProps = Omit<ShopPageProps, "draft"> & {
  look: Look;
  documents: Draft["documents"];
  situation: Situation;
};

const StillPage = memo(function StillPage({ look, documents, target, dressing, situation, studio }: StillProps) {
  const theme = themeById(look.theme);
  // Of the other documents, views ask only this; a letter that is typed must not draw every card anew.
  const pages = siteWords(documents);
  // And which parts stand together on this one.
  const page = documentOf(target, documents, dressing.goods);
  const frame = frameOf(documents, page);
  const main = withoutAround(page);
  const byKind = partsByKind(main, frame);
  // A list of the page's headings is the one thing that asks what they say.
  const parts = JSON.stringify([
    [...byKind],
    byKind.has(CONTENTS) ? outlineOf(main) : null,
    fieldWords(documents, main),
  ]);
  // What is seen first is drawn first; the rest of a long page follows while it can be worked with already.
  const most = useDeferredValue(Infinity, FIRST_SECTIONS);
  const env = useMemo(
    () => {
      const drawn = envOf(
        { ...dressing, situation },
        { look, documents },
        studio,
        shownOf(target, dressing.goods, documents),
        main,
        frame,
      );
      return { ...drawn, ...codeOn(target, dressing, drawn, main) };
    },
    // `pages` and `parts` say what of `documents` and `page` is asked for.
    // oxlint-disable-next-line react/exhaustive-deps
    [dressing, look, pages, parts, situation, studio, target],
  );
  return (
    <EnvProvider value={env}>
      <Page frame={frame} page={page} theme={theme} look={look}>
        <PageBody
          target={target}
          page={main}
          documents={documents}
          goods={dressing.goods}
          theme={theme}
          look={look}
          most={most}
        />
      </Page>
    </EnvProvider>
  );
});

type Money = Pick<Dressing, "currency" | "locale" | "moneyFormat" | "codeOrigin">;

/** Goods, pictures and money of the shop that is being dressed. */
export function useDressing(goods: Goods, pictures: readonly Picture[], shop: Money): Dressing {
  const { currency, locale, moneyFormat, codeOrigin } = shop;
  return useMemo(
    () => ({ goods, pictures, currency, locale, moneyFormat, ...(codeOrigin ? { codeOrigin } : {}) }),
    [goods, pictures, currency, locale, moneyFormat, codeOrigin],
  );
}
