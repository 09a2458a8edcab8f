import type { PageDocument, Part } from "~/core/document";
import type { Answer, FieldSort } from "~/core/form";
import type { LetterInput } from "~/core/mail";
import { makeNode } from "~/kinds";
import { pageDocument, type Shop } from "../shops/index.server";
import { FormEntry, SignUp } from "../database/index.server";
import { join, keepLetter, setLetter, takeEntry } from "../mail/index.server";

const ask = (sort: FieldSort, label: string, more: Part["props"] = {}, span = "full"): Part =>
  makeNode("form-field", { sort, label, required: true, ...more }, { style: { all: { span } } });

const CONTACT = "demo-contact";
const CUSTOM = "demo-custom";

function customFields(): Part[] {
  const flies = ask("choice", "Who will fly it?", {
    options: "A child\nA beginner\nSomebody who has flown before",
    shows: "buttons",
  });
  return [
    ask("line", "Your name", {}, "half"),
    ask("mail", "Your mail address", {}, "half"),
    flies,
    ask("line", "How old is the child?", { when: { field: flies.id, how: "is", value: "A child" } }, "half"),
    ask("text", "What should it look like?"),
    ask("file", "A drawing, if there is one", { required: false, takes: "pictures" }),
    ask("date", "By which day?", { required: false, dates: "coming" }, "half"),
    ask("consent", "Write to me now and then, when something new is on the bench", { required: false, list: "News" }),
  ];
}

/** Pages of the demo shop on which shoppers write to it. */
export function demoForms(picture: (name: string) => string): Readonly<Record<string, PageDocument>> {
  const form = (id: string, props: Part["props"], answers: readonly Part[]): Part => ({
    ...makeNode("form", props),
    id,
    slots: { answers },
  });
  return {
    contact: pageDocument("contact", "Write to us", [
      form(
        CONTACT,
        {
          arrangement: "picture",
          name: "Contact",
          heading: "Write to us",
          text: "One of us reads it, usually before the wind gets up.",
          picture: picture("workshop-bench.webp"),
          thanks: "It is on our bench",
          thanksText: "You hear from us within two working days, sooner when it rains.",
        },
        [
          ask("line", "Your name", {}, "half"),
          ask("mail", "Your mail address", {}, "half"),
          ask("choice", "What is it about?", {
            options: "An order\nA repair\nWhich kite to choose\nSomething else",
            shows: "list",
          }),
          ask("text", "Your message"),
        ],
      ),
    ]),
    custom: pageDocument("custom", "A kite of your own", [
      form(
        CUSTOM,
        {
          arrangement: "beside",
          name: "Kites to order",
          heading: "A kite of your own",
          text: "We make about twenty a year that are nobody else’s. Tell us what you have in mind; a drawing on a napkin is fine.",
          button: "Ask us to make it",
          thanks: "Thank you",
          thanksText: "We think about it, and write to you with a sketch and a price.",
        },
        customFields(),
      ),
    ]),
  };
}

const answer = (label: string, text: string, sort: FieldSort = "line"): Answer => ({ field: label, label, sort, text });

const MESSAGES: readonly {
  readonly form: string;
  readonly name: string;
  readonly answers: readonly Answer[];
  readonly days: number;
  readonly state?: "read" | "done";
  readonly isSpam?: true;
}[] = [
  {
    form: CUSTOM,
    name: "Kites to order",
    days: 0.2,
    answers: [
      answer("Your name", "Oda Brennick"),
      answer("Your mail address", "oda@brennick.example", "mail"),
      answer("Who will fly it?", "A child", "choice"),
      answer("How old is the child?", "Seven, and strong"),
      answer(
        "What should it look like?",
        "A heron, please, with legs that trail. He has drawn one, but the dog has eaten half of it.",
        "text",
      ),
    ],
  },
  {
    form: CONTACT,
    name: "Contact",
    days: 0.6,
    answers: [
      answer("Your name", "Per Alvestad"),
      answer("Your mail address", "per@alvestad.example", "mail"),
      answer("What is it about?", "A repair", "choice"),
      answer("Your message", "The leading edge of my Skua has met a fence. Is the spar 6 mm or 8 mm?", "text"),
    ],
  },
  {
    form: CONTACT,
    name: "Contact",
    days: 2,
    state: "read",
    answers: [
      answer("Your name", "Junia Tarrow"),
      answer("Your mail address", "junia@tarrow.example", "mail"),
      answer("What is it about?", "Which kite to choose", "choice"),
      answer("Your message", "We are on a lake with light wind, rarely more than two. What would you take?", "text"),
    ],
  },
  {
    form: CONTACT,
    name: "Contact",
    days: 6,
    state: "done",
    answers: [
      answer("Your name", "Wim Ostrander"),
      answer("Your mail address", "wim@ostrander.example", "mail"),
      answer("What is it about?", "An order", "choice"),
      answer("Your message", "It flies! Thank you for the extra bow tie.", "text"),
    ],
  },
  {
    form: CONTACT,
    name: "Contact",
    days: 3,
    isSpam: true,
    answers: [
      answer("Your name", "Best Offers"),
      answer("Your mail address", "offers@cheap.example", "mail"),
      answer("Your message", "https://a.example https://b.example https://c.example https://d.example", "text"),
    ],
  },
];

const SIGNED_UP: readonly string[] = [
  "maris@ansel.example",
  "tove@lindqvist.example",
  "p.okafor@post.example",
  "harbour.school@county.example",
  "ida.wren@mail.example",
  "cormac@duneside.example",
  "reel.and.line@club.example",
];

const LETTERS: readonly LetterInput[] = [
  {
    sort: "thanks",
    list: "News",
    day: 0,
    subject: "Good wind, and welcome",
    blocks: [
      { sort: "heading", text: "Good that you are here" },
      {
        sort: "words",
        text: "We write four or five times a year: when something new has flown well, and when the good cloth has come in.\n\nInes and Tam",
      },
    ],
  },
  {
    sort: "follow",
    list: "News",
    day: 5,
    subject: "Which kite for which wind",
    blocks: [
      { sort: "heading", text: "Look at the branches first" },
      {
        sort: "words",
        text: "If small branches move, almost anything flies. If only leaves do, take something with a lot of cloth and little weight.",
      },
    ],
  },
];

/** Invented messages, sign-ups and letters. */
export async function fillMail(
  shop: Shop,
  shopName: string,
  letter: Pick<LetterInput, "subject" | "blocks">,
): Promise<void> {
  const now = Date.now();
  for (const { form, name, answers, days, state, isSpam = false } of MESSAGES) {
    const at = now - days * 86_400_000;
    await takeEntry(
      shop,
      {
        form,
        formName: name,
        page: form === CONTACT ? "Write to us" : "A kite of your own",
        answers,
        files: [],
        isSpam,
        keepDays: 0,
        notify: false,
        shopName,
      },
      at,
    );
    if (state) await FormEntry.update({ state }, { where: { shopId: shop.id, createdAt: new Date(at) } });
  }
  for (const [i, address] of SIGNED_UP.entries())
    await join(shop.id, "News", address, "/", now - (60 - i * 7) * 86_400_000);
  await SignUp.update({ state: "off", offAt: new Date(now) }, { where: { shopId: shop.id, address: SIGNED_UP[2]! } });
  for (const each of LETTERS) {
    const kept = await keepLetter(shop.id, each);
    if (kept.ok) await setLetter(shop.id, kept.id, "on");
  }
  await keepLetter(shop.id, { sort: "once", list: "News", day: 0, ...letter });
}
