import { type NextFunction, type Request, type Response } from "express";
import { ACCOUNT, ADDRESS_OF_DOOR } from "~/core/account";
import { hasAccounts, sellingOf } from "~/core/selling";
import type { ShopContent } from "~/render";
import { shopperLetter, type ShopperIdentity, type ShopperLetter } from "../shoppers/index.server";
import { contentFor, drawnFor } from "./draft";
import { guarded } from "./guarded";
import { originOf, send, tellNobody } from "./sending";
import { shopperAt } from "./signed-in";

// What the door and the account have in common. Every page of them is for whoever asks alone and is kept by nobody.

export const NO_STORE = "no-store";
const MOST_PER_MINUTE = 40;

/** What an answer is made from. */
export type Here = {
  readonly request: Request;
  readonly response: Response;
  readonly content: ShopContent;
  readonly body: Record<string, unknown>;
};
/** The same where somebody is signed in. */
export type Own = Here & { readonly shopper: ShopperIdentity };

/** Forms of the door and of the account are counted together. */
export const guard = guarded("account", MOST_PER_MINUTE);

export const placeOfAsker = (request: Request): string => request.ip ?? "";

export const go = (response: Response, to: string): void => response.redirect(303, originOf(response) + to);

/** Sends letters about an account, in the look of the shop that was asked. */
export const letterFrom =
  ({ content, response }: Pick<Here, "content" | "response">) =>
  (letter: ShopperLetter): Promise<void> =>
    shopperLetter(letter, content, originOf(response)).catch((error: unknown) =>
      // What was done is done, whether its letter can be sent or not.
      console.error("a letter about an account was not sent:", error),
    );

/** Says something in place of the account, with a way on or something to press. */
export async function message(
  { request, response, content }: Here,
  status: number,
  said: {
    title: string;
    text: string;
    way?: { address: string; label: string };
    press?: { action: string; label: string };
  },
): Promise<void> {
  send(request, response, await drawnFor(request, response, status, { page: "message", ...said }, content), NO_STORE);
}

/** Draws only in a shop that has accounts, and keeps what is drawn to whoever asks. */
export const here =
  (answer: (it: Here) => unknown) => async (request: Request, response: Response, next: NextFunction) => {
    const content = await contentFor(response);
    if (!content || !hasAccounts(sellingOf(content.draft.documents))) return next();
    // What stands in the address may open an account.
    tellNobody(response);
    response.setHeader("X-Robots-Tag", "noindex");
    response.setHeader("Cache-Control", NO_STORE);
    return answer({ request, response, content, body: (request.body ?? {}) as Record<string, unknown> });
  };
/** Only for whoever is signed in; everybody else is led to the door. */
export const own = (answer: (it: Own) => unknown) =>
  here(async (it) => {
    const shopper = await shopperAt(it.request, it.response);
    if (shopper) return answer({ ...it, shopper });
    const to = it.request.method === "GET" ? it.request.path : ACCOUNT;
    return go(it.response, to === ACCOUNT ? ADDRESS_OF_DOOR["sign-in"] : `${ADDRESS_OF_DOOR["sign-in"]}?to=${to}`);
  });
