import { z } from "zod";
import { FIELD_SORTS, FILE_SORTS, LONGEST_ANSWER } from "~/core/form";
import type { Definition } from "../definition";

const bound = z
  .string()
  .trim()
  .max(14)
  .regex(/^(?:-?\d{1,9}(?:\.\d{1,6})?)?$/, "Write a number, or leave this empty.");

const props = z.object({
  sort: z.enum(FIELD_SORTS),
  label: z.string().max(160),
  hint: z.string().max(300),
  required: z.boolean(),
  options: z.string().max(4000),
  shows: z.enum(["list", "buttons"]),
  least: bound,
  most: bound,
  dates: z.enum(["any", "coming", "past"]),
  takes: z.enum(FILE_SORTS),
  collection: z.string().max(40).nullable(),
  sends: z.enum(["words", "page", "product"]),
  value: z.string().max(300),
  message: z.string().max(200),
  list: z.string().trim().max(60),
  when: z
    .object({
      field: z.string().max(40),
      how: z.enum(["is", "is-not", "filled", "empty"]),
      value: z.string().max(LONGEST_ANSWER),
    })
    .nullable(),
});
export type FormFieldProps = z.infer<typeof props>;

const CHOOSING = ["choice", "several"] as const;
const SHOWN = FIELD_SORTS.filter((sort) => sort !== "hidden");

export const definition: Definition<FormFieldProps> = {
  kind: "form-field",
  name: "Field",
  about: "Something that your form asks for.",
  purpose: "Keep in touch",
  level: "widget",
  slots: ["answers"],
  calledBy: "label",
  tag: "div",
  arrangements: [{ id: "plain", name: "Plain" }],
  fields: [
    {
      type: "choice",
      key: "sort",
      label: "It asks for",
      options: [
        ["line", "A few words"],
        ["text", "Longer words"],
        ["mail", "A mail address"],
        ["phone", "A telephone number"],
        ["number", "A number"],
        ["date", "A day"],
        ["choice", "One of several choices"],
        ["several", "Some of several choices"],
        ["consent", "A tick: “I agree …”"],
        ["product", "One of your products"],
        ["file", "A file"],
        ["hidden", "Nothing: it is sent along unseen"],
      ],
    },
    { type: "line", key: "label", label: "Question", most: 160 },
    {
      type: "text",
      key: "options",
      label: "Choices, each on a line of its own",
      most: 4000,
      where: ["sort", CHOOSING],
    },
    {
      type: "choice",
      key: "shows",
      label: "Choices are shown",
      options: [
        ["buttons", "All, to be clicked"],
        ["list", "In a list that opens"],
      ],
      where: ["sort", ["choice"]],
    },
    {
      type: "collection",
      key: "collection",
      label: "Products of",
      none: "The whole shop",
      bare: true,
      where: ["sort", ["product"]],
    },
    {
      type: "choice",
      key: "takes",
      label: "It takes",
      options: [
        ["any", "Pictures and PDFs"],
        ["pictures", "Pictures only"],
        ["pdf", "PDFs only"],
      ],
      where: ["sort", ["file"]],
    },
    { type: "line", key: "least", label: "At least", most: 14, where: ["sort", ["number"]] },
    { type: "line", key: "most", label: "At most", most: 14, where: ["sort", ["number"]] },
    {
      type: "choice",
      key: "dates",
      label: "Days that can be given",
      options: [
        ["any", "Any"],
        ["coming", "Today and after"],
        ["past", "Today and before"],
      ],
      where: ["sort", ["date"]],
    },
    {
      type: "choice",
      key: "sends",
      label: "It sends",
      options: [
        ["words", "Words of yours"],
        ["page", "The page that the form is on"],
        ["product", "The product of that page"],
      ],
      where: ["sort", ["hidden"]],
    },
    { type: "line", key: "value", label: "The words that it sends", most: 300, where: ["sort", ["hidden"]] },
    { type: "yes", key: "required", label: "It has to be answered", where: ["sort", SHOWN] },
    { type: "line", key: "hint", label: "Help below it", most: 300, where: ["sort", SHOWN] },
    {
      type: "line",
      key: "list",
      label: "A tick puts them on the list",
      most: 60,
      hint: "The name of a list of yours, such as News. Empty: it only says yes.",
      where: ["sort", ["consent"]],
    },
    { type: "when", key: "when", label: "Asked", where: ["sort", SHOWN] },
    {
      type: "line",
      key: "message",
      label: "Your words if it is missing or wrong",
      most: 200,
      hint: "Empty: the shop says what is wrong.",
      seldom: true,
    },
  ],
  props,
  synonyms: ["input", "question", "answer", "text field", "checkbox", "radio", "upload"],
  defaults: {
    sort: "line",
    label: "Your question",
    hint: "",
    required: false,
    options: "",
    shows: "buttons",
    least: "",
    most: "",
    dates: "any",
    takes: "any",
    collection: null,
    sends: "words",
    value: "",
    message: "",
    list: "",
    when: null,
  },
  style: { all: { span: "full" } },
  styles: ["span"],
  css: `
.w-form-field{min-width:0;grid-column:span var(--span-phone,12)}
.w-form-field:has(>.fm-ask[hidden]),.w-form-field:empty{display:none}
.fm-ask{margin:0;padding:0;border:0;min-width:0}
.fm-label{display:block;padding:0;margin-bottom:.35rem;font-weight:var(--strong)}
.fm-free{font-weight:var(--text-weight);color:var(--soft)}
.fm-hint,.fm-when{margin-top:.35rem;font-size:var(--t-1);color:var(--soft)}
.fm-wrong{margin-top:.35rem;font-size:var(--t-1);font-weight:var(--strong);color:var(--danger)}
.fm-wrong:empty{display:none}
.fm-picks{display:flex;flex-wrap:wrap;gap:.35rem 1.5rem}
.fm-pick{display:flex;gap:.65rem;align-items:center;min-height:2.75rem;cursor:pointer}
.fm-pick input{flex:none;width:1.3rem;height:1.3rem;margin:0;accent-color:var(--brand-edge)}
.fm-file{display:block;width:100%;padding:.6rem var(--field-pad);border:2px dashed var(--field-line);border-radius:var(--field-corners)}
textarea.field{display:block;min-height:8.5rem;resize:vertical}
zest-form:defined .fm-when{display:none}
@media (min-width:600px){.w-form-field{grid-column:span var(--span,12)}}
`,
};
