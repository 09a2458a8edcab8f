import type { ReactNode } from "react";
import { BILL } from "~/core/checkout";
import { countriesByName, countryName, type AddressField, type AskedField } from "~/core/selling";
import { usePartId } from "./env";

// Fields in which shoppers write what an order or an account needs, each with what is wrong with it beside it.

export type AskProps = {
  /** What begins the ids of the fields of a form: two forms of a page have another one each. */
  readonly of: string;
  readonly name: string;
  readonly label: string;
  readonly value: string;
  readonly problem?: string | undefined;
  readonly type?: "text" | "email" | "tel" | "password";
  readonly isNeeded?: boolean;
  readonly autofill?: string;
  readonly keys?: "numeric" | "email" | "tel" | "text";
  readonly width?: "half" | "third" | "two";
  readonly capitals?: boolean;
  /** Another answer changes what the rest comes to. */
  readonly again?: boolean;
  readonly placeholder?: string;
  /** Said beneath it. */
  readonly hint?: string;
};

/** The id of a field, which messages about it lead to. */
export const useFieldId = (of: string, name: string): string => usePartId(`${of}-${name}`);

/** One thing that is asked, with what is wrong with it. */
export function AskField(props: AskProps): ReactNode {
  const { of, name, label, value, problem, type = "text", isNeeded, autofill, keys, width, capitals, again } = props;
  const { placeholder, hint } = props;
  const id = useFieldId(of, name);
  return (
    <div className={width ? `fill fill-${width}` : "fill"}>
      <label htmlFor={id}>
        {label}
        {isNeeded ? null : <span className="fill-free"> (optional)</span>}
      </label>
      <input
        className="field"
        id={id}
        name={name}
        type={type}
        defaultValue={value}
        maxLength={254}
        autoComplete={autofill ?? "off"}
        {...(keys ? { inputMode: keys } : {})}
        {...(capitals ? { autoCapitalize: "characters" } : {})}
        {...(placeholder ? { placeholder } : {})}
        {...(again ? { "data-again": "" } : {})}
        {...(isNeeded ? { "aria-required": true as const } : {})}
        {...(problem === undefined ? {} : { "aria-invalid": true as const })}
        aria-describedby={`${id}-wrong`}
      />
      {hint ? <p className="fill-hint">{hint}</p> : null}
      <p className="fill-wrong" id={`${id}-wrong`}>
        {problem}
      </p>
    </div>
  );
}

type AddressFieldsProps = {
  readonly of: string;
  /** It is where the bill goes, beside another address in the same form: its fields have names of their own, and are filled in by their own. */
  readonly isBill?: boolean;
  readonly country: string;
  /** Those that can be chosen; undefined: all. */
  readonly countries: readonly string[] | undefined;
  readonly fields: readonly AskedField[];
  readonly values: Readonly<Partial<Record<AddressField, string>>>;
  readonly problems: ReadonlyMap<string, string>;
  readonly again?: boolean;
};

/** An address, with the fields that its country has. */
export function AddressFields({
  of,
  isBill = false,
  country,
  countries,
  fields,
  values,
  problems,
  again,
}: AddressFieldsProps): ReactNode {
  const prefix = isBill ? BILL : "";
  const id = useFieldId(of, `${prefix}country`);
  // What browsers fill in (HTML, autofill detail tokens).
  const filled = (token: string) => (isBill ? `billing ${token}` : token);
  const list = countriesByName(countries);
  const known =
    list.some(([code]) => code === country) || country === ""
      ? list
      : [[country, countryName(country)] as const, ...list];
  const widths = new Map<string, "third" | "half" | "two">(
    fields.some(({ field }) => field === "area")
      ? [
          ["town", "third"],
          ["area", "third"],
          ["postcode", "third"],
        ]
      : [
          ["town", "two"],
          ["postcode", "third"],
        ],
  );
  return (
    <div className="fill-box">
      <div className="fill-fields">
        <div className="fill">
          <label htmlFor={id}>Country</label>
          <select
            className="field"
            id={id}
            name={`${prefix}country`}
            defaultValue={country}
            key={country}
            autoComplete={filled("country")}
            {...(again ? { "data-again": "" } : { "data-sends": "country" })}
            aria-describedby={`${id}-wrong`}
          >
            {known.map(([code, name]) => (
              <option key={code} value={code}>
                {name}
              </option>
            ))}
          </select>
          <p className="fill-wrong" id={`${id}-wrong`}>
            {problems.get(`${prefix}country`)}
          </p>
        </div>
        {fields.map(({ field, label, isNeeded, autofill }) => {
          const width = widths.get(field);
          return (
            <AskField
              key={field}
              of={of}
              name={prefix + field}
              label={label}
              value={values[field] ?? ""}
              problem={problems.get(prefix + field)}
              isNeeded={isNeeded}
              autofill={filled(autofill)}
              {...(width ? { width } : {})}
              {...(field === "postcode" ? { capitals: true, ...(again ? { again } : {}) } : {})}
            />
          );
        })}
      </div>
    </div>
  );
}

export const ASK_CSS = `
.fill-fields{display:grid;grid-template-columns:repeat(6,minmax(0,1fr));gap:var(--s2) clamp(.75rem,2vw,1.25rem)}
.fill{grid-column:1/-1;min-width:0}
.fill label{display:block;margin-bottom:.3rem;font-weight:var(--strong)}
.fill-free{font-weight:var(--text-weight);color:var(--soft)}
.fill-hint{margin-top:.3rem;font-size:var(--t-1);color:var(--soft)}
.fill-wrong{margin-top:.3rem;font-size:var(--t-1);font-weight:var(--strong);color:var(--danger)}
.fill-wrong:empty{display:none}
.fill [aria-invalid=true]{border-color:var(--danger)}
.fill-tick{display:flex;gap:.65rem;align-items:center;min-height:2.75rem;cursor:pointer}
.fill-tick input{flex:none;width:1.3rem;height:1.3rem;margin:0;accent-color:var(--brand)}
@media (min-width:520px){.fill-half{grid-column:span 3}}
.fill-box{container-type:inline-size}
@container (min-width:28rem){.fill-third{grid-column:span 3}.fill-two{grid-column:span 3}}
@container (min-width:36rem){.fill-third{grid-column:span 2}.fill-two{grid-column:span 4}}`;
