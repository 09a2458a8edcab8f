import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const checkoutMore = defineKind(definition, View);
