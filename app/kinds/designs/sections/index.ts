import { CONTACT } from "./contact";
import type { SectionDesign } from "./design";
import { FACTS } from "./facts";
import { GOODS } from "./goods";
import { PICTURES } from "./pictures";
import { STORY } from "./story";
import { WELCOME } from "./welcome";

export type { SectionDesign } from "./design";

/** Every design of a section, in the order in which they are offered within their purpose. */
export const SECTION_DESIGNS: readonly SectionDesign[] = [
  ...WELCOME,
  ...GOODS,
  ...PICTURES,
  ...STORY,
  ...FACTS,
  ...CONTACT,
];
