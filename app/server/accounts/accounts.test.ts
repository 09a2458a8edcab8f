import { describe, expect, it } from "vitest";
import { config } from "../config/index.server";
import { NewPassword, Owner, Session } from "../database/index.server";
import { letters } from "../fixtures/letters";
import { ownerWithShop } from "../fixtures/owner";
import { placeOf, waitAfter } from "../limits/index.server";
import {
  askForPassword,
  changePassword,
  choosePassword,
  closeSession,
  createAccount,
  endSession,
  openSession,
  ownerOfSession,
  rememberDevice,
  sessionSecret,
  sessionsOf,
  signIn,
} from "./index.server";

const letterTo = async (address: string) =>
  (await letters()).find((letter) => letter.to?.some((to) => to.address === address));

describe("an account", () => {
  it("keeps its password as an Argon2id hash only", async () => {
    const { ownerId, password } = await ownerWithShop();
    const owner = await Owner.findByPk(ownerId);
    // RFC 9106 names the algorithm and the version (0x13 = 19) in the encoded form.
    expect(owner!.password).toMatch(/^\$argon2id\$v=19\$/);
    expect(owner!.password).not.toContain(password);
  });

  it("exists once for each address, however it is written", async () => {
    const { address } = await ownerWithShop();
    expect(
      await createAccount({ name: "Other", address: address.toUpperCase(), password: "another password" }),
    ).toMatchObject({ ok: false });
  });
});

const WRONG = { ok: false, why: "The address or the password is wrong." };
const SLOW = { ok: false, why: expect.stringMatching(/^Too many tries\. Wait \d+ (?:seconds|minutes)/) as string };
let places = 0;
/** A place from which nobody has tried yet. */
const place = () => `192.0.2.${++places}`;

describe("signing in", () => {
  it("works with the right password and says the same for a wrong one and a wrong address", async () => {
    const { address, password, ownerId } = await ownerWithShop();
    const from = place();
    expect(await signIn(` ${address.toUpperCase()} `, password, from)).toMatchObject({
      ok: true,
      owner: { id: ownerId },
    });
    expect(await signIn(address, "not the password", from)).toEqual(WRONG);
    expect(await signIn("nobody@shop.example", password, from)).toEqual(WRONG);
  });

  it("slows down after five failed tries, even with the right password, and forgets after a success", async () => {
    const { address, password } = await ownerWithShop();
    const [start, from] = [Date.now(), place()];
    for (let i = 0; i < 5; i++) expect(await signIn(address, "wrong", from, undefined, start)).toEqual(WRONG);
    expect(await signIn(address, password, from, undefined, start)).toEqual(SLOW);
    expect(await signIn(address, password, from, undefined, start + 60_000)).toMatchObject({ ok: true });
    expect(await signIn(address, "wrong", from, undefined, start + 60_000)).toEqual(WRONG);
  });

  it("is not made quicker by spelling the address otherwise", async () => {
    const { address } = await ownerWithShop();
    const now = Date.now();
    const spellings = [
      address,
      address.toUpperCase(),
      `\u200b${address}`,
      address.replace("o", "\u00ad o"),
      `${address} `,
    ];
    for (const spelling of spellings) await signIn(spelling, "wrong", place(), undefined, now);
    expect(await signIn(`\u2060${address}`, "wrong", place(), undefined, now)).toEqual(SLOW);
  });

  it("takes no other spelling for the address that the database takes for the same", async () => {
    const { address, password } = await ownerWithShop();
    expect(await signIn(address.replace("owner", "\u00f6wner"), password, place())).toEqual(WRONG);
  });

  it("is not made quicker by asking many times at once", async () => {
    const { address } = await ownerWithShop();
    const now = Date.now();
    const all = await Promise.all(Array.from({ length: 30 }, () => signIn(address, "wrong", place(), undefined, now)));
    expect(all.filter((r) => !r.ok && r.why === WRONG.why)).toHaveLength(5);
  });

  it("is counted for a place as well, and signing in to an account of one's own does not clear that", async () => {
    const own = await ownerWithShop();
    const [from, now] = [place(), Date.now()];
    for (let i = 0; i < 30; i++) {
      expect(await signIn(`nobody-${i}@shop.example`, "wrong", from, undefined, now)).toEqual(WRONG);
      if (i % 5 === 0)
        expect(await signIn(own.address, own.password, from, undefined, now)).toMatchObject({ ok: true });
    }
    expect(await signIn("nobody@shop.example", "wrong", from, undefined, now)).toEqual(SLOW);
  });

  it("lets an owner in from a browser that they have used before, whatever strangers try", async () => {
    const { address, password, ownerId } = await ownerWithShop();
    const device = await rememberDevice(ownerId, undefined);
    const now = Date.now();
    for (let i = 0; i < 12; i++) await signIn(address, "wrong", place(), undefined, now);
    expect(await signIn(address, password, place(), undefined, now)).toEqual(SLOW);
    expect(await signIn(address, password, place(), "made up and long enough", now)).toEqual(SLOW);
    expect(await signIn(address, password, place(), device, now)).toMatchObject({ ok: true });
    // Of another account, it is a browser like any other.
    const other = await ownerWithShop();
    for (let i = 0; i < 6; i++) await signIn(other.address, "wrong", place(), device, now);
    expect(await signIn(other.address, other.password, place(), device, now)).toEqual(SLOW);
  });

  it("waits longer each time, up to a quarter of an hour", () =>
    expect([0, 4, 5, 6, 9, 30].map((n) => waitAfter(n, 5))).toEqual([0, 0, 2, 4, 32, 900]));
});

