import { useCallback } from "react";
import { useStudio } from "./store";

/** Writes day and time as the shop does. */
export function useMoment(): (at: number, time?: boolean) => string {
  const { locale, timeZone } = useStudio((s) => s.shop);
  return useCallback(
    (at, time = true) =>
      new Date(at).toLocaleString(locale, {
        day: "numeric",
        month: "short",
        year: "numeric",
        ...(time ? { hour: "2-digit", minute: "2-digit" } : {}),
        timeZone,
      }),
    [locale, timeZone],
  );
}
