import type { ViewProps } from "../definition";
import { gridClass, SectionHead, useEnv, Words } from "../parts";
import type { FiguresProps } from "./definition";

export function View({ props, first }: ViewProps<FiguresProps>) {
  const { studio } = useEnv();
  const figures = props.figures
    .map((each, index) => ({ ...each, index }))
    .filter((each) => studio ?? (each.figure && each.text));
  if (figures.length === 0 && !studio) return null;
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} first={first} />
      {figures.length ? (
        // What is counted is the term, its figure the description: read in this order, seen in the other.
        <dl className={gridClass(figures.length)}>
          {figures.map(({ index, figure, text }) => (
            <div key={index} className="figure">
              <Words at={`figures.${index}.text`} as="dt" className="figure-words" text={text} hint="What it counts" />
              <Words at={`figures.${index}.figure`} as="dd" className="figure-n" text={figure} hint="0" />
            </div>
          ))}
        </dl>
      ) : (
        <p className="studio-empty">Add the first figure, in Details on the left.</p>
      )}
      {props.note ? (
        <Words at="note" as="p" className="figures-note" text={props.note} hint="Where they are from" />
      ) : null}
    </div>
  );
}
