import type { ReactNode } from "react";
import { nameOfField, type FormField } from "~/core/form";
import type { ViewProps } from "../definition";
import { useForm } from "../forms";
import { useEnv, useNodeId, Words } from "../parts";
import type { FormFieldProps } from "./definition";

const TYPES: Readonly<Partial<Record<FormField["sort"], string>>> = {
  mail: "email",
  phone: "tel",
  date: "date",
};
const COMPLETES: Readonly<Partial<Record<FormField["sort"], string>>> = { mail: "email", phone: "tel" };
const ACCEPTS: Readonly<Record<FormField["takes"], string>> = {
  any: "image/jpeg,image/png,image/webp,image/gif,application/pdf",
  pictures: "image/jpeg,image/png,image/webp,image/gif",
  pdf: "application/pdf",
};

/** When a field is asked, in words: shown where no script can see to it. */
function whenWords(field: FormField, fields: readonly FormField[]): string {
  const { when } = field;
  const other = when && fields.find(({ id }) => id === when.field);
  if (!other) return "";
  const value = other.sort === "consent" ? "ticked" : `“${other.names?.get(when.value) ?? when.value}”`;
  const how = {
    is: `is ${value}`,
    "is-not": `is not ${value}`,
    filled: other.sort === "consent" ? "is ticked" : "is answered",
    empty: other.sort === "consent" ? "is not ticked" : "is not answered",
  }[when.how];
  return `Only if “${other.label}” ${how}.`;
}

export function View({ props }: ViewProps<FormFieldProps>) {
  const { studio } = useEnv();
  const id = useNodeId();
  const form = useForm();
  const field = form.fields.find((each) => each.id === id);
  if (!field)
    return studio ? (
      <p className="studio-empty">
        {props.label || "Field"}: it asks nothing yet. Give it a question, and something to choose from where it asks to
        choose.
      </p>
    ) : null;
  const name = nameOfField(id);
  const { sort, required, options, names, when } = field;
  if (sort === "hidden") return studio ? <p className="studio-empty">{props.label}: sent along unseen.</p> : null;
  const given = form.given.get(id) ?? [];
  const wrong = form.problems.get(id);
  const own = `ask-${id}`;
  const words = whenWords(field, form.fields);
  const described = [props.hint ? `${own}-hint` : "", `${own}-wrong`].filter(Boolean).join(" ");
  const usual = {
    name,
    "aria-describedby": described,
    ...(wrong === undefined ? {} : { "aria-invalid": true as const }),
  };
  // What is asked only sometimes can't be asked for by a browser that knows nothing of when.
  const must = required && !when ? { required: true } : {};
  const label = (
    <>
      <Words at="label" text={props.label} hint="Question" />
      {required ? null : <span className="fm-free"> (optional)</span>}
    </>
  );
  const after = (
    <>
      {words ? <p className="fm-when">{words}</p> : null}
      {props.hint ? (
        <Words at="hint" as="p" className="fm-hint" text={props.hint} hint="Help" id={`${own}-hint`} />
      ) : null}
      <p className="fm-wrong" id={`${own}-wrong`}>
        {wrong}
      </p>
    </>
  );
  const asked = when
    ? { "data-when": nameOfField(when.field), "data-how": when.how, "data-value": when.value }
    : undefined;
  const picks = (type: "radio" | "checkbox"): ReactNode => (
    <div className="fm-picks">
      {options.map((option) => (
        <label key={option} className="fm-pick">
          <input
            type={type}
            {...usual}
            value={option}
            defaultChecked={given.includes(option)}
            {...(type === "radio" ? must : {})}
          />
          <span>{option}</span>
        </label>
      ))}
    </div>
  );
  if (sort === "several" || (sort === "choice" && props.shows === "buttons"))
    return (
      <fieldset className="fm-ask" {...asked}>
        <legend className="fm-label">{label}</legend>
        {picks(sort === "several" ? "checkbox" : "radio")}
        {after}
      </fieldset>
    );
  if (sort === "consent")
    return (
      <div className="fm-ask" {...asked}>
        <label className="fm-pick">
          <input type="checkbox" {...usual} value="yes" defaultChecked={given.length > 0} {...must} />
          <span>{label}</span>
        </label>
        {after}
      </div>
    );
  const first = given[0] ?? "";
  const control = (): ReactNode => {
    switch (sort) {
      case "text":
        return (
          <textarea className="field" id={own} rows={5} maxLength={5000} defaultValue={first} {...usual} {...must} />
        );
      case "choice":
      case "product":
        return (
          <select className="field" id={own} defaultValue={first} {...usual} {...must}>
            <option value="">Please choose</option>
            {options.map((option) => (
              <option key={option} value={option}>
                {names?.get(option) ?? option}
              </option>
            ))}
          </select>
        );
      case "file":
        return <input className="fm-file" id={own} type="file" accept={ACCEPTS[field.takes]} {...usual} {...must} />;
      default:
        return (
          <input
            className="field"
            id={own}
            type={TYPES[sort] ?? "text"}
            {...(sort === "number" ? { inputMode: "decimal" as const } : {})}
            {...(sort === "date" && field.dates !== "any"
              ? { [field.dates === "coming" ? "min" : "max"]: form.today }
              : {})}
            autoComplete={COMPLETES[sort]}
            maxLength={sort === "date" ? undefined : sort === "mail" ? 254 : 300}
            defaultValue={first}
            {...usual}
            {...must}
          />
        );
    }
  };
  return (
    <div className="fm-ask" {...asked}>
      <label className="fm-label" htmlFor={own}>
        {label}
      </label>
      {control()}
      {after}
    </div>
  );
}
