export { applyLight, frameAround, lightsFor, paperOf } from "./alike";
export { boxOf, cutOut, type Finish } from "./edge";
export { findThing, judge, maskOf, type Found, type Judgement, type Side } from "./find";
