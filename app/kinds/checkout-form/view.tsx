import type { ReactNode } from "react";
import { askedOf, CHECKOUT_STEPS, stepOf, type CheckoutStep, type CheckoutValues } from "~/core/checkout";
import { ADDRESS_OF_DOOR, sameAddress } from "~/core/account";
import { addressLines, countryName, hasAccounts, PAYMENT_WORDS, TEST_CARDS } from "~/core/selling";
import type { ViewProps } from "../definition";
import { AddressFields, useCheckout, useEnv, usePartId, Words, type CheckoutShown } from "../parts";
import { Ask } from "./ask";
import { Bill, OF_BILL } from "./bill";
import { CardFor, Cards } from "./cards";
import type { CheckoutFormProps } from "./definition";

/** A field that stands in another step: what was given in it goes along unseen. */
const Kept = ({ values, names }: { values: CheckoutValues; names: readonly (keyof CheckoutValues)[] }) =>
  names.map((name) => {
    const value = values[name];
    const text = typeof value === "string" ? value : value === true ? "1" : "";
    return text === "" ? null : <input key={name} type="hidden" name={name} value={text} />;
  });

const OF_ADDRESS: readonly (keyof CheckoutValues)[] = [
  "mail",
  "phone",
  "news",
  "country",
  "name",
  "company",
  "street",
  "more",
  "district",
  "town",
  "area",
  "postcode",
];
const OF_DELIVERY: readonly (keyof CheckoutValues)[] = [
  "way",
  "note",
  "gift",
  "cardDesign",
  "cardTo",
  "cardFrom",
  "cardMessage",
];

/** Said where a browser runs no script: what another country or way costs is asked for by a press. */
const Again = () => (
  <noscript>
    <button className="button button-2" type="submit" name="do" value="look">
      Show what it costs now
    </button>
  </noscript>
);

/** Who is signed in, or the way to it. */
function WhoBuys(): ReactNode {
  const { selling } = useEnv();
  const { account } = useCheckout();
  if (account) return <p className="ck-small">Signed in as {account.mail}</p>;
  if (!hasAccounts(selling)) return null;
  return (
    <p className="ck-small">
      You have an account? <a href={`${ADDRESS_OF_DOOR["sign-in"]}?to=/checkout`}>Sign in</a>
    </p>
  );
}

