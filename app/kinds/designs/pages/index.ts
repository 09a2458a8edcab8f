import type { PageDesign } from "./design";
import { HELP_SHOPPERS } from "./help-shoppers";
import { SHOW_AND_SELL } from "./show-and-sell";
import { WHO_YOU_ARE } from "./who-you-are";

/** Every design of a page, in the order in which they are offered within their purpose. */
export const PAGE_DESIGNS: readonly PageDesign[] = [
  ...WHO_YOU_ARE,
  ...HELP_SHOPPERS,
  ...SHOW_AND_SELL,
  {
    id: "empty",
    name: "New page",
    about: "Nothing on it. You put it together yourself.",
    purpose: "Begin with nothing",
    synonyms: ["blank", "own", "scratch"],
    build: () => [],
  },
];
