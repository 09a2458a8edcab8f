import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const signUp = defineKind(definition, View);
