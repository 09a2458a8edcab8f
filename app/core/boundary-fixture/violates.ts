// Breaks two import arrows on purpose: `npm run boundaries` fails when these are not caught.
import type { Kind } from "../../kinds/definition";
import { useEnv } from "../../kinds/parts/env";

export type Wrong = Kind;
export const wrong = useEnv;
