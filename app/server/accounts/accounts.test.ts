import { describe, expect, it } from "vitest";
import { Owner, Session } from "../database/index.server";
import { ownerWithShop } from "../fixtures/owner";
import {
  closeSession,
  createAccount,
  openSession,
  ownerOfSession,
  sessionSecret,
  signIn,
  waitAfter,
} from "./index.server";

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

describe("signing in", () => {
  it("works with the right password and says the same for a wrong one and a wrong address", async () => {
    const { address, password, ownerId } = await ownerWithShop();
    expect(await signIn(` ${address.toUpperCase()} `, password, "place-a")).toMatchObject({
      ok: true,
      owner: { id: ownerId },
    });
    const wrong = await signIn(address, "not the password", "place-a");
    const nobody = await signIn("nobody@shop.example", password, "place-a");
    expect(wrong).toEqual({ ok: false, why: "The address or the password is wrong." });
    expect(nobody).toEqual(wrong);
  });

  it("slows down after five failed tries, even with the right password, and forgets after a success", async () => {
    const { address, password } = await ownerWithShop();
    const start = Date.now();
    for (let i = 0; i < 5; i++) await signIn(address, "wrong", "place-b", start);
    expect(await signIn(address, password, "place-b", start)).toMatchObject({
      ok: false,
      why: expect.stringMatching(/^Too many tries\. Wait \d+ seconds/) as string,
    });
    expect(await signIn(address, password, "place-b", start + 60_000)).toMatchObject({ ok: true });
    expect(await signIn(address, "wrong", "place-b", start + 60_000)).toEqual({
      ok: false,
      why: "The address or the password is wrong.",
    });
  });

  it("waits longer each time, up to a quarter of an hour", () =>
    expect([0, 4, 5, 6, 9, 30].map(waitAfter)).toEqual([0, 0, 2, 4, 32, 900]));
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
