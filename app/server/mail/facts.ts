import type { MailFacts } from "~/core/mail";
import { messageCounts } from "./entries";
import { lettersOf } from "./letters";
import { confirmsByMail, listsOf } from "./lists";

/** What Mail shows of a shop before anything is asked for. */
export async function mailFacts(shopId: string): Promise<MailFacts> {
  const [messages, lists, letters, confirms] = await Promise.all([
    messageCounts(shopId),
    listsOf(shopId),
    lettersOf(shopId),
    confirmsByMail(shopId),
  ]);
  return { ...messages, lists, letters, confirmsByMail: confirms };
}
