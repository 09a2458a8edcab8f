import { useCallback, useState } from "react";
import { useOutletContext, useRevalidator } from "react-router";
import type { MailFacts, MailRequest } from "~/core/mail";
import { changeMail } from "~/core/protocol";
import type { Reply } from "../client";
import { useStudio, useStudioStore } from "../keeping";

export const useMail = (): MailFacts => useOutletContext<MailFacts>();

export type MailReply = Reply<{
  readonly ok: true;
  readonly id?: string | undefined;
  readonly version?: number | undefined;
}>;

/** Sends a change of Mail and loads what it made of it; what went wrong is said, unless it has a place of its own. */
export function useMailChange(): {
  readonly send: (change: MailRequest, good?: string, quiet?: boolean) => Promise<MailReply>;
  readonly isBusy: boolean;
} {
  const client = useStudio((s) => s.client);
  const store = useStudioStore();
  const { revalidate } = useRevalidator();
  const [busy, setBusy] = useState(0);
  const send = useCallback(
    async (change: MailRequest, good?: string, quiet = false): Promise<MailReply> => {
      setBusy((n) => n + 1);
      try {
        const answer = await client.ask(changeMail, change);
        const { say } = store.getState();
        if (!answer.ok && !quiet) say(answer.problems[0]?.why ?? answer.why, "problem");
        if (answer.ok && good) say(good);
        if (answer.ok) await revalidate();
        return answer;
      } finally {
        setBusy((n) => n - 1);
      }
    },
    [client, store, revalidate],
  );
  return { send, isBusy: busy > 0 };
}
