import { entryOf, walk, type Draft, type Look, type PageDocument, type Part } from "~/core/document";
import {
  matrixOf,
  throughTone,
  tintOfShade,
  toneCode,
  TONES,
  TONE_ROLES,
  type DrawnTone,
  type Picture,
  type PictureView,
  type Tone,
  type ToneRole,
} from "~/core/pictures";
import { solveLook, type Theme } from "~/core/theme";
import { themeById } from "~/themes";
import { nodeClass, pictureUnderWords, viewsIn, viewUnderWords } from "./style";

/** The tone that a place asks for: its own, one of the shop's, or one to begin with; undefined for none and for one that is gone. */
export const toneAsked = (look: Look, tone: PictureView["tone"]): Tone | undefined =>
  typeof tone === "string" ? (entryOf(look.tones, tone) ?? entryOf(TONES, tone))?.tone : tone;

/** The shop's colours that tones are made of, as `#rrggbb`. */
function toneColours(look: Look): (role: ToneRole) => string {
  let roles: Readonly<Record<ToneRole, string>> | undefined;
  return (role) => (roles ??= solveLook(themeById(look.theme), look).roles.sets.page)[role];
}

/** Makes tones ready to be drawn in the colours of a look; undefined where one changes nothing. */
export function tonesOf(look: Look): (tone: PictureView["tone"]) => DrawnTone | undefined {
  const colourOf = toneColours(look);
  return (asked) => {
    const tone = toneAsked(look, asked);
    if (!tone) return undefined;
    const matrix = matrixOf(tone, colourOf);
    const { grain, blur = 0 } = tone;
    return toneCode(matrix) || grain || blur ? { matrix, grain, blur } : undefined;
  };
}

type Documents = Draft["documents"];
type Asked = NonNullable<PictureView["tone"]>;

const askedIn = new WeakMap<PageDocument, readonly Asked[]>();

/** What all pages of a shop ask for as tones of their pictures; a document that did not change is not read again. */
const askedBy = (documents: Documents): readonly Asked[] =>
  Object.values(documents).flatMap((document) => {
    let asked = askedIn.get(document);
    if (!asked) {
      asked = [...walk(document.root)].flatMap((part) => viewsIn(part).flatMap(({ view }) => view.tone ?? []));
      askedIn.set(document, asked);
    }
    return asked;
  });

/** At how many places of a shop pictures are shown in one of its own tones. */
export const placesInTone = (documents: Documents, id: string): number =>
  askedBy(documents).filter((asked) => asked === id).length;

/** The codes of all tones that pages of a shop show pictures in. */
export function tonesIn({ look, documents }: Draft): ReadonlySet<string> {
  const toneOf = tonesOf(look);
  return new Set(
    askedBy(documents).flatMap((asked) => {
      const tone = toneOf(asked);
      return tone ? [toneCode(tone.matrix)] : [];
    }),
  );
}

/** What of a look its tones are drawn from: their own figures, and the shop's colours where one of them takes any. */
export function toneWords({ look, documents }: Draft): string {
  const asked = askedBy(documents);
  const takesColours = asked.some((each) => {
    const tone = toneAsked(look, each);
    return tone?.wash !== undefined || tone?.inks !== undefined;
  });
  const colourOf = toneColours(look);
  return JSON.stringify([asked.length ? look.tones : null, takesColours ? TONE_ROLES.map(colourOf) : null]);
}

/** The rule that gives the tint under a part's words the hue of its picture as it is toned; empty where that is the picture's own. */
export function tonedTint(
  part: Part,
  theme: Theme,
  look: Look,
  find: (id: string | null) => Picture | undefined,
): string {
  const id = pictureUnderWords(part, theme);
  const view = viewUnderWords(part);
  const shade = id === null || view?.tone === undefined ? undefined : find(id)?.shade;
  const tone = shade ? tonesOf(look)(view?.tone) : undefined;
  if (!shade || !tone) return "";
  return `.${nodeClass(part)}{--tint:${tintOfShade(throughTone(shade, tone.matrix)).join(" ")}}`;
}
