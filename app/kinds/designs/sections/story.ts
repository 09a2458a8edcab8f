import { columns, heading, point, section, toCollection, widget, words } from "../build";
import { forPurpose, type SectionDesign } from "./design";

const design = forPurpose("Tell the story");

/** What says who you are and how it is made. */
export const STORY: readonly SectionDesign[] = [
  design("left", "Picture on the left, story on the right", "about, picture with words, half and half", (g) =>
    section("picture-words", {
      arrangement: "picture-left",
      over: "About us",
      heading: `From our ${g.trade.place}`,
      text: `We are small, and we like it that way. What you find here was ${g.trade.done} with care.`,
      more: "Have a look around",
      link: toCollection(g),
      picture: g.picture(1),
    }),
  ),
  design("right", "Story on the left, picture on the right", "about, picture with words, half and half", (g) =>
    section("picture-words", {
      arrangement: "picture-right",
      heading: "Why we do this",
      text: "Because we could not find it the way that we wanted it.",
      picture: g.picture(2),
    }),
  ),
  design("on-brand", "Story on the brand’s colour", "about, block, colour, bold", (g) =>
    section(
      "picture-words",
      {
        arrangement: "picture-right",
        heading: "Small, on purpose",
        text: "Small enough to know what we sell, and to answer ourselves when you write.",
        picture: g.picture(3),
      },
      { set: "brand" },
    ),
  ),
  design("card", "Story on a card over a picture", "about, overlap, box", (g) =>
    section(
      "picture-words",
      {
        arrangement: "overlap",
        heading: "How it came about",
        text: "Every shop begins small. Ours did, too.",
        picture: g.picture(4),
      },
      { set: "tint" },
    ),
  ),
  design("letter", "A letter from you", "note, founder, owner, hello, personal", (g) =>
    columns(
      [
        [
          100,
          [
            heading("Hello,", "2", { headSize: 4 }),
            words(
              `good to see you here. Behind ${g.shop} there are people, not a department.`,
              "If something is not as you hoped, write to us, and we will see what can be done.",
            ),
            words(`Yours, ${g.shop}`),
          ],
        ],
      ],
      { width: "narrow", spaceTop: 6, spaceBottom: 6 },
    ),
  ),
  design("initial", "Long text with a large first letter", "article, drop cap, essay, reading", (g) =>
    section("text", {
      arrangement: "initial",
      heading: "The long version",
      text: `There is always a short version of how a shop came about, and a long one. In the short one, somebody opens a ${g.trade.place}. In the long one there are mornings, mistakes, and people who helped.`,
    }),
  ),
  design("columns", "Text in two columns", "newspaper, article, magazine", (g) =>
    section("text", {
      arrangement: "columns",
      heading: "What matters to us",
      text: `That a ${g.trade.thing} is worth what it costs. That we know where it comes from. That it can be looked after, and lasts. That you can ask, and get an answer from somebody who knows.`,
    }),
  ),
  design("statement", "What you stand for, in one sentence", "claim, mission, values, large text", (g) =>
    section(
      "text",
      { arrangement: "statement", heading: `Good ${g.trade.things} take the time that they take.`, text: "" },
      { set: "dark", align: "center" },
    ),
  ),
  design("quote", "What somebody said, large", "testimonial, review, quotation", () =>
    columns([[100, [widget("quote", { text: "One of a kind, and made to stay.", who: "" }, { size: 3 })]]], {
      set: "tint",
      align: "center",
      width: "narrow",
      spaceTop: 6,
      spaceBottom: 6,
    }),
  ),
  design("voices", "What buyers say, side by side", "reviews, testimonials, ratings, stars", () =>
    section("voices", { arrangement: "cards", heading: "What people say", most: 3 }),
  ),
  design("voice-large", "What one buyer says, large", "review, testimonial, quote, stars", () =>
    section("voices", { arrangement: "large", heading: "", most: 1 }, { set: "brand", align: "center" }),
  ),
  design("voices-wall", "Wall of voices", "reviews, testimonials, masonry", () =>
    section("voices", { arrangement: "wall", heading: "In their words", most: 9 }, { set: "tint" }),
  ),
  design("three-reasons", "Three reasons with signs", "usp, benefits, features, icons, why us", (g) =>
    columns(
      [
        [33.33, [point("leaf", "Chosen", `Only ${g.trade.things} that we would want ourselves.`)]],
        [33.33, [point("mend", "Looked after", "Each one goes through our hands before it leaves.")]],
        [33.34, [point("star", "Small", "You write to the people who do the work.")]],
      ],
      { gap: 6 },
    ),
  ),
  design("reasons-beside", "Reasons beside a picture", "usp, benefits, features, list", (g) =>
    columns(
      [
        [48, [widget("picture", { picture: g.picture(5) }, { shape: "4/5" })]],
        [
          52,
          [
            heading("What you can count on", "2", { headSize: 4 }),
            point("sun", "Shown as it is", "Pictures in plain light, and facts without small print."),
            point("cup", "Time for questions", "Ask before you buy. We like to talk about it."),
            point("house", "Somebody at home", "A shop with people in it."),
          ],
        ],
      ],
      { across: "center", gap: 6 },
    ),
  ),
  design(
    "how-it-is-made",
    "How it is made, in steps",
    "process, making of, steps, production",
    (g) =>
      section(
        "steps",
        {
          arrangement: "pictures",
          heading: "How it is made",
          steps: [
            { picture: g.picture(6), heading: "An idea", text: "It begins with something that is lacking." },
            { picture: g.picture(7), heading: "Trying it out", text: "Until it is right, and then once more." },
            { picture: g.picture(8), heading: "Done", text: "Then it comes into the shop." },
          ],
        },
        { set: "tint" },
      ),
    ["craft", "clothes", "food", "plants", "paper", "body", "play"],
  ),
  design("steps-line", "Three steps on a line", "process, how it works, ordering", () =>
    section("steps", { arrangement: "line" }),
  ),
  design("journal", "From the journal, three posts", "blog, news, articles, stories", () =>
    section("posts", { arrangement: "cards", heading: "From the journal", most: 3 }),
  ),
  design("journal-large", "From the journal, the newest large", "blog, news, articles, magazine", () =>
    section("posts", { arrangement: "large", heading: "Read on", most: 4 }, { set: "tint" }),
  ),
  design(
    "old-things",
    "Where things come from",
    "provenance, history, origin, vintage",
    (g) =>
      section(
        "picture-words",
        {
          arrangement: "picture-left",
          over: "Before it came to us",
          heading: "Every find has a past",
          text: "Attics, markets, the backs of cupboards. What we know of a thing stands beside it.",
          picture: g.picture(9),
        },
        { set: "dark" },
      ),
    ["old"],
  ),
  design(
    "season-food",
    "What is in season",
    "food, harvest, ingredients, farm",
    (g) =>
      section(
        "picture-words",
        {
          arrangement: "overlap",
          heading: "What there is now",
          text: "We cook what the season gives. When it is gone, it is gone until next year.",
          more: "See what there is",
          link: toCollection(g),
          picture: g.picture(10),
        },
        { set: "tint" },
      ),
    ["food", "plants"],
  ),
];
