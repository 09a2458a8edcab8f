import { makeColumn } from "~/core/commands";
import type { Json, Part, StyleSheet } from "~/core/document";
import type { Start } from "../definition";
import { makeWidget } from "../make-widget";

// Designs by what a seller wants: each is whole, says nothing that has to be true of this shop alone, and follows its theme. What is said of
// an offer are facts of one: until there is one that has them, shoppers don't see the pop-up.

type Given = Parameters<Start["build"]>[0];
type Props = Readonly<Record<string, Json>>;

const heading = (text: string) => makeWidget("heading", { text });
const words = (text: string) => makeWidget("words", { text });
const picture = (id: string | null) => makeWidget("picture", { picture: id });
const button = (label: string, link: Json) => makeWidget("button", { label, link });
const signUp = () => makeWidget("sign-up-line", { note: "Only to write to you. You can leave at any time." });

type Looks = { readonly set?: string; readonly align?: "start" | "center"; readonly space?: number };
const dressed = ({ set = "page", align = "start", space = 4 }: Looks = {}): StyleSheet => ({
  all: { set, align, spaceTop: space, spaceBottom: space },
});

const one = (...widgets: readonly Part[]) => ({ columns: [makeColumn(widgets)] });
/** Words beside a picture that fills its side. */
const beside = (id: string | null, ...widgets: readonly Part[]) => ({
  columns: [makeColumn([picture(id)], 45), makeColumn(widgets, 55)],
});

const design = (
  id: string,
  name: string,
  props: Props,
  build: (given: Given) => { readonly slots: Part["slots"]; readonly style?: StyleSheet },
): Start => ({
  id,
  name,
  region: "over",
  build: (given) => {
    const { slots, style = dressed() } = build(given);
    return { slots, style, props };
  },
});

const ONCE_A_MONTH = { often: "month" };
const HEAR = "Hear from us now and then";
const HEAR_MORE = "What is new, and what is nearly gone. A few letters a year.";

export const DESIGNS: readonly Start[] = [
  design("mail-middle", "Sign-up, in the middle", { ...ONCE_A_MONTH, seconds: 20 }, () => ({
    slots: one(heading(HEAR), words(HEAR_MORE), signUp()),
    style: dressed({ align: "start" }),
  })),
  design("mail-picture", "Sign-up beside a picture", { ...ONCE_A_MONTH, seconds: 20, size: "large" }, (given) => ({
    slots: beside(given.picture, heading(HEAR), words(HEAR_MORE), signUp()),
  })),
  design(
    "mail-corner",
    "Sign-up that slides into the corner",
    { ...ONCE_A_MONTH, arrangement: "corner", opens: "far" },
    () => ({
      slots: one(heading(HEAR), signUp()),
      style: dressed({ set: "tint", space: 3 }),
    }),
  ),
  design("mail-edge", "Sign-up along the lower edge", { ...ONCE_A_MONTH, arrangement: "edge", opens: "far" }, () => ({
    slots: { columns: [makeColumn([heading(HEAR)], 45), makeColumn([signUp()], 55)] },
    style: dressed({ set: "brand", space: 3 }),
  })),
  design("code-middle", "A code, large in the middle", { ...ONCE_A_MONTH, seconds: 15 }, (given) => ({
    slots: one(
      heading("{percent} off with {code}"),
      words("Write it where the cart asks for a code."),
      button("Have a look", given.link),
    ),
    style: dressed({ set: "brand", align: "center", space: 5 }),
  })),
  design("code-corner", "A code in the corner", { ...ONCE_A_MONTH, arrangement: "corner", seconds: 12 }, () => ({
    slots: one(heading("{percent} off with {code}"), words("Write it where the cart asks for a code.")),
    style: dressed({ set: "dark", space: 3 }),
  })),
  design("code-leaving", "A code for whoever is about to leave", { ...ONCE_A_MONTH, opens: "leave" }, (given) => ({
    slots: one(
      heading("Before you go"),
      words("With {code} it costs {percent} less."),
      button("Have a look", given.link),
    ),
    style: dressed({ align: "center", space: 5 }),
  })),
  design(
    "goal-corner",
    "What is still to go for an offer, in the corner",
    { arrangement: "corner", often: "visit", opens: "far" },
    () => ({
      slots: one(makeWidget("goal-meter", {})),
      style: dressed({ space: 3 }),
    }),
  ),
  design(
    "ends-edge",
    "Until an offer ends, along the lower edge",
    { arrangement: "edge", often: "visit", seconds: 8 },
    () => ({
      slots: one(makeWidget("countdown", { arrangement: "line", to: "offer", text: "Only for a while: ends in" })),
      style: dressed({ set: "dark", align: "center", space: 2 }),
    }),
  ),
  design(
    "picture-whole",
    "A picture over the whole window",
    { ...ONCE_A_MONTH, arrangement: "whole", seconds: 6 },
    (given) => ({
      slots: one(
        picture(given.pictures[1] ?? given.picture),
        heading("Come in and look around"),
        button("Have a look", given.link),
      ),
      style: dressed({ align: "center" }),
    }),
  ),
  design(
    "product-side",
    "One product, from the side",
    { ...ONCE_A_MONTH, arrangement: "side", opens: "far" },
    (given) => ({
      slots: one(heading("Have you seen this one?"), makeWidget("product", { product: given.product })),
    }),
  ),
  design("word-middle", "A word to everybody, in the middle", { ...ONCE_A_MONTH, seconds: 8 }, () => ({
    slots: one(
      heading("Good to have you here"),
      words("If you are looking for something, write to us: we like to help."),
    ),
    style: dressed({ align: "center", space: 5 }),
  })),
  design(
    "hours-corner",
    "How to reach you, in the corner",
    { ...ONCE_A_MONTH, arrangement: "corner", opens: "far" },
    () => ({
      slots: one(heading("How to reach us"), makeWidget("contact-facts", {})),
      style: dressed({ set: "tint", space: 3 }),
    }),
  ),
  design(
    "age-whole",
    "Whether somebody is old enough, over the whole window",
    { arrangement: "whole", often: "month", seconds: 0, closes: "button", close: "I am 18 or older" },
    () => ({
      slots: one(heading("Are you 18 or older?"), words("What is shown here is for grown-ups only.")),
      style: dressed({ set: "dark", align: "center" }),
    }),
  ),
  design(
    "age-middle",
    "Whether somebody is old enough, in the middle",
    { often: "month", seconds: 0, closes: "button", close: "I am 18 or older" },
    () => ({
      slots: one(heading("Are you 18 or older?"), words("What is shown here is for grown-ups only.")),
      style: dressed({ align: "center", space: 5 }),
    }),
  ),
];
