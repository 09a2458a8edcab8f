export { WalkPage } from "./walk-page";
