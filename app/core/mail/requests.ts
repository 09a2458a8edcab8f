import { z } from "zod";
import { ENTRY_STATES, type MailEntry } from "./entries";
import { letterSchema, listName, type Letter, type MailList, type Subscriber } from "./letters";

const id = z.string().min(1).max(40);
const ids = z.array(id).min(1).max(500);

/** Everything that can be changed in Mail, by what is meant. */
export const mailChange = z.discriminatedUnion("intent", [
  z.strictObject({ intent: z.literal("mark"), ids, state: z.enum(ENTRY_STATES) }),
  z.strictObject({ intent: z.literal("remove"), ids }),
  z.strictObject({
    intent: z.literal("reply"),
    id,
    text: z.string().trim().min(1, "Write your answer first.").max(10_000, "Keep it to 10,000 characters."),
  }),
  z.strictObject({ intent: z.literal("confirms"), on: z.boolean() }),
  z.strictObject({
    intent: z.literal("forget"),
    list: listName,
    addresses: z.array(z.string().max(254)).min(1).max(500),
  }),
  z.strictObject({
    intent: z.literal("letter"),
    letter: letterSchema,
    known: z.strictObject({ id, version: z.number().int().min(0) }).optional(),
  }),
  z.strictObject({ intent: z.literal("set-letter"), id, to: z.enum(["on", "draft", "sending"]) }),
  z.strictObject({ intent: z.literal("remove-letter"), id }),
  z.strictObject({ intent: z.literal("trial"), id }),
]);
export type MailRequest = z.infer<typeof mailChange>;

/** Which messages are asked for. `skip`: how many of them are there already. */
export const messagesAsked = z.strictObject({
  state: z.enum(["open", "done", "spam"]),
  form: z.string().max(160),
  find: z.string().max(120),
  skip: z.coerce.number().int().min(0).max(20_000),
});
export type MessagesAsked = z.infer<typeof messagesAsked>;

/** Messages of one sort, and how many there are in all. */
export type Messages = { readonly entries: readonly MailEntry[]; readonly total: number };

/** What Mail shows before anything is asked for. */
export type MailFacts = {
  readonly counts: Readonly<Record<"new" | "open" | "done" | "spam", number>>;
  readonly forms: readonly string[];
  readonly lists: readonly MailList[];
  readonly letters: readonly Letter[];
  readonly confirmsByMail: boolean;
};

export type People = { readonly people: readonly Subscriber[] };
