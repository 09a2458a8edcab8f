import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const timeLine = defineKind(definition, View);
