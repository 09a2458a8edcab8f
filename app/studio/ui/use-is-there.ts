import { useSyncExternalStore } from "react";

const never = () => () => undefined;

/** Whether a browser draws this: false on the server, and at first in the browser, so that both draw the same. */
export const useIsThere = (): boolean =>
  useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
