import type { ReactNode } from "react";
import type { Document, Look, Node } from "~/core/document";
import type { Theme } from "~/core/theme";
import { Section } from "./section";

type PageProps = { frame: Document; theme: Theme; look: Look; children: ReactNode };

const sections = (nodes: readonly Node[] | undefined, theme: Theme, look: Look, firstIsHead: boolean) =>
  (nodes ?? []).map((node, index) => (
    <Section key={node.id} node={node} theme={theme} look={look} first={firstIsHead && index === 0} />
  ));

/** What every page has around its own part: skip link, notice, header, footer. */
export function Page({ frame, theme, look, children }: PageProps): ReactNode {
  return (
    <>
      <a className="skip" href="#main">
        Skip to the page
      </a>
      {sections(frame.root.slots.top, theme, look, false)}
      <main id="main">{children}</main>
      {sections(frame.root.slots.bottom, theme, look, false)}
    </>
  );
}

/** The sections of a page that is laid out on the bench. */
export function PageSections({ page, theme, look }: { page: Document; theme: Theme; look: Look }): ReactNode {
  return <>{sections(page.root.slots.main, theme, look, true)}</>;
}
