import { useMemo } from "react";
import type { Draft } from "~/core/document";
import type { Goods } from "~/core/goods";
import { focusCss, type Picture } from "~/core/pictures";
import { lookCss, solveLook } from "~/core/theme";
import { EnvProvider, type KindEnv } from "~/kinds/parts";
import { KINDS } from "~/kinds";
import { envOf, Page, PageSections, sectionCss, sharedCss } from "~/render";
import { themeById } from "~/themes";
import type { Sheets } from "./shop-frame";

export type Dressing = {
  readonly goods: Goods;
  readonly pictures: readonly Picture[];
  readonly currency: string;
  readonly locale: string;
};

/** Style sheets of a draft's pages, in the order in which they apply. */
export function usePageSheets(draft: Draft, pictures: readonly Picture[], extra: string): Sheets {
  const { look, documents } = draft;
  const theme = themeById(look.theme);
  const looks = useMemo(() => lookCss(solveLook(theme, look)), [theme, look]);
  const shared = useMemo(() => sharedCss(KINDS.keys(), theme), [theme]);
  const focus = useMemo(() => pictures.map(focusCss).join(""), [pictures]);
  return useMemo(() => {
    const sheets = new Map([
      ["look", looks],
      ["shared", shared],
    ]);
    for (const document of Object.values(documents)) {
      for (const node of Object.values(document.root.slots).flat()) sheets.set(node.id, sectionCss(node, theme, look));
    }
    return sheets.set("focus", focus).set("studio", extra);
  }, [looks, shared, focus, extra, theme, look, documents]);
}

/** A page of the shop as the studio shows it. */
export function ShopPage({
  draft,
  page,
  dressing,
  studio,
}: {
  draft: Draft;
  page: string;
  dressing: Dressing;
  studio: NonNullable<KindEnv["studio"]>;
}) {
  const theme = themeById(draft.look.theme);
  const env = useMemo(() => envOf(dressing, draft.look, studio), [dressing, draft.look, studio]);
  return (
    <EnvProvider value={env}>
      <Page frame={draft.documents.frame!} theme={theme} look={draft.look}>
        <PageSections page={draft.documents[page]!} theme={theme} look={draft.look} />
      </Page>
    </EnvProvider>
  );
}
