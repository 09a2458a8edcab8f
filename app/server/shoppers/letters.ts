import { passwordLetterGiven, renderLetter, type LetterGiven, type LetterPart, type ShopContent } from "~/render";
import { send } from "../outbox/index.server";
import type { FixedLetter, OpeningLetter, ShopperLetter } from "./shoppers";

const button = (label: string, address: string): LetterPart => ({
  sort: "button",
  label,
  link: { to: "web", address },
});
const words = (text: string): LetterPart => ({ sort: "words", text });
const NOT_YOU = "If it was not you, there is nothing to do: nobody gets in with this letter but whoever reads it.";

/** What is only said for safety has words of its own, which nobody changes. */
function partsOf(
  letter: FixedLetter,
  origin: string,
): { readonly heading: string; readonly parts: readonly LetterPart[] } {
  switch (letter.what) {
    case "known":
      return {
        heading: "You have an account already",
        parts: [
          words(
            "Somebody, probably you, wanted an account with this address; there is one. Sign in with your password, or choose a new one within the next hour:",
          ),
          button("Choose a new password", `${origin}/account/password?token=${letter.token}`),
          words(NOT_YOU),
        ],
      };
    case "mail":
      return {
        heading: "Is this your new address?",
        parts: [
          words("You want to sign in with this address from now on. Say yes within the next hour:"),
          button("Yes, this is mine", `${origin}/account/new-mail?token=${letter.token}`),
          words("If it was not you, there is nothing to do."),
        ],
      };
    case "moved":
      return {
        heading: "Your account has another address",
        parts: [
          words("From now on you sign in with another mail address. If it was not you, please write to us at once."),
        ],
      };
    case "changed":
      return {
        heading: "Your password is changed",
        parts: [
          words("The password of your account was changed just now. If it was not you, choose another one at once:"),
          button("Choose a new password", `${origin}/account/forgotten`),
        ],
      };
    case "deleted":
      return {
        heading: "Your account is deleted",
        parts: [words("Your account and your addresses are deleted, as you asked.")],
      };
  }
}

const isOpening = (letter: ShopperLetter): letter is OpeningLetter =>
  letter.what === "open" || letter.what === "forgotten";

function givenOf(letter: ShopperLetter, content: ShopContent, origin: string): LetterGiven {
  if (isOpening(letter))
    return passwordLetterGiven(letter.what, letter.name, `${origin}/account/password?token=${letter.token}`, {
      content,
      origin,
    });
  const name = content.draft.look.identity.name;
  const { heading, parts } = partsOf(letter, origin);
  return {
    subject: `${heading}: ${name}`,
    blocks: [{ sort: "heading", text: heading }, ...parts],
    because: `You get this because this address was given at ${name}.`,
  };
}

/** Writes about an account, in the look of the shop. */
export async function shopperLetter(letter: ShopperLetter, content: ShopContent, origin: string): Promise<void> {
  const given = givenOf(letter, content, origin);
  const { html, text } = renderLetter(given, content, origin);
  await send({ to: letter.to, from: content.draft.look.identity.name, subject: given.subject, html, text });
}
