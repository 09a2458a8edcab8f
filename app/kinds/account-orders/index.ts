import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const accountOrders = defineKind(definition, View);
