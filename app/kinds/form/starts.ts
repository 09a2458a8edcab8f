import type { Json, Part, StyleSheet } from "~/core/document";
import type { Start } from "../definition";
import { makeWidget } from "../make-widget";

const half: StyleSheet = { all: { span: "half" } };

const ask = (sort: string, label: string, more: Readonly<Record<string, Json>> = {}, style: StyleSheet = {}): Part =>
  makeWidget("form-field", { sort, label, required: true, ...more }, style);

const free = { required: false };
const whoAndMail = () => [ask("line", "Your name", {}, half), ask("mail", "Your mail address", {}, half)];

/** Asked only where another field says this. */
const only = (field: Part, value: string) => ({ when: { field: field.id, how: "is", value } });

function customOrder(): readonly Part[] {
  const day = ask("choice", "Does it have to be there by a day?", { options: "No\nYes", shows: "buttons" }, half);
  return [
    ...whoAndMail(),
    ask("text", "What should we make for you?"),
    ask("file", "A drawing or a picture, if you have one", free),
    ask("number", "How many?", { least: "1", ...free }, half),
    ask("line", "What you would like to spend", free, half),
    day,
    ask("date", "By which day?", { dates: "coming", ...only(day, "Yes") }, half),
  ];
}

function wholesale(): readonly Part[] {
  const sells = ask("choice", "Where do you sell?", {
    options: "In a shop\nOnline\nOn markets\nElsewhere",
    shows: "buttons",
  });
  return [
    ask("line", "Your business", {}, half),
    ask("line", "Your name", {}, half),
    ask("mail", "Your mail address", {}, half),
    ask("phone", "Your telephone number", free, half),
    sells,
    ask("line", "Where?", only(sells, "Elsewhere")),
    ask("text", "What would you like to order?", free),
  ];
}

const made = (name: string, heading: string, more: Readonly<Record<string, Json>>, answers: readonly Part[]) => ({
  props: { name, heading, ...more },
  style: {},
  slots: { answers: [...answers] },
});

/** What forms are made for most, each ready to be used. */
export const FORM_STARTS: readonly Start[] = [
  {
    id: "contact",
    name: "Contact",
    build: () => made("Contact", "Write to us", {}, [...whoAndMail(), ask("text", "Your message")]),
  },
  {
    id: "custom",
    name: "Something made to order",
    build: () => made("Custom orders", "Have one made for you", { button: "Ask for it" }, customOrder()),
  },
  {
    id: "wholesale",
    name: "For other shops",
    build: () =>
      made(
        "Wholesale",
        "Sell our goods in your shop",
        { button: "Ask to be listed", arrangement: "beside" },
        wholesale(),
      ),
  },
  {
    id: "waiting",
    name: "Waiting list",
    build: () =>
      made("Waiting list", "Be told first", { button: "Put me on the list", thanksText: "We have noted you down." }, [
        ask("mail", "Your mail address", {}, half),
        ask("product", "What are you waiting for?", {}, half),
      ]),
  },
  {
    id: "survey",
    name: "A few questions to shoppers",
    build: () =>
      made("Survey", "Tell us how it was", { button: "Send my answers", arrangement: "card" }, [
        ask("choice", "How did you like the shop?", {
          options: "Very much\nIt was fine\nNot so much",
          shows: "buttons",
        }),
        ask("several", "What brought you here?", {
          ...free,
          options: "A friend\nA search\nA market\nI bought here before",
        }),
        ask("text", "What should we do better?", free),
      ]),
  },
];
