import { columns, form, heading, point, section, toCollection, widget, words } from "../build";
import type { PageDesign } from "./design";

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Pages that say who stands behind a shop, and keep people in touch with it. */
export const WHO_YOU_ARE: readonly PageDesign[] = [
  {
    id: "about",
    name: "About us",
    about: "A picture, how you work, and a way to what you sell.",
    purpose: "Who you are",
    synonyms: ["story", "who we are", "team", "history", "us"],
    build: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: `About ${g.shop}`,
        text: "A small shop with people behind it. Here is who we are.",
        button: "See what there is",
        link: toCollection(g),
        picture: g.picture(0),
      }),
      section("text", {
        arrangement: "beside",
        heading: "How we work",
        text: `We are small, and we like it that way. ${capital(g.trade.things)} are ${g.trade.done} here with care.`,
      }),
      section("picture-words", {
        arrangement: "picture-right",
        heading: `From our ${g.trade.place}`,
        text: "This is where it happens. If you have a question about anything that you see here, write to us.",
        picture: g.picture(1),
      }),
      section("product-grid", { heading: "What we are proud of", most: 4, more: "See all" }, { set: "tint" }),
    ],
  },
  {
    id: "workshop",
    name: "Our workshop",
    about: "Where it is made, in pictures and three steps.",
    purpose: "Who you are",
    trades: ["craft", "clothes", "food", "plants", "paper", "play", "body"],
    synonyms: ["studio", "atelier", "kitchen", "nursery", "behind the scenes", "making of", "process", "materials"],
    build: (g) => [
      section("hero", {
        arrangement: "on-picture",
        heading: `In our ${g.trade.place}`,
        text: `Where everything is ${g.trade.done} that you find in this shop.`,
        button: "",
        picture: g.picture(0),
      }),
      columns(
        [
          [
            33.33,
            [point("leaf", "What it is made of", "The material decides how a thing feels, and how long it lasts.")],
          ],
          [33.33, [point("mend", "How it is made", "With the time that it takes.")]],
          [33.34, [point("parcel", "How it gets to you", "From our hands to yours.")]],
        ],
        { gap: 5 },
      ),
      section("picture-words", {
        heading: "One thing at a time",
        text: `We are a small shop, and we know every ${g.trade.thing} that leaves it.`,
        picture: g.picture(1),
      }),
      columns([
        [50, [widget("picture", { picture: g.picture(2) })]],
        [50, [widget("picture", { picture: g.picture(3) })]],
      ]),
    ],
  },
  {
    id: "contact",
    name: "Contact",
    about: "How to reach you, when, and where.",
    purpose: "Who you are",
    synonyms: ["mail", "telephone", "address", "opening hours", "find us", "reach", "visit", "location"],
    toBeChecked: true,
    build: (g) => [
      form("contact", {
        arrangement: "beside",
        text: "A question about something in the shop, about an order, or just a word.",
      }),
      columns(
        [
          [33.33, [heading("By mail", "3", { headSize: 1 }), words("[your mail address]")]],
          [
            33.33,
            [heading("By telephone", "3", { headSize: 1 }), words("[your telephone number]", "[when you answer it]")],
          ],
          [
            33.34,
            [
              heading("At our place", "3", { headSize: 1 }),
              words("[street and number]", "[postcode and town]", "[your opening hours]"),
            ],
          ],
        ],
        { gap: 5 },
      ),
      section("picture-words", {
        heading: `Come by`,
        text: `If you are near, come and see our ${g.trade.place}. Tell us beforehand, so that somebody is there.`,
        picture: g.picture(0),
      }),
    ],
  },
  {
    id: "journal",
    name: "Journal",
    about: "What you write, the latest first. Pages beneath it are its posts.",
    purpose: "Stay in touch",
    synonyms: ["blog", "news", "magazine", "posts", "articles", "recipes", "diary", "stories"],
    journal: true,
    build: (g) => [
      section("posts", {
        arrangement: "large",
        heading: "Journal",
        text: `What happens in our ${g.trade.place}, and what we learn there.`,
      }),
      section("sign-up", { heading: "Hear from us now and then" }),
    ],
  },
  {
    id: "thanks",
    name: "Thank you",
    about: "For those who have signed up, bought, or written.",
    purpose: "Stay in touch",
    synonyms: ["thanks", "confirmation", "after", "welcome"],
    build: (g) => [
      section("text", {
        arrangement: "statement",
        heading: "Thank you!",
        text: "It has reached us. It is good to have you with us.",
      }),
      section("product-grid", { heading: "While you are here", most: 4, more: "See all" }, { spaceTop: 2 }),
      section(
        "picture-words",
        {
          heading: `From our ${g.trade.place}`,
          text: "We write when there is something to tell, and not more often.",
          picture: g.picture(0),
        },
        { set: "tint" },
      ),
    ],
  },
  {
    id: "soon",
    name: "Coming soon",
    about: "One page without ways away from it, with a sign-up.",
    purpose: "Stay in touch",
    synonyms: ["closed", "launch", "opening", "under construction", "holiday", "waiting list"],
    alone: true,
    build: (g) => [
      section("hero", {
        arrangement: "on-picture",
        heading: `${g.shop} opens soon`,
        text: "We are putting things on the shelves. Leave your mail address, and you hear from us when the door is open.",
        button: "",
        picture: g.picture(0),
      }),
      section("sign-up", { arrangement: "stack", heading: "Be told when it opens", button: "Tell me" }),
    ],
  },
  {
    id: "letters",
    name: "Our letters",
    about: "What people sign up for, and the form to do it.",
    purpose: "Stay in touch",
    synonyms: ["newsletter", "sign up", "subscribe", "mail", "club", "community"],
    build: (g) => [
      section("hero", {
        arrangement: "beside",
        heading: "A letter now and then",
        text: "What is new, what is nearly gone, and what we have been up to.",
        button: "",
        picture: g.picture(0),
      }),
      section("sign-up", { heading: "Would you like one?", button: "Yes, please" }, { set: "tint" }),
    ],
  },
];
