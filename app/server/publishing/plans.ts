import { Op, type Transaction } from "sequelize";
import { entryOf, LOOK_PART, newId, publishable, withParts, type Draft } from "~/core/document";
import { publishingProblem } from "~/kinds/together";
import { atomically, lockState, PlannedPublication } from "../database/index.server";
import { forgetShops } from "../shops/index.server";
import { changedBetween, pendingIn, publishedDraft, putOut, readStored } from "./publications";

/** The most that is planned at once, and the furthest ahead, in ms. */
const MOST_PLANS = 20;
const FURTHEST = 2 * 365 * 86_400_000;
/** How long a plan is listed after its time. */
const LISTED_MS = 7 * 86_400_000;

/** What goes out of a shop at a set time, by name. */
type PlannedPart = { readonly part: string; readonly name: string };

export type Plan = {
  readonly id: string;
  /** `back`: what went out goes back to what it was before. */
  readonly what: "publish" | "back";
  /** ISO 8601. */
  readonly at: string;
  readonly back: string | null;
  readonly parts: readonly string[];
  /** `why`: what became of it, where it could not be done or nothing was left to do. */
  readonly state: "waiting" | "done" | "failed";
  readonly why: string | null;
};

export type Planned =
  | { readonly ok: true }
  | { readonly ok: false; readonly code: "moved-on" | "nothing" }
  /** `field`: what was given that can't be. */
  | { readonly ok: false; readonly code: "refused"; readonly field: "at" | "back" | ""; readonly why: string };

const no = (field: "at" | "back" | "", why: string): Planned => ({ ok: false, code: "refused", field, why });

/**
 * Plans that a draft as it was at `seq` goes out at a set time: what it is now, whatever is changed until then.
 * @param parts what goes out of it; absent: all that differs from what shoppers see
 * @param back when all of that is to be as it was before again; null: it stays. Moments are ms since 1970
 */
export const planPublication = (
  shopId: string,
  seq: number,
  parts: readonly string[] | undefined,
  at: number,
  back: number | null,
  now = Date.now(),
): Promise<Planned> =>
  atomically(async (transaction): Promise<Planned> => {
    if (at <= now) return no("at", "That time has passed. Choose a later one.");
    if (at - now > FURTHEST) return no("at", "That is more than two years ahead.");
    if (back !== null && back <= at) return no("back", "It can only go back after it has gone out.");
    if (back !== null && back - now > FURTHEST) return no("back", "That is more than two years ahead.");
    const state = await lockState(shopId, "publication", transaction);
    const waiting = await PlannedPublication.count({ where: { shopId, doneAt: null }, transaction });
    if (waiting >= MOST_PLANS) return no("", `${MOST_PLANS} publications are planned already. Take one back first.`);
    const pending = await pendingIn(shopId, state.pointer, transaction);
    if (pending.seq !== seq) return { ok: false, code: "moved-on" };
    if (pending.blocked !== undefined) return no("", pending.blocked);
    if (back !== null && !pending.before) return no("back", "A shop that opens can be closed again in “All pages”.");
    const isChosen = (part: string) => !parts || parts.includes(part);
    const changed = [...new Set(pending.changes.map((c) => c.part))].filter(isChosen);
    if (changed.length === 0) return { ok: false, code: "nothing" };
    if (pending.before) {
      const problem = publishingProblem(withParts(pending.before, pending.draft, new Set(changed)));
      if (problem) return no("", problem);
    }
    await keepPlan(
      {
        shopId,
        what: "publish",
        at,
        back,
        parts: namedParts(changed, pending.draft, pending.before),
        body: pending.draft,
      },
      transaction,
    );
    return { ok: true };
  });

const namedParts = (parts: readonly string[], after: Draft, before: Draft | undefined): readonly PlannedPart[] =>
  parts.map((part) => ({
    part,
    name:
      part === LOOK_PART
        ? "Brand"
        : ((entryOf(after.documents, part) ?? entryOf(before?.documents, part))?.title ?? part),
  }));

