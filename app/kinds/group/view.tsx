import { useSlot } from "../parts";

export const View = () => useSlot("inside").inside;
