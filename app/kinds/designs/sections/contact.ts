import { columns, form, heading, section, widget, words } from "../build";
import { forPurpose, type SectionDesign } from "./design";

const design = forPurpose("Keep in touch");

/** What people reach you by. */
export const CONTACT: readonly SectionDesign[] = [
  design("band", "Sign-up as a band of colour", "newsletter, subscribe, mailing list, mail", () =>
    section("sign-up", { arrangement: "band" }, { set: "brand" }),
  ),
  design("middle", "Sign-up in the middle", "newsletter, subscribe, centred, mail", () =>
    section("sign-up", { arrangement: "stack", heading: "A letter now and then" }, { set: "tint", align: "center" }),
  ),
  design("card", "Sign-up on a card", "newsletter, subscribe, box, mail", () =>
    section("sign-up", { arrangement: "card", heading: "Stay in touch" }, { set: "accent", align: "center" }),
  ),
  design("line", "Sign-up as one long line", "newsletter, subscribe, minimal, mail", () =>
    section("sign-up", { arrangement: "line", heading: "Write me when there is something new" }, { headSize: 4 }),
  ),
  design("picture", "Sign-up beside a picture", "newsletter, subscribe, image, mail", (g) =>
    section("sign-up", { arrangement: "picture", picture: g.picture(2) }),
  ),
  design("sign-up-dark", "Sign-up on dark, large", "newsletter, subscribe, night, footer", () =>
    section("sign-up", { arrangement: "line", heading: "Hear from us" }, { set: "dark", headSize: 5 }),
  ),
  design("contact", "Contact form", "message, mail, write, enquiry", () =>
    form("contact", { heading: "Write to us" }, { width: "narrow" }),
  ),
  design("contact-facts", "Address beside a map", "contact, phone, location, where we are", () =>
    columns(
      [
        [
          45,
          [
            heading("Here we are", "2", { headSize: 4 }),
            widget("contact-facts", {}),
            widget("elsewhere", { heading: "" }),
          ],
        ],
        [55, [widget("map", {})]],
      ],
      { gap: 6, across: "center" },
    ),
  ),
  design("hours", "Opening hours on a card", "opening times, store, visit, closed", () =>
    section("opening-hours", { arrangement: "card", address: true }, { set: "tint" }),
  ),
  design("hours-beside", "Opening hours beside the way there", "opening times, store, visit, address", () =>
    section("opening-hours", { arrangement: "beside", address: true }),
  ),
  design(
    "custom",
    "Something made for you",
    "custom order, commission, bespoke, made to measure",
    () => form("custom", { heading: "Something of your own" }, { set: "tint", width: "content" }),
    ["craft", "clothes", "paper", "play", "food"],
  ),
  design("waiting", "Waiting list", "preorder, notify, launch, coming soon", () =>
    form("waiting", { heading: "Tell me when it is there" }, { set: "brand", width: "narrow" }),
  ),
  design("wholesale", "For shops that want to sell it", "wholesale, stockists, trade, b2b", () =>
    form("wholesale", { heading: "Would you like to sell it?" }, { width: "content" }),
  ),
  design("survey", "Ask what people think", "survey, feedback, opinion, poll", () =>
    form("survey", { heading: "One question" }, { set: "accent", width: "narrow" }),
  ),
  design("elsewhere", "Where else you are", "social, links, follow, accounts", () =>
    columns(
      [
        [
          100,
          [
            heading("You find us here, too"),
            words("Pictures from the days in between."),
            widget("elsewhere", { heading: "" }),
          ],
        ],
      ],
      { align: "center", set: "tint" },
    ),
  ),
];
