import { renderLetter, type LetterPart, type ShopContent } from "~/render";
import { send } from "../outbox/index.server";
import type { ShopperLetter } from "./shoppers";

const button = (label: string, address: string): LetterPart => ({
  sort: "button",
  label,
  link: { to: "web", address },
});
const words = (text: string): LetterPart => ({ sort: "words", text });
const NOT_YOU = "If it was not you, there is nothing to do: nobody gets in with this letter but whoever reads it.";

function partsOf(
  letter: ShopperLetter,
  origin: string,
): { readonly heading: string; readonly parts: readonly LetterPart[] } {
  switch (letter.what) {
    case "open":
      return {
        heading: "One press, and you have an account",
        parts: [
          words("Somebody, probably you, wants an account with this address. Choose a password within the next hour:"),
          button("Choose a password", `${origin}/account/password?token=${letter.token}`),
          words(NOT_YOU),
        ],
      };
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
    case "forgotten":
      return {
        heading: "A new password",
        parts: [
          words("Somebody, probably you, asked for a new password. Choose it within the next hour:"),
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

/** Writes about an account, in the look of the shop. */
export async function shopperLetter(letter: ShopperLetter, content: ShopContent, origin: string): Promise<void> {
  const name = content.draft.look.identity.name;
  const { heading, parts } = partsOf(letter, origin);
  const subject = `${heading}: ${name}`;
  const { html, text } = renderLetter(
    {
      subject,
      blocks: [{ sort: "heading", text: heading }, ...parts],
      because: `You get this because this address was given at ${name}.`,
    },
    content,
    origin,
  );
  await send({ to: letter.to, from: name, subject, html, text });
}
