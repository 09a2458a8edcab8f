import { columns, heading, point, question, reading, section, table, widget, words } from "../build";
import type { PageDesign } from "./design";

/** Pages that answer what shoppers ask, and what the law asks for. */
export const HELP_SHOPPERS: readonly PageDesign[] = [
  {
    id: "questions",
    name: "Questions",
    about: "What shoppers ask before they buy, answered.",
    purpose: "Help shoppers",
    synonyms: ["faq", "help", "answers", "support", "asked"],
    toBeChecked: true,
    build: (g) => [
      section(
        "text",
        { heading: "Questions", text: "What we are asked most. If yours is not here, write to us." },
        { align: "start", width: "narrow", spaceBottom: 2 },
      ),
      reading(
        [
          ...question("How do I order?", "Put what you like into the cart, and follow the steps from there."),
          ...question("How can I pay?", "[the ways to pay that you take]"),
          ...question(
            "When will it be here?",
            "Orders leave us within [how many] working days. Inside the country the parcel then takes [how many] days.",
          ),
          ...question(
            "Can I send something back?",
            "Yes, within [how many] days, unused. Write to us first, and we will tell you how.",
          ),
          ...question(
            `Can I see ${g.trade.things} before I buy?`,
            "If you want to see a detail more closely, ask us for another picture.",
          ),
          ...question("Do you make things to order?", "[whether and how you do]"),
        ],
        { spaceTop: 0 },
      ),
    ],
  },
  {
    id: "delivery",
    name: "Delivery and returns",
    about: "Costs, times, and how something comes back.",
    purpose: "Help shoppers",
    synonyms: ["shipping", "postage", "returns", "refund", "exchange", "delivery times", "costs"],
    toBeChecked: true,
    build: () => [
      section(
        "text",
        {
          heading: "Delivery and returns",
          text: "How it gets to you, and what to do if it is not right.",
        },
        { align: "start", width: "narrow", spaceBottom: 2 },
      ),
      reading(
        [
          heading("Delivery"),
          words("Orders leave us within [how many] working days. You get a mail with them when they do."),
          table([
            ["Where to", "How long", "What it costs"],
            ["Inside the country", "[how many] days", "[what it costs]"],
            ["Europe", "[how many] days", "[what it costs]"],
            ["Elsewhere", "[how many] days", "[what it costs]"],
          ]),
          heading("Returns"),
          words(
            "If something is not right, write to us within [how many] days of its arrival. Send it back unused, and we give you back what you paid for it.",
            "[who pays for the way back]",
          ),
          heading("If it arrives broken"),
          words("Send us a picture of it and of the parcel. We will find a way to put it right."),
        ],
        { spaceTop: 0 },
      ),
    ],
  },
  {
    id: "size-guide",
    name: "Size guide",
    about: "How to measure, and a table of sizes.",
    purpose: "Help shoppers",
    trades: ["clothes", "craft", "play", "old"],
    synonyms: ["sizes", "measurements", "fit", "chart", "dimensions"],
    toBeChecked: true,
    build: (g) => [
      section(
        "text",
        {
          heading: "Find your size",
          text: "Measure once, close to the body and without pulling. Between two sizes, take the larger one.",
        },
        { align: "start", spaceBottom: 2 },
      ),
      columns(
        [
          [45, [widget("picture", { picture: g.picture(0) })]],
          [
            55,
            [
              heading("How to measure", "3", { headSize: 2 }),
              words(
                "Chest: around the widest part, under the arms.",
                "Waist: where you bend when you lean to one side.",
                "Hips: around the widest part, with your feet together.",
              ),
            ],
          ],
        ],
        { spaceTop: 0, across: "center" },
      ),
      reading([
        heading("Sizes in centimetres"),
        table([
          ["Size", "Chest", "Waist", "Hips"],
          ["S", "[from–to]", "[from–to]", "[from–to]"],
          ["M", "[from–to]", "[from–to]", "[from–to]"],
          ["L", "[from–to]", "[from–to]", "[from–to]"],
        ]),
      ]),
    ],
  },
  {
    id: "care",
    name: "Care and repair",
    about: "How it lasts, and what to do when it breaks.",
    purpose: "Help shoppers",
    synonyms: ["maintenance", "mending", "washing", "instructions", "storage", "keep"],
    build: (g) => [
      section(
        "text",
        {
          heading: "So that it lasts",
          text: `A few habits keep ${g.trade.things} good for a long time.`,
        },
        { align: "start", spaceBottom: 2 },
      ),
      columns(
        [
          [33.33, [point("drop", "Keep it dry", "Let it dry in the air, away from heat, before you put it away.")]],
          [33.33, [point("sun", "Mind the sun", "Light fades colours. A place in the shade is a kind one.")]],
          [33.34, [point("mend", "Mend it early", "A small repair today saves a large one later. Ask us how.")]],
        ],
        { gap: 5, spaceTop: 2 },
      ),
      section("picture-words", {
        arrangement: "picture-right",
        heading: "When something breaks",
        text: "Write to us with a picture. Often there is a simple way, and sometimes a part that helps.",
        picture: g.picture(0),
      }),
    ],
  },
  {
    id: "privacy",
    name: "Privacy",
    about: "A plain text to begin with. Have it checked.",
    purpose: "What the law asks for",
    synonyms: ["policy", "data protection", "gdpr", "cookies", "legal"],
    toBeChecked: true,
    build: (g) => [
      reading([
        heading("Privacy"),
        words(`What ${g.shop} knows about you, why, and for how long. Responsible is [your name and address].`),
        heading("When you look around", "3", { headSize: 1 }),
        words(
          "The shop keeps your cart in a cookie for as long as you shop. It is not passed on. No one follows you from here to other sites.",
        ),
        heading("When you order", "3", { headSize: 1 }),
        words(
          "We keep your name, address, mail address and what you ordered, because we need them to send it and because the law asks us to keep invoices for [how many] years. Those who carry the parcel and the payment get what they need for it: [who they are].",
        ),
        heading("When you sign up for letters", "3", { headSize: 1 }),
        words("We keep your mail address until you no longer want letters. Every letter has a way to stop them."),
        heading("What you can ask for", "3", { headSize: 1 }),
        words(
          "You can ask what we know about you, have it corrected, or deleted as far as the law lets us. Write to [your mail address]. You can also complain to [your data protection authority].",
        ),
      ]),
    ],
  },
  {
    id: "terms",
    name: "Terms",
    about: "A plain text to begin with. Have it checked.",
    purpose: "What the law asks for",
    synonyms: ["conditions", "policy", "agb", "legal", "contract"],
    toBeChecked: true,
    build: (g) => [
      reading([
        heading("Terms"),
        words(`These terms hold for what you buy from ${g.shop}, [your name and address].`),
        heading("Order and contract", "3", { headSize: 1 }),
        words(
          "What is shown in the shop is an invitation to order. With your order you make an offer; we accept it when we send what you ordered, or confirm it by mail.",
        ),
        heading("Prices and payment", "3", { headSize: 1 }),
        words("The price is the one that was shown when you ordered. [whether tax is included]"),
        heading("Delivery", "3", { headSize: 1 }),
        words("[how and when you deliver]"),
        heading("If something is not as it should be", "3", { headSize: 1 }),
        words("What the law gives you holds in full. Write to us, and we will put it right."),
        heading("Law", "3", { headSize: 1 }),
        words("[which law holds]"),
      ]),
    ],
  },
  {
    id: "imprint",
    name: "Who runs this shop",
    about: "The facts that many countries ask for.",
    purpose: "What the law asks for",
    synonyms: ["imprint", "impressum", "legal notice", "company", "owner"],
    toBeChecked: true,
    build: () => [
      reading([
        heading("Who runs this shop"),
        words("[your name and address]"),
        words("[your mail address]", "[your telephone number]"),
        words("[your registration and tax numbers]"),
      ]),
    ],
  },
  {
    id: "returns-policy",
    name: "Right to send back",
    about: "A plain text to begin with. Have it checked.",
    purpose: "What the law asks for",
    synonyms: ["withdrawal", "returns", "refund policy", "cancellation"],
    toBeChecked: true,
    build: () => [
      reading([
        heading("Right to send back"),
        words(
          "You can change your mind within [how many] days after you have received your order, without saying why. Tell us so in a few words: [your mail address].",
        ),
        words(
          "Send it back within [how many] days after that to [the address for returns]. We give you back what you paid, with what the cheapest delivery cost, when it has arrived.",
        ),
        words("[what can’t be sent back]"),
      ]),
    ],
  },
];
