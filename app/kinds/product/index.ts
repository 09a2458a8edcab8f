import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const product = defineKind(definition, View);
