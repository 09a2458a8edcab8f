import type { Picture } from "~/core/pictures";

/** The pictures whose name or description holds what is sought; all of them where nothing is. */
export function picturesNamed(pictures: readonly Picture[], sought: string): readonly Picture[] {
  const words = sought.toLowerCase().trim();
  return words ? pictures.filter((p) => `${p.name} ${p.alt}`.toLowerCase().includes(words)) : pictures;
}