type NewPlan = {
  readonly shopId: string;
  readonly what: Plan["what"];
  readonly at: number;
  readonly back: number | null;
  readonly parts: readonly PlannedPart[];
  readonly body: Draft;
};

async function keepPlan({ shopId, what, at, back, parts, body }: NewPlan, transaction: Transaction): Promise<void> {
  await PlannedPublication.create(
    {
      id: newId(),
      shopId,
      what,
      dueAt: new Date(at),
      backAt: back === null ? null : new Date(back),
      parts: JSON.stringify(parts),
      body: JSON.stringify(publishable(body)),
      doneAt: null,
      why: null,
      createdAt: new Date(),
    },
    { transaction },
  );
}

/** What is planned for a shop, the next first, and what became of plans of the last days. */
export async function plansOf(shopId: string, now = Date.now()): Promise<readonly Plan[]> {
  const rows = await PlannedPublication.findAll({
    where: { shopId, [Op.or]: [{ doneAt: null }, { doneAt: { [Op.gt]: new Date(now - LISTED_MS) } }] },
    attributes: { exclude: ["body"] },
    order: [["dueAt", "ASC"]],
  });
  return rows.map((row) => ({
    id: row.id,
    what: row.what === "back" ? "back" : "publish",
    at: row.dueAt.toISOString(),
    back: row.backAt?.toISOString() ?? null,
    parts: (JSON.parse(row.parts) as readonly PlannedPart[]).map((each) => each.name),
    state: row.doneAt === null ? "waiting" : row.why === null ? "done" : "failed",
    why: row.why,
  }));
}

/** Takes a plan back, or lets go of one that is done. */
export const dropPlan = async (shopId: string, id: string): Promise<boolean> =>
  (await PlannedPublication.destroy({ where: { shopId, id } })) > 0;

/**
 * Does what has come due. It can be asked as often as one likes, and by several processes at once: a plan is carried out once, with the
 * publication that it makes. What could not be done because the database was away is done the next time.
 * @returns how many plans were carried out
 */
export async function carryOutDue(now = Date.now()): Promise<number> {
  const due = await PlannedPublication.findAll({
    where: { doneAt: null, dueAt: { [Op.lte]: new Date(now) } },
    attributes: ["id", "shopId"],
    order: [["dueAt", "ASC"]],
    limit: 50,
  });
  let done = 0;
  for (const { id, shopId } of due) {
    if (await atomically((transaction) => carryOut(shopId, id, transaction))) done++;
  }
  if (done) forgetShops();
  return done;
}

async function carryOut(shopId: string, id: string, transaction: Transaction): Promise<boolean> {
  const state = await lockState(shopId, "publication", transaction);
  const plan = await PlannedPublication.findByPk(id, { transaction, lock: true });
  // Somebody else was faster, or it was taken back.
  if (!plan || plan.doneAt !== null) return false;
  const finish = (why: string | null) => plan.update({ doneAt: new Date(), why }, { transaction });
  const before = state.pointer ? await publishedDraft(state.pointer, transaction) : undefined;
  const wanted = readStored(plan.body, `plan ${id}`);
  const parts = JSON.parse(plan.parts) as readonly PlannedPart[];
  const after = before ? withParts(before, wanted, new Set(parts.map((p) => p.part))) : wanted;
  const problem = before && publishingProblem(after);
  const changes = changedBetween(before, after);
  if (problem !== undefined) await finish(problem);
  else if (changes.length === 0) await finish("Nothing was left to change by then.");
  else {
    await putOut(shopId, state, before, after, changes, transaction);
    if (plan.backAt && before)
      await keepPlan({ shopId, what: "back", at: plan.backAt.getTime(), back: null, parts, body: before }, transaction);
    await finish(null);
    return true;
  }
  return false;
}
