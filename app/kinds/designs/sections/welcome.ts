import { columns, heading, section, toCollection, widget, words } from "../build";
import { forPurpose, type SectionDesign } from "./design";

const design = forPurpose("Welcome");
const LOOK = "Have a look";

/** What a page begins with. */
export const WELCOME: readonly SectionDesign[] = [
  design("low-left", "Wide picture, words low on the left", "banner, cover, header picture, full width", (g) =>
    section(
      "hero",
      {
        arrangement: "on-picture",
        heading: "Made to be used",
        text: `${g.shop}: ${g.trade.things} with a story.`,
        button: LOOK,
        link: toCollection(g),
        picture: g.picture(0),
      },
      { height: "screen", align: "start" },
    ),
  ),
  design("middle", "Wide picture, words in its middle", "banner, centred, cover, overlay", (g) =>
    section(
      "hero",
      {
        arrangement: "on-picture",
        over: g.shop,
        heading: "Come in",
        text: "It is good to have you here.",
        button: LOOK,
        link: toCollection(g),
        picture: g.picture(1),
      },
      { height: "tall", align: "center" },
    ),
  ),
  design("half", "Half and half, words on the left", "split, beside, two halves, side by side", (g) =>
    section("hero", {
      arrangement: "beside",
      heading: "Fewer things, chosen well",
      text: "Take your time, and write to us if you have a question.",
      button: LOOK,
      link: toCollection(g),
      picture: g.picture(2),
    }),
  ),
  design("half-dark", "Half and half on dark", "split, beside, night, contrast", (g) =>
    section(
      "hero",
      {
        arrangement: "beside",
        over: "New just now",
        heading: "Look what came in",
        text: "The newest things stand in front.",
        button: "See them",
        link: toCollection(g),
        picture: g.picture(3),
      },
      { set: "dark" },
    ),
  ),
  design("above", "Large words above a picture", "headline, title, stacked", (g) =>
    section(
      "hero",
      {
        arrangement: "above",
        heading: `From our ${g.trade.place} to you`,
        text: `What you find here was ${g.trade.done} with care.`,
        button: LOOK,
        link: toCollection(g),
        picture: g.picture(4),
      },
      { headSize: 6 },
    ),
  ),
  design("low-banner", "Low banner with one button", "promotion, strip, band, sale, narrow", (g) =>
    section(
      "hero",
      {
        arrangement: "on-picture",
        heading: "For the weeks ahead",
        text: "",
        button: "See it all",
        link: toCollection(g),
        picture: g.picture(5),
      },
      { height: "half", headSize: 4 },
    ),
  ),
  design("words-alone", "One sentence, very large", "statement, headline, claim, text only, slogan", (g) =>
    section(
      "text",
      {
        arrangement: "statement",
        heading: `We care about ${g.trade.things}, and about the people who use them.`,
        text: "",
      },
      { headSize: 5, align: "start", spaceTop: 6, spaceBottom: 6 },
    ),
  ),
  design("colour-block", "Block of colour with a button", "banner, call to action, cta, no picture", (g) =>
    columns(
      [
        [
          100,
          [
            heading("There is something for you here", "2", { headSize: 5 }),
            words("Have a look around, and take your time."),
            widget("button", { label: LOOK, link: toCollection(g) }),
          ],
        ],
      ],
      { set: "brand", align: "center", spaceTop: 6, spaceBottom: 6 },
    ),
  ),
  design("film", "Film across the page", "video, movie, clip, moving", (g) =>
    columns([[100, [heading("See it move"), widget("film", { picture: g.picture(9) })]]], {
      align: "center",
      set: "dark",
    }),
  ),
  design("film-beside", "Film beside words", "video, movie, clip, tutorial", (g) =>
    columns(
      [
        [58, [widget("film", { picture: g.picture(5) })]],
        [
          42,
          [
            heading("A minute with us"),
            words(`A look into our ${g.trade.place}.`),
            widget("button", { label: LOOK, link: toCollection(g) }),
          ],
        ],
      ],
      { across: "center", gap: 6 },
    ),
  ),
  design("with-product", "Words beside one product", "featured product, highlight, pick", (g) =>
    columns(
      [
        [
          55,
          [
            heading("Begin with this one", "2", { headSize: 5 }),
            words("If we could show you one thing only, it would be this."),
            widget("button", { label: "See everything", link: toCollection(g) }),
          ],
        ],
        [45, [widget("product", { product: g.product(3) })]],
      ],
      { set: "tint", across: "center", gap: 6 },
    ),
  ),
  design("with-sign-up", "Picture and a line for mail addresses", "newsletter, subscribe, coming soon, launch", (g) =>
    columns(
      [
        [50, [widget("picture", { picture: g.picture(6) }, { shape: "4/5" })]],
        [
          50,
          [
            heading("Be the first to hear", "2", { headSize: 5 }),
            words("We write when there is something new, and only then."),
            widget("sign-up-line", {}),
          ],
        ],
      ],
      { across: "center", gap: 6 },
    ),
  ),
  design("card", "Card of words over a picture", "overlap, box, framed", (g) =>
    section("picture-words", {
      arrangement: "overlap",
      over: g.shop,
      heading: "Good that you found us",
      text: "We are a small shop. What you see here is what we like ourselves.",
      more: LOOK,
      link: toCollection(g),
      picture: g.picture(7),
    }),
  ),
  design("quote", "Begin with a quotation", "testimonial, saying, words", () =>
    columns(
      [
        [
          100,
          [widget("quote", { text: "A good thing is one that you still like in ten years.", who: "" }, { size: 3 })],
        ],
      ],
      {
        width: "narrow",
        align: "center",
        spaceTop: 6,
        spaceBottom: 6,
      },
    ),
  ),
  design("running", "Running line, large", "ticker, marquee, scrolling text, news", (g) =>
    section(
      "running-line",
      {
        arrangement: "large",
        words: [{ text: g.shop }, { text: "good to have you here" }, { text: "have a look around" }],
        sign: "star",
      },
      { set: "brand" },
    ),
  ),
];
