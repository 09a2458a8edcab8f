import type { ViewProps } from "../definition";
import { Action, gridClass, innerHead, Pic, SectionHead, useEnv, Words } from "../parts";
import type { PeopleProps } from "./definition";

const SIZES: ReadonlyMap<string, string> = new Map([
  ["round", "11rem"],
  ["beside", "10rem"],
  ["turns", "(min-width:700px) 45vw, 100vw"],
]);

export function View({ props, arrangement, first }: ViewProps<PeopleProps>) {
  const { studio } = useEnv();
  const people = props.people.map((each, index) => ({ ...each, index })).filter((each) => studio ?? each.name);
  if (people.length === 0 && !studio) return null;
  const Tag = innerHead(props.heading, first);
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} text={props.text} first={first} />
      {people.length ? (
        <ul className={arrangement === "turns" ? "folk" : gridClass(people.length)}>
          {people.map((each) => {
            const at = `people.${each.index}`;
            return (
              <li key={each.index} className="person">
                <Pic
                  picture={each.picture}
                  view={each.pictureView}
                  at={`${at}.picture`}
                  sizes={SIZES.get(arrangement) ?? "(min-width:600px) 33vw, 100vw"}
                  {...(each.name ? { alt: "" } : {})}
                />
                <div className="person-words">
                  <Words at={`${at}.name`} as={Tag} className="head person-name" text={each.name} hint="Name" />
                  <Words at={`${at}.role`} as="p" className="person-role" text={each.role} hint="What they do" />
                  <Words at={`${at}.text`} as="p" className="person-text" text={each.text} hint="A few words" />
                  {each.more ? <Action at={`${at}.more`} className="more" label={each.more} link={each.link} /> : null}
                </div>
              </li>
            );
          })}
        </ul>
      ) : (
        <p className="studio-empty">Add the first of you, in Details on the left.</p>
      )}
    </div>
  );
}
