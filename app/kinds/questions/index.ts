import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export { askedIn } from "./asked";
export type { QuestionsProps } from "./definition";
export const questions = defineKind(definition, View);
