import { changeMail } from "~/core/protocol";
import { loadDraft } from "~/server/drafts/index.server";
import { requireShop } from "~/server/http/guard.server";
import { orSayTrouble } from "~/server/http/trouble.server";
import {
  forgetPeople,
  keepLetter,
  markEntries,
  removeEntries,
  removeLetter,
  replyTo,
  sendTrial,
  setConfirmsByMail,
  setLetter,
} from "~/server/mail/index.server";
import { ownerAddress } from "~/server/accounts/index.server";
import { letterContent } from "~/server/storefront/index.server";
import type { Route } from "./+types/mail-change";

const refused = (why: string, status = 422) => Response.json({ why }, { status });
const done = () => Response.json({ ok: true });

/** Changes something of Mail. */
export const action = orSayTrouble(async ({ request, params }: Route.ActionArgs) => {
  const { shop, owner } = await requireShop(request, params.shop);
  const asked = changeMail.input.safeParse(await request.json().catch(() => undefined));
  if (!asked.success) {
    const problems = asked.error.issues.map(({ path, message }) => ({ path: path.join("."), why: message }));
    return Response.json({ problems }, { status: 422 });
  }
  const { data } = asked;
  switch (data.intent) {
    case "mark":
      await markEntries(shop.id, data.ids, data.state);
      return done();
    case "remove":
      await removeEntries(shop.id, data.ids);
      return done();
    case "reply": {
      const { name, mail = "" } = (await loadDraft(shop.id)).draft.look.identity;
      const replied = await replyTo(shop, data.id, data.text, { name, address: mail });
      return replied.ok ? done() : refused(replied.why);
    }
    case "confirms":
      await setConfirmsByMail(shop.id, data.on);
      return done();
    case "forget":
      await forgetPeople(shop.id, data.list, data.addresses);
      return done();
    case "letter": {
      const kept = await keepLetter(shop.id, data.letter, data.known);
      if (kept.ok) return Response.json(kept);
      return refused(kept.why, { gone: 404, behind: 409, refused: 422 }[kept.code]);
    }
    case "set-letter": {
      if (data.to !== "draft" && !(await letterContent(shop.id)))
        return refused("Publish the shop first: letters are in its look, and lead into it.");
      const set = await setLetter(shop.id, data.id, data.to);
      return set.ok ? done() : refused(set.why);
    }
    case "remove-letter":
      await removeLetter(shop.id, data.id);
      return done();
    case "trial": {
      const from = await letterContent(shop.id);
      if (!from) return refused("Publish the shop first: letters are in its look, and lead into it.");
      const sent = await sendTrial(shop, data.id, await ownerAddress(owner.id), from.content);
      return sent.ok ? done() : refused(sent.why);
    }
  }
});
