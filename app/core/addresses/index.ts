// Every address of the shop is made and read here: pages by their place in the tree, goods by their slugs.
export { LONGEST_SLUG, slugOfName, slugProblem, TAKEN_SLUGS } from "./slug";
export {
  addressesLeft,
  closedOf,
  decodeAddress,
  homeOf,
  openPages,
  pageAddress,
  siteOf,
  withBeneath,
  type Site,
  type SitePage,
} from "./site";
export { DEEPEST, pageProblem } from "./problems";
export { ALL_GOODS, productAddress, collectionAddress } from "./goods";
