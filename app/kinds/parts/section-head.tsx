import type { ReactNode } from "react";
import { Words } from "./words";

type SectionHeadProps = {
  heading: string;
  /** A few words below it; absent where the kind has none. */
  text?: string;
  /** The section begins the page: its heading is the page's own. */
  first: boolean;
};

/** The heading of a section, and a few words below it, where there are some. */
export const SectionHead = ({ heading, text = "", first }: SectionHeadProps): ReactNode => (
  <>
    <Words at="heading" as={first ? "h1" : "h2"} className="head" text={heading} hint="Heading" />
    {text ? <Words at="text" as="p" className="lead" text={text} hint="Text" /> : null}
  </>
);

/** The element of headings within a section: a step below its own, where it has one that is not the page's. */
export const innerHead = (heading: string, first: boolean): "h2" | "h3" => (heading && !first ? "h3" : "h2");
