export { WalkPage as default } from "~/studio/walk";
