export {
  FRAME_PATH,
  frameAddress,
  framePolicy,
  LEAST_HEIGHT,
  MOST_HEIGHT,
  MOST_ORIGINS,
  originIn,
  originsIn,
  SANDBOX,
  type CodeFacts,
  type OwnCode,
} from "./frame";
export { cleanMarkup, isNoCode, leftOutOf, namedIn } from "./markup";
