import express, { type Router } from "express";
import {
  ACCOUNT,
  accountInput,
  ADDRESS_OF_DOOR,
  doorAt,
  mailProblem,
  nameProblem,
  passwordProblem,
  problemsOf,
  wayOn,
  type Door,
  type DoorSeen,
} from "~/core/account";
import { ordersOfShopper } from "../orders/index.server";
import {
  askForLink,
  closeShopperSession,
  linkSays,
  openAccount,
  openShopperSession,
  signInShopper,
  type ShopperIdentity,
} from "../shoppers/index.server";
import { go, guard, here, letterFrom, NO_STORE, placeOfAsker, type Here } from "./account-here";
import { drawnFor } from "./draft";
import { send, shopOf } from "./sending";
import { sessionOf, setSession, shopperAt } from "./signed-in";
import { noteBought } from "./visitors";

/** The door of a shop that has accounts: signing in, asking for an account or a new password, and leaving. */
export function accountDoor(): Router {
  const router = express.Router();
  const form = express.urlencoded({ extended: false, limit: "16kb" });

  const showDoor = async ({ request, response, content }: Here, status: number, seen: DoorSeen) =>
    send(request, response, await drawnFor(request, response, status, { page: "sign-in", ...seen }, content), NO_STORE);

  /** Signs somebody in under a secret that nobody had before, whatever their browser came with. */
  const enter = async ({ request, response }: Here, shopper: ShopperIdentity, to: string) => {
    await closeShopperSession(sessionOf(request, response));
    setSession(request, response, await openShopperSession(shopper.id));
    const { orders } = await ordersOfShopper(shopOf(response).id, shopper.id, 1);
    if (orders.length) noteBought(response);
    go(response, wayOn(to));
  };

  router.get(
    Object.values(ADDRESS_OF_DOOR),
    here(async (it) => {
      const { request, response } = it;
      const door = doorAt(request.path)!;
      const values = accountInput.parse({ to: request.query.to });
      if (door !== "password") {
        if (await shopperAt(request, response)) return go(response, wayOn(values.to));
        return showDoor(it, 200, { door, values });
      }
      const { token } = accountInput.parse(request.query);
      const link = await linkSays(shopOf(response).id, token);
      if (link?.does !== "open")
        return showDoor(it, 410, { door: "forgotten", said: "This link is no longer good. Ask for a new one." });
      return showDoor(it, 200, { door, values: { ...values, ...link, token } });
    }),
  );

  const letIn: Readonly<Record<Door, (it: Here) => Promise<unknown>>> = {
    "sign-in": async (it) => {
      const values = accountInput.parse(it.body);
      const problems = problemsOf({
        mail: mailProblem(values.mail),
        password: values.password === "" ? "Please write your password." : undefined,
      });
      if (problems.size) return showDoor(it, 422, { door: "sign-in", values, problems });
      const { response, request } = it;
      const done = await signInShopper(shopOf(response).id, values.mail, values.password, placeOfAsker(request));
      if (!done.ok) return showDoor(it, 403, { door: "sign-in", values, said: done.why });
      return enter(it, done.shopper, values.to);
    },
    register: async (it) => {
      const values = accountInput.parse(it.body);
      const problems = problemsOf({ name: nameProblem(values.name), mail: mailProblem(values.mail) });
      if (problems.size) return showDoor(it, 422, { door: "register", values, problems });
      askForLink(shopOf(it.response).id, "register", values, placeOfAsker(it.request), letterFrom(it));
      return showDoor(it, 200, { door: "register", values, isSent: true });
    },
    forgotten: async (it) => {
      const values = accountInput.parse(it.body);
      const problems = problemsOf({ mail: mailProblem(values.mail) });
      if (problems.size) return showDoor(it, 422, { door: "forgotten", values, problems });
      askForLink(shopOf(it.response).id, "forgotten", values, placeOfAsker(it.request), letterFrom(it));
      return showDoor(it, 200, { door: "forgotten", values, isSent: true });
    },
    password: async (it) => {
      const { response, request } = it;
      const { token, password } = accountInput.parse(it.body);
      const link = await linkSays(shopOf(response).id, token);
      const old = { door: "forgotten", said: "This link is no longer good. Ask for a new one." } as const;
      if (link?.does !== "open") return showDoor(it, 410, old);
      const values = { ...accountInput.parse(link), token };
      const problems = problemsOf({ password: passwordProblem(password, link) });
      if (problems.size) return showDoor(it, 422, { door: "password", values, problems });
      const done = await openAccount(shopOf(response).id, token, password, placeOfAsker(request));
      if (!done.ok) return showDoor(it, 410, { ...old, said: done.why });
      return enter(it, done.shopper, ACCOUNT);
    },
  };
  for (const [door, address] of Object.entries(ADDRESS_OF_DOOR) as [Door, string][])
    router.post(address, form, guard, here(letIn[door]));

  router.post(
    "/account/sign-out",
    guard,
    here(async ({ request, response }) => {
      await closeShopperSession(sessionOf(request, response));
      setSession(request, response, undefined);
      // The address that was said for delivery is theirs, and not of whoever comes after them.
      response.append("Set-Cookie", "place=; HttpOnly; Path=/; SameSite=Lax; Max-Age=0");
      go(response, "/");
    }),
  );
  return router;
}
