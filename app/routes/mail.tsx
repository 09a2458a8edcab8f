import { requireShop } from "~/server/http/guard.server";
import { mailFacts } from "~/server/mail/index.server";
import { MailArea } from "~/studio/mail";
import type { Route } from "./+types/mail";

export async function loader({ request, params }: Route.LoaderArgs) {
  const { shop } = await requireShop(request, params.shop);
  return mailFacts(shop.id);
}

export default function Mail({ loaderData }: Route.ComponentProps) {
  return <MailArea facts={loaderData} />;
}
