import { valueState, type Option, type Product, type Variant } from "~/core/goods";
import type { ViewProps } from "../definition";
import { Thumb, useEnv, usePartId, usePartnerId, useProduct } from "../parts";
import type { ProductOptionsProps } from "./definition";

type PickProps = {
  form: string | undefined;
  product: Product;
  variant: Variant | undefined;
  option: Option;
  at: number;
  none: string;
};

/** One option to choose of. The inputs belong to the form that buys, wherever that stands. */
function Pick({ form, product, variant, option, at, none }: PickProps) {
  const { picture: find } = useEnv();
  const choice = product.options.map((_o, i) => variant?.values[i]);
  const name = `option-${at}`;
  const id = usePartId(name);
  const stateOfValue = (value: string) => valueState(product, choice, at, value);
  const words = { free: "", unavailable: ", sold out", none: `, ${none.toLowerCase()}` };
  if (option.picker === "list")
    return (
      <div className="pick">
        <label className="pick-name" htmlFor={id}>
          {option.name}
        </label>
        <select className="field" id={id} name={name} form={form} defaultValue={choice[at]} key={choice[at]}>
          {option.values.map((v) => (
            <option key={v.name} value={v.name}>
              {v.name}
              {words[stateOfValue(v.name)]}
            </option>
          ))}
        </select>
      </div>
    );
  const look =
    option.picker === "swatches" ? "opt-swatch" : option.picker === "pictures" ? "opt-picture" : "opt-button";
  return (
    <fieldset className="pick" data-option={at}>
      <legend>
        {option.name}: <span data-live={name}>{choice[at]}</span>
      </legend>
      <div className="pick-row">
        {option.values.map((v) => {
          const state = stateOfValue(v.name);
          const picture =
            option.picker === "pictures"
              ? find(product.variants.find((each) => each.values[at] === v.name && each.picture)?.picture ?? null)
              : undefined;
          return (
            <label key={v.name} className={`opt ${look}`} data-state={state} title={`${v.name}${words[state]}`}>
              <input
                type="radio"
                name={name}
                value={v.name}
                form={form}
                defaultChecked={v.name === choice[at]}
                key={`${v.name} ${v.name === choice[at]}`}
              />
              <span className="opt-face">
                {picture ? (
                  <Thumb picture={picture} alt={v.name} />
                ) : option.picker === "swatches" && v.colour ? (
                  <svg viewBox="0 0 2 2" role="img" aria-label={v.name}>
                    <rect width="2" height="2" fill={v.colour} />
                  </svg>
                ) : (
                  v.name
                )}
                <span className="unseen" data-state-words>
                  {words[state]}
                </span>
              </span>
            </label>
          );
        })}
      </div>
    </fieldset>
  );
}

export function View({ props }: ViewProps<ProductOptionsProps>) {
  const { studio } = useEnv();
  const form = usePartnerId("buy", "product-buy", "product-options");
  const found = useProduct();
  if (!found) return null;
  const { product, variant } = found;
  if (product.options.length === 0)
    return studio ? <p className="over">This product has no variants to choose from.</p> : null;
  return (
    <zest-options className="picks" data-none={props.none}>
      {product.options.map((option, at) => (
        <Pick
          key={option.name}
          form={form}
          product={product}
          variant={variant}
          option={option}
          at={at}
          none={props.none}
        />
      ))}
    </zest-options>
  );
}
