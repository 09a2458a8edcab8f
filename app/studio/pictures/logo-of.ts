import { useMemo } from "react";
import type { Draft } from "~/core/document";
import type { Picture } from "~/core/pictures";
import { useStudio } from "../keeping";

/** The picture that is the shop's logo, if one is. */
export const logoOf = ({ look: { identity } }: Draft): string | undefined =>
  identity.logo.form === "picture" ? identity.logo.picture : undefined;

/** The pictures of the library without the logo, which is never put anywhere by itself. */
export function useScenes(): readonly Picture[] {
  const pictures = useStudio((s) => s.pictures);
  const logo = useStudio((s) => logoOf(s.draft));
  return useMemo(() => pictures.filter((p) => p.id !== logo), [pictures, logo]);
}
