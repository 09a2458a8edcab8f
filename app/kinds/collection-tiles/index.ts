import { defineKind } from "../definition";
import { definition } from "./definition";
import { View } from "./view";

export const collectionTiles = defineKind(definition, View);
