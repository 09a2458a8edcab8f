import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const postWays = defineKind(definition, View);
