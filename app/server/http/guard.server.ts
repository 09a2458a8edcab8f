import { redirect } from "react-router";
import { ownerOfSession, sessionSecret, type OwnerIdentity } from "../accounts/index.server";
import { shopOrigin } from "../config/index.server";
import { troubleOf } from "./trouble.server";
import { shopOf, type Shop } from "../shops/index.server";

/** Says that the database can't be reached, where that is what is wrong. */
function sayLater(error: unknown): never {
  const trouble = troubleOf(error);
  if (!trouble) throw error;
  throw trouble;
}

/** Who asks; sends strangers to the sign-in page, and back here afterwards. */
export async function requireOwner(request: Request): Promise<OwnerIdentity> {
  const secret = sessionSecret(request.headers.get("Cookie"));
  const owner = secret ? await ownerOfSession(secret).catch(sayLater) : undefined;
  if (owner) return owner;
  // A script that asks for data could make nothing of the sign-in page.
  const isForScript = request.headers.get("Accept") === "application/json";
  if (request.method !== "GET" || isForScript)
    throw new Response("You are signed out. Sign in again; what you changed is saved in this browser.", {
      status: 401,
    });
  const { pathname } = new URL(request.url);
  const back = pathname.replace(/\.data$/, "");
  throw redirect(back === "/" ? "/sign-in" : `/sign-in?to=${encodeURIComponent(back)}`);
}

/** The shop that an address names, if the asker owns it; anybody else's is answered like one that does not exist. */
export async function requireShop(request: Request, id: string): Promise<{ owner: OwnerIdentity; shop: Shop }> {
  const owner = await requireOwner(request);
  const shop = await shopOf(owner.id, id);
  if (!shop) throw new Response("It may have been removed, or it belongs to another account.", { status: 404 });
  return { owner, shop };
}

/** The address at which browsers see a shop. */
export const shopAddress = (shop: Pick<Shop, "host">): string => shopOrigin(shop.host);

/** Where to go after signing in: only ever a place on this origin. */
export const placeAfterSignIn = (wish: string | null): string => (wish && /^\/(?!\/)[\w\-/]*$/.test(wish) ? wish : "/");
