import { nameOfField } from "~/core/form";
import type { ViewProps } from "../definition";
import { ANSWERS, fieldsOf, FormProvider } from "../forms";
import { Pic, SectionHead, useEnv, useInside, useNodeId, usePartId, useSlot, Words } from "../parts";
import type { FormProps } from "./definition";

export function View({ props, arrangement, first }: ViewProps<FormProps>) {
  const { studio, goods, sent } = useEnv();
  const id = useNodeId();
  const blank = usePartId("blank");
  const { slots } = useInside();
  const { inside, mark } = useSlot(ANSWERS);
  const fields = fieldsOf({ slots }, goods);
  if (fields.length === 0 && !studio) return null;
  const mine = sent?.form === id ? sent : undefined;
  const problems = mine?.problems ?? new Map<string, string>();
  const takesFiles = fields.some(({ sort }) => sort === "file");
  const hasHead = props.heading !== "" || props.text !== "" || studio !== undefined;
  const body = (
    <>
      {hasHead ? (
        <div className="fm-words heads">
          <SectionHead heading={props.heading} text={props.text} first={first} />
        </div>
      ) : null}
      <zest-form className="fm-box">
        <form method="post" action={`/forms/${id}`} {...(takesFiles ? { encType: "multipart/form-data" } : {})}>
          {problems.size ? (
            <div className="fm-all" role="alert">
              <p>Something is missing or can’t be read:</p>
              <ul>
                {fields.flatMap((field) => {
                  const why = problems.get(field.id);
                  return why === undefined ? [] : <li key={field.id}>{`${field.label}: ${why}`}</li>;
                })}
              </ul>
              {takesFiles ? <p>Files have to be chosen once more.</p> : null}
            </div>
          ) : null}
          <FormProvider
            value={{
              fields,
              given: mine?.given ?? new Map<string, readonly string[]>(),
              problems,
              today: goods.asOf.day,
            }}
          >
            <div className="fm-fields" {...mark}>
              {inside}
            </div>
          </FormProvider>
          {studio && fields.length === 0 ? (
            <p className="studio-empty">Add the first field, in Details on the left.</p>
          ) : null}
          <p className="unseen" aria-hidden="true">
            <label htmlFor={blank}>Leave this empty</label>
            <input id={blank} type="text" name={nameOfField("blank")} tabIndex={-1} autoComplete="off" />
          </p>
          <div className="fm-end">
            <button className="button" type="submit">
              <Words at="button" text={props.button} hint="Button words" />
            </button>
            {props.note ? <Words at="note" as="p" className="fm-note" text={props.note} hint="Small print" /> : null}
          </div>
          <p className="message" role="status" />
        </form>
      </zest-form>
    </>
  );
  return (
    <div className="in">
      {arrangement === "card" ? <div className="fm-card">{body}</div> : body}
      {arrangement === "picture" ? (
        <Pic
          picture={props.picture}
          view={props.pictureView}
          at="picture"
          sizes="(min-width:800px) 45vw, 100vw"
          eager={first}
        />
      ) : null}
    </div>
  );
}
