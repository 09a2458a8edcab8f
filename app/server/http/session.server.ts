import { redirect } from "react-router";
import { deviceCookie, deviceSecret, openSession, rememberDevice, sessionCookie } from "../accounts/index.server";

/** Opens a session for an owner who has shown who they are, in the browser that asks, and sends it on. */
export async function enter(request: Request, from: string, ownerId: string, to: string): Promise<Response> {
  const cookies = request.headers.get("Cookie");
  const isSecure = new URL(request.url).protocol === "https:";
  const agent = request.headers.get("User-Agent") ?? "";
  const secret = await openSession(ownerId, { place: from, agent });
  const device = await rememberDevice(ownerId, deviceSecret(cookies));
  const headers = new Headers();
  headers.append("Set-Cookie", sessionCookie(secret, isSecure));
  headers.append("Set-Cookie", deviceCookie(device, isSecure));
  return redirect(to, { headers });
}
