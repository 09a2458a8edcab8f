import type { ViewProps } from "../definition";
import { useEnv, usePartId, Words } from "../parts";
import type { SearchHeadProps } from "./definition";

export function View({ props }: ViewProps<SearchHeadProps>) {
  const { shown } = useEnv();
  const [field, list] = [usePartId("search"), usePartId("suggest")];
  const sought = shown?.page === "search" ? shown.sought : "";
  return (
    <div className="in">
      <Words at="heading" as="h1" className="head" text={props.heading} hint="Heading" />
      <zest-search>
        <form className="search" method="get" action="/search" role="search">
          <label className="unseen" htmlFor={field}>
            Search for
          </label>
          <input
            className="field"
            id={field}
            type="search"
            name="q"
            defaultValue={sought}
            key={sought}
            maxLength={120}
            placeholder={props.hint}
            autoComplete="off"
          />
          <button className="button" type="submit">
            <Words at="button" text={props.button} hint="Button words" />
          </button>
          <ul className="suggest" id={list} role="listbox" aria-label="Suggestions" hidden>
            <li role="presentation">
              <a href="/" role="option" aria-selected="false">
                <img src="data:," alt="" width="40" height="48" />
                <span />
                <b className="price" />
              </a>
            </li>
          </ul>
        </form>
      </zest-search>
    </div>
  );
}
