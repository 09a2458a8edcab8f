import { Box } from "@mui/material";
import { useMemo, useRef } from "react";
import type { Draft, Part } from "~/core/document";
import { DOCUMENT_VERSION } from "~/core/schema";
import { withLive } from "~/kinds/live";
import { EnvProvider } from "~/kinds/parts";
import { envOf, Section, siteWords } from "~/render";
import { themeById } from "~/themes";
import { useStudio } from "../keeping";
import { aroundSample } from "./sample-page";
import { ShopFrame } from "./shop-frame";
import { usePageSheets } from "./shop-page";
import { BARE_CSS, NOT_EDITING } from "./studio-css";
import { useSeen } from "./use-seen";

type PartSightProps = {
  /** A section, by itself on a page; null: nothing yet. */
  node: Part | null;
  name: string;
  /** Size on the screen, and the width of the page that is shrunk into it, in px. */
  width: number;
  height: number;
  page: number;
  /** What is still to be filled in is seen as well. */
  withBlanks?: boolean;
};

/** What is lower than its tile stands in the middle of it. */
const CENTRED_CSS = `${BARE_CSS}body{overflow:hidden;min-height:100vh;display:flex;flex-direction:column;justify-content:safe center}`;

/** The same, without waiting. */
function Sight({ node, name, width, height, page, withBlanks = false }: PartSightProps & { node: Part }) {
  const look = useStudio((s) => s.draft.look);
  const documents = useStudio((s) => s.draft.documents);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const { currency, locale, moneyFormat } = useStudio((s) => s.shop);
  const alone = useMemo<Draft>(
    () => ({
      look,
      documents: {
        one: {
          schemaVersion: DOCUMENT_VERSION,
          id: "one",
          kind: "page",
          title: "",
          root: { id: "r", kind: "root", props: {}, style: {}, conditions: [], shown: true, slots: { main: [node] } },
        },
      },
    }),
    [look, node],
  );
  const sheets = usePageSheets(alone, pictures);
  // Of the documents, a section asks only which pages there are: a letter that is typed draws none of this anew.
  const pages = siteWords(documents);
  const env = useMemo(
    () => aroundSample(envOf({ goods, pictures, currency, locale, moneyFormat }, { look, documents })),
    // `pages` says what of `documents` is asked for.
    // oxlint-disable-next-line react/exhaustive-deps
    [goods, pictures, currency, locale, moneyFormat, look, pages],
  );
  // Facts in its words are shown with what they say.
  const [seen = node] = useMemo(
    () =>
      withLive(alone, { say: env.live, studio: { editing: null, offers: [] } }).documents.one?.root.slots.main ?? [],
    [alone, env],
  );
  return (
    <ShopFrame inert title={name} width={page} scale={width / page} height={height} sheets={sheets} extra={CENTRED_CSS}>
      <EnvProvider value={withBlanks ? { ...env, studio: NOT_EDITING } : env}>
        <Section node={seen} theme={themeById(look.theme)} look={look} first />
      </EnvProvider>
    </ShopFrame>
  );
}

/** A section as it looks in this shop, small and live. Drawn only once it comes into view and nothing else is to be done. */
export function PartSight({ node, ...rest }: PartSightProps) {
  const holder = useRef<HTMLDivElement>(null);
  const seen = useSeen(holder);
  return (
    <Box ref={holder} sx={{ width: rest.width, height: rest.height, overflow: "hidden", bgcolor: "#fff" }}>
      {seen && node ? <Sight node={node} {...rest} /> : null}
    </Box>
  );
}
