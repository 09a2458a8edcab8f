import { useMemo } from "react";
import { logoPicture } from "~/core/document";
import type { Picture } from "~/core/pictures";
import { useStudio } from "../keeping";

/** The pictures of the library without the logo, which is never put anywhere by itself. */
export function useScenes(): readonly Picture[] {
  const pictures = useStudio((s) => s.pictures);
  const logo = useStudio((s) => logoPicture(s.draft.look.identity));
  return useMemo(() => pictures.filter((p) => p.id !== logo), [pictures, logo]);
}
