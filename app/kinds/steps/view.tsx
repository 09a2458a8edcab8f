import type { ViewProps } from "../definition";
import { gridClass, innerHead, Pic, SectionHead, useEnv, Words } from "../parts";
import type { StepsProps } from "./definition";

const SIZES: ReadonlyMap<string, string> = new Map([
  ["line", "(min-width:600px) 30rem, 90vw"],
  ["pictures", "(min-width:600px) 33vw, 100vw"],
  ["turns", "(min-width:700px) 50vw, 100vw"],
]);

export function View({ props, arrangement, first }: ViewProps<StepsProps>) {
  const { studio, picture: find } = useEnv();
  const steps = props.steps
    .map((step, index) => ({ ...step, index }))
    .filter((step) => studio ?? (step.heading || step.text || find(step.picture)));
  if (steps.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  const inGrid = arrangement === "abreast" || arrangement === "pictures";
  // Without a picture, a step of these two is words alone; where pictures are what it is about, its place is kept.
  const keepsPlace = arrangement === "pictures";
  const shows = arrangement !== "abreast";
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {steps.length ? (
        <ol className={inGrid ? `steps ${gridClass(steps.length)}` : "steps"}>
          {steps.map((step, i) => {
            const at = `steps.${step.index}`;
            const pic =
              shows && (find(step.picture) || keepsPlace) ? (
                <Pic
                  picture={step.picture}
                  view={step.pictureView}
                  at={`${at}.picture`}
                  sizes={SIZES.get(arrangement) ?? "100vw"}
                />
              ) : null;
            const words = (
              <div className="step-words">
                {arrangement === "pictures" || arrangement === "turns" ? <span className="step-n">{i + 1}</span> : null}
                <Words
                  at={`${at}.heading`}
                  as={Tag}
                  className="head step-head"
                  text={step.heading}
                  hint="What is done"
                />
                <Words at={`${at}.text`} as="p" className="step-text" text={step.text} hint="In a few sentences" />
              </div>
            );
            return (
              <li key={step.index} className="step">
                {inGrid || arrangement === "turns" ? pic : null}
                {arrangement === "abreast" || arrangement === "line" ? <span className="step-n">{i + 1}</span> : null}
                {words}
                {arrangement === "line" ? pic : null}
              </li>
            );
          })}
        </ol>
      ) : (
        <p className="studio-empty">Add the first step, in Details on the left.</p>
      )}
    </div>
  );
}
