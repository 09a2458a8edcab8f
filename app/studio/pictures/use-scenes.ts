import { useMemo } from "react";
import { isLogo } from "~/core/document";
import type { Picture } from "~/core/pictures";
import { useStudio } from "../keeping";

/** The pictures of the library without the logo, which is never put anywhere by itself. */
export function useScenes(): readonly Picture[] {
  const pictures = useStudio((s) => s.pictures);
  const identity = useStudio((s) => s.draft.look.identity);
  return useMemo(() => pictures.filter((p) => !isLogo(identity, p.id)), [pictures, identity]);
}
