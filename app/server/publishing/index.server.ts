export {
  formerAddresses,
  pendingChanges,
  publicationOf,
  publicationsOf,
  publish,
  publishedAt,
  publishedDraft,
  type PendingChange,
  type PendingChanges,
  type Published,
} from "./publications";
export { carryOutDue, dropPlan, planPublication, plansOf, type Plan } from "./plans";
export { countDraftLinks, draftLinkEnds, endDraftLink, endDraftLinks, makeDraftLink } from "./draft-links";
