import { useSlot } from "../parts";

export const View = () => useSlot("widgets").inside;
