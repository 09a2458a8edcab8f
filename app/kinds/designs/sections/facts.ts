import { columns, heading, point, question, section, table, widget, words } from "../build";
import type { Json } from "~/core/document";
import { forPurpose, type SectionDesign } from "./design";

const design = forPurpose("Give facts");

const rich = (text: string): Json => ({
  type: "doc",
  content: [{ type: "paragraph", content: [{ type: "text", text }] }],
});
const asked = (question: string, answer: string) => ({ group: "", question, answer: rich(answer) });

const QUESTIONS = [
  asked("How do I order?", "Put what you like into the cart, and follow the steps from there."),
  asked("Can I ask before I buy?", "Yes. Write to us, and say which one you mean."),
  asked("Can I have it as a present?", "Say so when you order, and to whom it should go."),
];

/** What answers questions. */
export const FACTS: readonly SectionDesign[] = [
  design("questions", "Questions that open", "faq, accordion, help, answers", () =>
    section("questions", { arrangement: "folded", heading: "Questions", questions: QUESTIONS }),
  ),
  design("questions-beside", "Questions beside their head", "faq, accordion, help, two columns", () =>
    section("questions", { arrangement: "beside", heading: "Before you ask", questions: QUESTIONS }, { set: "tint" }),
  ),
  design("questions-picture", "Questions beside a picture", "faq, help, half and half", (g) =>
    columns(
      [
        [45, [widget("picture", { picture: g.picture(1) }, { shape: "4/5" })]],
        [
          55,
          [
            heading("Good to know"),
            ...question("Where do I find out more?", "On the page of each thing: what it is made of, and how large."),
            ...question("And if something is wrong with it?", "Write to us. We will find a way."),
          ],
        ],
      ],
      { across: "center", gap: 6 },
    ),
  ),
  design("tabs", "Facts in tabs", "tabbed, switch, details", () => section("tabs", { arrangement: "above" })),
  design("delivery", "Delivery, payment, returns", "shipping, policies, terms, service", () =>
    columns(
      [
        [33.33, [point("parcel", "Delivery", "[how and when you deliver]")]],
        [33.33, [point("star", "Payment", "[the ways to pay that you take]")]],
        [33.34, [point("return", "Sending it back", "Within [how many] days.")]],
      ],
      { set: "tint", gap: 6 },
    ),
  ),
  design("assurances", "A row of small signs", "trust, badges, icons, usp, secure", () =>
    columns(
      [
        [33.33, [point("house", "A real place", "There is a door, and somebody behind it.")]],
        [33.33, [point("cup", "No hurry", "Look at it as long as you like.")]],
        [33.34, [point("book", "Everything written down", "Sizes, materials and care, with each thing.")]],
      ],
      { spaceTop: 3, spaceBottom: 3 },
    ),
  ),
  design("call-out", "A note that stands out", "notice, info, alert, box, important", () =>
    columns(
      [
        [
          100,
          [widget("call-out", { heading: "Good to know", text: "Colours look a little different on every screen." })],
        ],
      ],
      {
        width: "narrow",
      },
    ),
  ),
  design("table", "A table of facts", "specification, data, measurements", () =>
    columns(
      [
        [
          100,
          [
            heading("Measures"),
            table([
              ["", "Small", "Medium", "Large"],
              ["Width", "", "", ""],
              ["Height", "", "", ""],
            ]),
          ],
        ],
      ],
      { width: "narrow" },
    ),
  ),
  design("price-list", "Price list", "menu, card, services, rates", () =>
    section("price-list", { arrangement: "dots", heading: "Prices" }),
  ),
  design("downloads", "Files to take with you", "pdf, manuals, instructions, patterns", () =>
    section("downloads", { arrangement: "list" }),
  ),
  design("contents", "What is on this page", "table of contents, anchors, jump", () =>
    section("contents", { arrangement: "row" }),
  ),
  design(
    "sizes",
    "Sizes, with a picture",
    "size guide, fit, measurements",
    (g) => section("size-chart", { arrangement: "beside", picture: g.picture(2) }),
    ["clothes"],
  ),
  design(
    "washing",
    "How to wash it",
    "care, laundry, textile, cleaning",
    () =>
      columns(
        [
          [33.33, [point("drop", "Wash it cool", "And with others of the same colour.")]],
          [33.33, [point("sun", "Dry it in the air", "It keeps its shape that way.")]],
          [33.34, [point("mend", "Mend it", "A small hole is quickly closed.")]],
        ],
        { gap: 6 },
      ),
    ["clothes", "craft"],
  ),
  design(
    "plant-care",
    "Light, water, soil",
    "care, plants, growing, watering",
    () =>
      columns(
        [
          [33.33, [point("sun", "Light", "How much of it stands with each plant.")]],
          [33.33, [point("drop", "Water", "Put a finger into the soil first. If it is dry, water it.")]],
          [33.34, [point("leaf", "Soil", "Loose, so that the roots get air.")]],
        ],
        { set: "tint", gap: 6 },
      ),
    ["plants"],
  ),
  design(
    "tasting",
    "How to keep it and serve it",
    "storage, serving, shelf life, recipe",
    () =>
      columns(
        [
          [50, [heading("Keep it", "3"), words("Cool and dark. Once it is open, in the fridge.")]],
          [50, [heading("Serve it", "3"), words("As you like it best. We like it plain.")]],
        ],
        { set: "accent", gap: 6 },
      ),
    ["food"],
  ),
  design(
    "condition",
    "What the grades mean",
    "condition, quality, used, vintage, second hand",
    () =>
      columns(
        [
          [
            100,
            [
              heading("What we mean by it"),
              table([
                ["We say", "You get"],
                ["Like new", "Nothing that one would notice."],
                ["Good", "Small traces of use, all of them in the pictures."],
                ["Loved", "Much used, and still in one piece."],
              ]),
            ],
          ],
        ],
        { width: "narrow" },
      ),
    ["old", "paper", "clothes"],
  ),
  design(
    "what-is-in-it",
    "What is in it, and what is not",
    "ingredients, natural, free from, soap",
    () =>
      columns(
        [
          [50, [heading("In it", "3"), words("What stands on the label, and nothing else.")]],
          [50, [heading("Not in it", "3"), words("What we would not want on our own skin.")]],
        ],
        { set: "tint", gap: 6 },
      ),
    ["body", "food"],
  ),
];
