import { useCallback } from "react";
import { useRevalidator } from "react-router";
import { useStudioStore } from "./store";

/** Fetches what has changed of the shop, and what the area at hand has loaded besides. */
export function useReload(): () => Promise<void> {
  const store = useStudioStore();
  const { revalidate } = useRevalidator();
  return useCallback(async () => {
    await Promise.all([store.getState().reload(), revalidate()]);
  }, [store, revalidate]);
}