describe("a place", () => {
  it.each([
    ["192.0.2.7", "192.0.2.7"],
    ["::ffff:192.0.2.7", "192.0.2.7"],
    ["2001:db8:1:2:3:4:5:6", "2001:db8:1:2"],
    ["2001:DB8:0001:2::9", "2001:db8:1:2"],
    ["2001:db8::1", "2001:db8:0:0"],
    ["::1", "0:0:0:0"],
    ["fe80::1%eth0", "fe80:0:0:0"],
  ])("of %s is %s", (ip, expected) => expect(placeOf(ip)).toBe(expected));
});

describe("making accounts", () => {
  it("goes so often from one place in an hour, and not from others for that", async () => {
    const most = config().accountsPerHour;
    const make = (from: string) =>
      createAccount(
        { name: "A", address: `many-${++places}-${Date.now()}@shop.example`, password: "long enough" },
        from,
      );
    const from = place();
    for (let i = 0; i < most; i++) expect(await make(from)).toMatchObject({ ok: true });
    expect(await make(from)).toMatchObject({ ok: false, why: expect.stringContaining("in an hour") as string });
    expect(await make(place())).toMatchObject({ ok: true });
  }, 60_000);
});

describe("a password", () => {
  it("is changed by whoever knows it, and ends all other sessions", async () => {
    const { ownerId, address, password } = await ownerWithShop();
    const [here, there] = [await openSession(ownerId), await openSession(ownerId)];
    expect(await changePassword(ownerId, { current: "wrong", password: "another long one" }, here)).toMatchObject({
      ok: false,
      field: "current",
    });
    expect(await changePassword(ownerId, { current: password, password: "another long one" }, here)).toEqual({
      ok: true,
    });
    expect(await ownerOfSession(here)).toBeDefined();
    expect(await ownerOfSession(there)).toBeUndefined();
    expect(await signIn(address, "another long one", place())).toMatchObject({ ok: true });
    expect(await signIn(address, password, place())).toEqual(WRONG);
  });

  it("that is forgotten is chosen anew with the link from a letter, once; all sessions end", async () => {
    const { ownerId, address } = await ownerWithShop();
    const session = await openSession(ownerId);
    await (
      await askForPassword(address.toUpperCase(), place())
    ).done;
    const letter = await letterTo(address);
    expect(letter?.subject).toBe("A new password for Zest Window");
    const token = /new-password\?token=([\w-]+)/.exec(letter?.text ?? "")?.[1] ?? "";
    // The database has only its hash.
    expect(await NewPassword.count({ where: { id: token } })).toBe(0);
    expect(await choosePassword({ token: `${token}x`, password: "a new long one" }, place())).toMatchObject({
      ok: false,
    });
    expect(await choosePassword({ token, password: "a new long one" }, place())).toMatchObject({ ok: true });
    expect(await ownerOfSession(session)).toBeUndefined();
    expect(await signIn(address, "a new long one", place())).toMatchObject({ ok: true });
    expect(await choosePassword({ token, password: "and one more long one" }, place())).toMatchObject({ ok: false });
  });

  it("can't be chosen with a link that is too old", async () => {
    const { address, ownerId } = await ownerWithShop();
    await (
      await askForPassword(address, place())
    ).done;
    const token = /token=([\w-]+)/.exec((await letterTo(address))!.text!)![1]!;
    await NewPassword.update({ expiresAt: new Date(Date.now() - 1) }, { where: { ownerId } });
    expect(await choosePassword({ token, password: "a new long one" }, place())).toMatchObject({ ok: false });
  });

  it("is asked for without a word on whether there is such an account, and only so often", async () => {
    const { address } = await ownerWithShop();
    await (
      await askForPassword("nobody-at-all@shop.example", place())
    ).done;
    expect(await letterTo("nobody-at-all@shop.example")).toBeUndefined();
    for (let i = 0; i < 8; i++) await (await askForPassword(address, place())).done;
    expect((await letters()).filter((l) => l.to?.[0]?.address === address)).toHaveLength(4);
  });
});

