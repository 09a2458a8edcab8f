import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const cartReminder = defineKind(definition, View);
