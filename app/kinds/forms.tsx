import { createContext, useContext } from "react";
import { entryOf, type Part } from "~/core/document";
import { optionsIn, type FormField } from "~/core/form";
import { chosenProducts, type Goods } from "~/core/goods";
import type { FormProps } from "./form/definition";
import { definition as fieldDefinition, type FormFieldProps } from "./form-field/definition";
import type { SentForm } from "./parts";

// What a form asks, read out of its parts: by the views that draw it, and by the server that takes what is sent.

/** The kinds of a form and of what it asks. */
export const FORM = "form";
export const FORM_FIELD = "form-field";
/** The slot of a form in which its fields stand. */
export const ANSWERS = "answers";

/** Where a form was sent from: what it sends along unseen. */
export type FormPlace = {
  /** The title of its page. */
  readonly page: string;
  /** The product that its page is about. */
  readonly product: string;
};
const NOWHERE: FormPlace = { page: "", product: "" };

/** The most products that one list offers. */
const MOST_PRODUCTS = 500;

const CHOOSING: ReadonlySet<string> = new Set(["choice", "several", "product"]);

const numberOf = (text: string): number | null => (text === "" ? null : Number(text));

/** What a form asks, in order. Fields without a question, with nothing to choose from, or that can't be read, ask nothing. */
export function fieldsOf(form: Pick<Part, "slots">, goods: Goods, place = NOWHERE): readonly FormField[] {
  return (entryOf(form.slots, ANSWERS) ?? []).flatMap((part): FormField | readonly FormField[] => {
    if (part.kind !== FORM_FIELD || !part.shown) return [];
    const { data: props } = fieldDefinition.props.safeParse(part.props);
    if (!props?.label.trim()) return [];
    const offered = props.sort === "product" ? chosenProducts(goods, props.collection, MOST_PRODUCTS) : [];
    const options = props.sort === "product" ? offered.map(({ id }) => id) : optionsIn(props.options);
    // What there is nothing to choose from nobody could answer.
    if (CHOOSING.has(props.sort) && options.length === 0) return [];
    return {
      id: part.id,
      sort: props.sort,
      label: props.label,
      required: props.required,
      options,
      ...(props.sort === "product" ? { names: new Map(offered.map(({ id, title }) => [id, title])) } : {}),
      least: numberOf(props.least),
      most: numberOf(props.most),
      dates: props.dates,
      takes: props.takes,
      value: { words: props.value, ...place }[props.sends],
      message: props.message,
      when: props.when,
    };
  });
}

/** The name of the list that a tick puts people on, by the field it belongs to. */
export const listsOf = (form: Part): ReadonlyMap<string, string> =>
  new Map(
    (entryOf(form.slots, ANSWERS) ?? []).flatMap(({ id, kind, props }) => {
      const { sort, list } = props as unknown as FormFieldProps;
      return kind === FORM_FIELD && sort === "consent" && list ? [[id, list] as const] : [];
    }),
  );

export const formProps = (form: Part): FormProps => form.props as unknown as FormProps;

/** What a form is called where its messages are listed. */
export function nameOfForm(form: Part): string {
  const { name, heading } = formProps(form);
  return name || heading || "Form";
}

type FormNow = Pick<SentForm, "given" | "problems"> & {
  readonly fields: readonly FormField[];
  /** The shop's day, as ISO 8601 writes it. */
  readonly today: string;
};
const FormContext = createContext<FormNow>({ fields: [], given: new Map(), problems: new Map(), today: "" });
export const FormProvider = FormContext.Provider;
export const useForm = () => useContext(FormContext);
