import type { NextFunction, Request, Response } from "express";
import { messagePage } from "./pages";
import { fromHere, originOf, perMinute, send, shopOf } from "./sending";

/** Says something in place of a page, which nobody keeps. */
export async function say(
  request: Request,
  response: Response,
  status: number,
  title: string,
  text: string,
): Promise<void> {
  const page = await messagePage(shopOf(response), title, text, status, originOf(response));
  if (page) send(request, response, page, "no-store");
  else response.status(404).end();
}

/** Lets forms through that come from the shop’s own pages, and not too many of them from one place. `what`: counted together. */
export function guarded(what: string, most: number) {
  const mayPost = perMinute(what, most);
  return async (request: Request, response: Response, next: NextFunction): Promise<void> => {
    if (!fromHere(request, response))
      return say(request, response, 403, "That came from another site", "Please use this shop’s own page.");
    if (!(await mayPost(request, response)))
      return say(request, response, 429, "That was a little too often", "Please try again in a minute.");
    next();
  };
}
