import { Box, Button, FormControlLabel, Link, Switch, Typography } from "@mui/material";
import { useMemo } from "react";
import { useNavigate } from "react-router";
import { setDocumentCss } from "~/core/commands";
import { entryOf, SITE, walk, type Draft, type PageDocument, type Part } from "~/core/document";
import { nameOf } from "~/kinds";
import { hasOwnCss, pageScope, SHOP_SCOPE } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { pageShowing } from "../shared";
import { INK } from "../ui";
import { OwnCss } from "./own-css";

type Elsewhere = { readonly document: PageDocument; readonly part?: Part; readonly css: string };

/** CSS that stands neither for the shop nor for this page: of sections, and of other pages. */
function elsewhere(documents: Draft["documents"], here: string): readonly Elsewhere[] {
  const found: Elsewhere[] = [];
  for (const document of Object.values(documents)) {
    const own = entryOf(document.root.props, "css");
    if (typeof own === "string" && own && document.id !== here && document.kind !== "site")
      found.push({ document, css: own });
    for (const part of walk(document.root)) {
      const css = entryOf(part.props, "css");
      if (part !== document.root && typeof css === "string" && css && hasOwnCss(part))
        found.push({ document, part, css });
    }
  }
  return found;
}

/** All CSS that the seller wrote: of this page, of the whole shop, and where else there is some. */
export function OwnRules({ page }: { page: string }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const documents = useStudio((s) => s.draft.documents);
  const without = useStudio((s) => s.ownCss.without);
  const here = entryOf(documents, page);
  const site = entryOf(documents, SITE);
  const others = useMemo(() => elsewhere(documents, page), [documents, page]);
  const cssOf = (document: PageDocument) => String(entryOf(document.root.props, "css") ?? "");
  const goTo = ({ document, part }: Elsewhere) => {
    const holder = document.kind === "shared" ? pageShowing(documents, document) : document.id;
    if (holder !== undefined && document.kind !== "frame") void navigate(`/s/${shop}/pages?page=${holder}`);
    if (part) store.getState().select(part.id);
  };
  return (
    <Box sx={{ p: 2, display: "grid", gap: 2.5, gridTemplateColumns: "minmax(0,1fr)" }}>
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          Own CSS
        </Typography>
        <Button size="small" onClick={() => store.getState().setOwnCss({ open: false, without: false })}>
          Close
        </Button>
      </Box>
      <FormControlLabel
        control={<Switch checked={without} onChange={(_e, on) => store.getState().setOwnCss({ without: on })} />}
        label="Look at the shop without it"
      />
      {without ? (
        <Typography variant="body2" role="status" sx={{ p: 1.25, border: `1px solid ${INK.line}`, borderRadius: 1 }}>
          The panes leave all own CSS out for as long as this list is open. Shoppers see it as before.
        </Typography>
      ) : null}
      {here && (here.kind === "page" || here.kind === "layout") ? (
        <Box component="section" aria-label="CSS of this page">
          <Typography variant="h3" gutterBottom>
            {here.title}
          </Typography>
          <OwnCss
            key={here.id}
            label={`CSS of ${here.title}`}
            scope={pageScope(here)}
            stored={cssOf(here)}
            change={(draft, css) => setDocumentCss(draft, here.id, css)}
            placeholder={"h2 { text-wrap: balance }"}
            hint="Reaches this page alone, between header and footer. “&” is that part of the page."
          />
        </Box>
      ) : null}
      {site ? (
        <Box component="section" aria-label="CSS of the whole shop">
          <Typography variant="h3" gutterBottom>
            The whole shop
          </Typography>
          <OwnCss
            label="CSS of the whole shop"
            scope={SHOP_SCOPE}
            stored={cssOf(site)}
            change={(draft, css) => setDocumentCss(draft, site.id, css)}
            placeholder={".button { letter-spacing: .06em }"}
            hint="Reaches every page with its header and footer. “&” is the page. Write “--” for the theme’s colours and steps."
          />
        </Box>
      ) : null}
      <Box component="section" aria-label="CSS elsewhere">
        <Typography variant="h3" gutterBottom>
          Elsewhere
        </Typography>
        {others.length ? (
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gap: 1 }}>
            {others.map((each) => (
              <Box component="li" key={each.part?.id ?? each.document.id}>
                <Link component="button" type="button" variant="body2" onClick={() => goTo(each)}>
                  {each.part ? nameOf(each.part) : "The whole page"}
                </Link>
                <Typography variant="caption" color="text.secondary" component="p" noWrap>
                  {each.document.title} · {each.css.trim().replace(/\s+/g, " ").slice(0, 90)}
                </Typography>
              </Box>
            ))}
          </Box>
        ) : (
          <Typography variant="body2" color="text.secondary">
            No section and no other page has CSS of its own. A section gets some under “Name and code”, in its own
            details.
          </Typography>
        )}
      </Box>
    </Box>
  );
}