/** The addresses that whoever is signed in keeps, each to be used by a press. */
function Book(): ReactNode {
  const { account, values } = useCheckout();
  const others = (account?.addresses ?? []).filter((address) => !sameAddress(address, values));
  if (others.length === 0) return null;
  return (
    <details className="ck-fold">
      <summary>Use another of your addresses</summary>
      <ul className="ck-book">
        {others.map((address) => (
          <li key={address.id}>
            <button type="submit" name="do" value={`use:${address.id}`}>
              {[address.name, address.company, address.street, address.town].filter(Boolean).join(", ")}
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

function Contact({ props }: { props: CheckoutFormProps }): ReactNode {
  const { values } = useCheckout();
  return (
    <section className="ck-part">
      <div className="ck-head">
        <Words at="contact" as="h2" text={props.contact} hint="Heading" />
        <WhoBuys />
      </div>
      <div className="fill-fields">
        <Ask
          name="mail"
          label="Mail address"
          type="email"
          keys="email"
          autofill="email"
          isNeeded
          {...(props.phone === "no" ? {} : { width: "half" as const })}
        />
        {props.phone === "no" ? null : (
          <Ask
            width="half"
            name="phone"
            label="Phone"
            type="tel"
            keys="tel"
            autofill="tel"
            isNeeded={props.phone === "must"}
          />
        )}
      </div>
      {props.news ? (
        <label className="fill-tick">
          <input type="checkbox" name="news" value="1" defaultChecked={values.news} />
          <Words at="news" text={props.news} hint="Tick" />
        </label>
      ) : null}
    </section>
  );
}

function Address({ props }: { props: CheckoutFormProps }): ReactNode {
  const { country, countries, way, problems, values } = useCheckout();
  // What comes as a letter goes to a mail address.
  if (way?.isLetter)
    return (
      <section className="ck-part">
        <input type="hidden" name="country" value={country} />
        <div className="fill-fields">
          <Ask name="name" label="Your name" autofill="name" isNeeded />
        </div>
      </section>
    );
  return (
    <section className="ck-part">
      <Words at="address" as="h2" text={props.address} hint="Heading" />
      <Book />
      <AddressFields
        of="ck"
        country={country}
        countries={countries}
        fields={askedOf(country, way).filter(({ field }) => field !== "company" || props.company)}
        values={values}
        problems={problems}
        again
      />
      <Again />
    </section>
  );
}

function Delivery({ props }: { props: CheckoutFormProps }): ReactNode {
  const { delivery, costs: costsOf, way, values, problems } = useCheckout();
  const { money } = useEnv();
  const note = usePartId("ck-note");
  const gift = usePartId("ck-gift");
  return (
    <section className="ck-part">
      <Words at="delivery" as="h2" text={props.delivery} hint="Heading" />
      {delivery.ways.length ? (
        <div className="ck-picks" role="radiogroup" aria-label={props.delivery}>
          {delivery.ways.map((each) => {
            const isChosen = each.id === way?.id;
            const costs = costsOf.get(each.id) ?? each.costs;
            return (
              <div className="ck-option" key={each.id}>
                <label className="ck-pick">
                  <input type="radio" name="way" value={each.id} defaultChecked={isChosen} data-again="" />
                  <span>{each.name}</span>
                  <span className="amount">{costs === 0 ? "Free" : money(costs)}</span>
                  {each.says ? <small>{each.says}</small> : null}
                </label>
              </div>
            );
          })}
        </div>
      ) : (
        <p className="ck-none" role="status">
          {delivery.why === "parcel"
            ? "So much can’t be sent there at once."
            : delivery.why === "collect"
              ? "Something in your cart can’t be sent."
              : "Nothing is delivered there yet."}
        </p>
      )}
      <p className="fill-wrong">{problems.get("way")}</p>
      {[["note", props.note, note] as const, ["gift", props.gift, gift] as const].map(([name, label, id]) =>
        label ? (
          <details className="ck-fold" key={name} open={values[name] !== "" || problems.has(name)}>
            <summary>
              <Words at={name} text={label} hint="What it asks for" />
            </summary>
            <textarea
              className="field"
              id={id}
              name={name}
              aria-label={label}
              rows={3}
              defaultValue={values[name]}
              aria-describedby={`${id}-wrong`}
            />
            <p className="fill-wrong" id={`${id}-wrong`}>
              {problems.get(name)}
            </p>
          </details>
        ) : null,
      )}
      <Again />
    </section>
  );
}

const spaced = (number: string) => number.replace(/(.{4})(?=.)/g, "$1 ");

function CardFields(): ReactNode {
  return (
    <div className="ck-more">
      <p className="ck-test">
        This is a test: no money is taken, and no real card is accepted. <code>{spaced(TEST_CARDS.paid)}</code> is paid,{" "}
        <code>{spaced(TEST_CARDS.declined)}</code> is declined, <code>{spaced(TEST_CARDS.asked)}</code> asks whether it
        is you, <code>{spaced(TEST_CARDS.late)}</code> gets no answer.
      </p>
      <div className="fill-fields">
        <Ask name="number" label="Card number" keys="numeric" autofill="cc-number" isNeeded isSecret />
        <Ask
          name="expires"
          label="Expires"
          keys="numeric"
          autofill="cc-exp"
          placeholder="MM/YY"
          width="half"
          isNeeded
          isSecret
        />
        <Ask name="code" label="Security code" keys="numeric" autofill="cc-csc" width="half" isNeeded isSecret />
      </div>
    </div>
  );
}

function PaymentPart({ props }: { props: CheckoutFormProps }): ReactNode {
  const { payments, pay, problems, due, byCards } = useCheckout();
  const { selling } = useEnv();
  return (
    <section className="ck-part">
      <Words at="payment" as="h2" text={props.payment} hint="Heading" />
      <Cards />
      {due === 0 ? (
        <p className="ck-none">{byCards.length ? "Your gift card pays all of it." : "There is nothing to pay."}</p>
      ) : payments.length ? (
        <div className="ck-picks" role="radiogroup" aria-label={props.payment}>
          {payments.map((each) => (
            <div className="ck-option" key={each}>
              <label className="ck-pick">
                <input type="radio" name="pay" value={each} defaultChecked={each === pay} />
                <span>{PAYMENT_WORDS[each]}</span>
                <span />
              </label>
              {each === "card" ? <CardFields /> : null}
              {each === "transfer" ? (
                <div className="ck-more">
                  <p className="ck-small">{selling.pays.transfer}</p>
                </div>
              ) : null}
            </div>
          ))}
        </div>
      ) : null}
      <p className="fill-wrong">{problems.get("pay")}</p>
      <Bill props={props} />
    </section>
  );
}

function End({ props }: { props: CheckoutFormProps }): ReactNode {
  const { due, way } = useCheckout();
  const { money, href } = useEnv();
  const links = props.links.flatMap(({ label, link }) => {
    const to = href(link);
    return to === undefined || label === "" ? [] : [{ label, to }];
  });
  return (
    <div className="ck-end">
      {links.length ? (
        <p className="ck-links">
          {links.map(({ label, to }) => (
            <a key={to} href={to} target="_blank" rel="noopener">
              {label}
            </a>
          ))}
        </p>
      ) : null}
      {props.small ? <Words at="small" as="p" className="ck-small" text={props.small} hint="Small print" /> : null}
      {way ? (
        <button className="button" type="submit" name="do" value="place">
          <Words at="button" text={props.button} hint="Button words" /> <span className="ck-total">{money(due)}</span>
        </button>
      ) : null}
    </div>
  );
}

/** What was given in a step that is done, and the way back to it. */
function Done({ step, title }: { step: CheckoutStep; title: string }): ReactNode {
  const { values, country, way } = useCheckout();
  const text =
    step === "address"
      ? [
          values.mail,
          ...(way?.isCollected || way?.isLetter
            ? [values.name]
            : addressLines({ ...values, country }, countryName).filter((line) => line.trim() !== "")),
        ].join("\n")
      : (way?.name ?? "");
  return (
    <div className="ck-done">
      <h2>{title}</h2>
      <p>{text}</p>
      <button type="submit" name="do" value={`step:${step}`} aria-label={`Change: ${title}`}>
        Change
      </button>
    </div>
  );
}

function Steps({ props }: { props: CheckoutFormProps }): ReactNode {
  const checkout = useCheckout();
  const { values } = checkout;
  const step = checkout.step ?? "address";
  const at = CHECKOUT_STEPS.indexOf(step);
  const next = CHECKOUT_STEPS[at + 1];
  return (
    <>
      <p className="ck-step">
        Step {at + 1} of {CHECKOUT_STEPS.length}
      </p>
      {step === "address" ? (
        <>
          <Contact props={props} />
          <Address props={props} />
          <Kept values={values} names={[...OF_DELIVERY, ...OF_BILL, "pay"]} />
        </>
      ) : (
        <>
          <Done step="address" title={props.address} />
          <Kept values={{ ...values, country: checkout.country }} names={OF_ADDRESS} />
        </>
      )}
      {step === "delivery" ? (
        <>
          <Delivery props={props} />
          <CardFor props={props} />
        </>
      ) : null}
      {step === "payment" ? (
        <>
          <Done step="delivery" title={props.delivery} />
          <Kept values={{ ...values, way: checkout.way?.id ?? "" }} names={OF_DELIVERY} />
          <PaymentPart props={props} />
          <End props={props} />
        </>
      ) : null}
      {step === "delivery" ? <Kept values={values} names={[...OF_BILL, "pay"]} /> : null}
      {next ? (
        <div className="ck-end">
          <button className="button" type="submit" name="do" value={`next:${next}`}>
            Continue
          </button>
        </div>
      ) : null}
    </>
  );
}

/** What is wrong, above everything, each leading to its field. */
function Said({ checkout, id }: { checkout: CheckoutShown; id: (name: string) => string }): ReactNode {
  const { said, problems } = checkout;
  if (!said && problems.size === 0) return null;
  return (
    <div className="ck-said" role="alert" tabIndex={-1}>
      <p>{said ?? "Something has to be put right first:"}</p>
      {problems.size ? (
        <ul>
          {[...problems].map(([name, why]) => (
            <li key={name}>
              <a href={`#${id(name)}`}>{why}</a>
            </li>
          ))}
        </ul>
      ) : null}
    </div>
  );
}

export function View({ props, arrangement }: ViewProps<CheckoutFormProps>) {
  const { studio } = useEnv();
  const checkout = useCheckout();
  const own = usePartId("ck");
  const { lines, pressed, problems, values } = checkout;
  if (lines.length === 0) return null;
  const isSteps = arrangement === "steps";
  // A problem in another step leads to where it can be put right.
  const shown = isSteps
    ? {
        ...checkout,
        problems: new Map([...problems].filter(([name]) => stepOf(name) === (checkout.step ?? "address"))),
      }
    : checkout;
  return (
    <zest-checkout>
      <form className="ck" id={own} method="post" action="/checkout" noValidate>
        <input type="hidden" name="pressed" value={pressed ?? ""} />
        <input type="hidden" name="seen" value={checkout.due} />
        {values.cards.length ? <input type="hidden" name="cards" value={values.cards.join(",")} /> : null}
        {isSteps ? <input type="hidden" name="at" value={checkout.step ?? "address"} /> : null}
        {/* Enter in a field presses the first button of its form. */}
        <button
          className="unseen"
          type="submit"
          name="do"
          value={isSteps ? "enter" : "place"}
          tabIndex={-1}
          aria-hidden="true"
        >
          {props.button}
        </button>
        <Said checkout={shown} id={(name) => own.replace(/^ck-/, `ck-${name}-`)} />
        {studio && checkout.delivery.ways.length === 0 ? (
          <p className="studio-empty">Nobody can buy yet: say in Orders where you deliver and how you are paid.</p>
        ) : null}
        {isSteps ? (
          <Steps props={props} />
        ) : (
          <>
            <Contact props={props} />
            <Address props={props} />
            <Delivery props={props} />
            <CardFor props={props} />
            <PaymentPart props={props} />
            <End props={props} />
          </>
        )}
      </form>
    </zest-checkout>
  );
}