describe("the sessions of an account", () => {
  it("are listed with what tells them apart, ended one by one, and by nobody else", async () => {
    const [mine, other] = [await ownerWithShop(), await ownerWithShop()];
    const here = await openSession(mine.ownerId, { place: "192.0.2.1", agent: "Firefox/1" });
    const there = await openSession(mine.ownerId, { place: "192.0.2.2", agent: "x".repeat(500) });
    const list = await sessionsOf(mine.ownerId, here);
    expect(list).toMatchObject([{ isThis: true, place: "192.0.2.1", agent: "Firefox/1" }, { isThis: false }]);
    // What is shown opens nothing.
    expect(await ownerOfSession(list[1]!.id)).toBeUndefined();
    expect(await endSession(other.ownerId, list[1]!.id)).toBe(false);
    expect(await endSession(mine.ownerId, "%")).toBe(false);
    expect(await ownerOfSession(there)).toBeDefined();
    expect(await endSession(mine.ownerId, list[1]!.id)).toBe(true);
    expect(await ownerOfSession(there)).toBeUndefined();
    expect(await ownerOfSession(here)).toBeDefined();
  });

  it("are no more than anybody has", async () => {
    const { ownerId } = await ownerWithShop();
    const first = await openSession(ownerId);
    await Session.update({ seenAt: new Date(0) }, { where: { ownerId } });
    for (let i = 0; i < 51; i++) await openSession(ownerId);
    expect(await Session.count({ where: { ownerId } })).toBe(50);
    expect(await ownerOfSession(first)).toBeUndefined();
  });
});

describe("a session", () => {
  it("is known by its secret, which the database does not have, and ends", async () => {
    const { ownerId } = await ownerWithShop();
    const secret = await openSession(ownerId);
    expect(await ownerOfSession(secret)).toMatchObject({ id: ownerId });
    expect(await Session.count({ where: { id: secret } })).toBe(0);
    await closeSession(secret);
    expect(await ownerOfSession(secret)).toBeUndefined();
    expect(await ownerOfSession("made up and long enough to look right")).toBeUndefined();
  });

  it("is too old after its time", async () => {
    const { ownerId } = await ownerWithShop();
    const secret = await openSession(ownerId);
    await Session.update({ expiresAt: new Date(Date.now() - 1000) }, { where: { ownerId } });
    expect(await ownerOfSession(secret)).toBeUndefined();
  });

  it.each([
    ["zest_session=abcdefghijklmnopqrstuvwxyz", "abcdefghijklmnopqrstuvwxyz"],
    ["a=b; zest_session=abcdefghijklmnopqrstuvwxyz; c=d", "abcdefghijklmnopqrstuvwxyz"],
    ["other_zest_session=abcdefghijklmnopqrstuvwxyz", undefined],
    ["zest_session=<script>", undefined],
    [null, undefined],
  ])("is found in cookies: %s", (cookies, secret) => expect(sessionSecret(cookies)).toBe(secret));
});
