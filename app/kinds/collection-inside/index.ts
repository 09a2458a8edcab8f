import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const collectionInside = defineKind(definition, View);
