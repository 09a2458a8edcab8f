import { redirect } from "react-router";
import { closeSession, endedCookie, sessionSecret } from "~/server/accounts/index.server";
import type { Route } from "./+types/sign-out";

export async function action({ request }: Route.ActionArgs) {
  const secret = sessionSecret(request.headers.get("Cookie"));
  if (secret) await closeSession(secret);
  throw redirect("/sign-in", { headers: { "Set-Cookie": endedCookie } });
}

export const loader = () => redirect("/");
