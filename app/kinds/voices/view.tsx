import type { ReactNode } from "react";
import { productAddress } from "~/core/addresses";
import type { ViewProps } from "../definition";
import { gridClass, Pic, SectionHead, Stars, useEnv, Words } from "../parts";
import type { VoicesProps } from "./definition";
import { heardIn, type Heard } from "./heard";

type Written = VoicesProps["voices"][number] & { readonly index: number };

/** What reached the seller elsewhere, and where. */
function Said({ voice }: { voice: Written }): ReactNode {
  const { href, picture: find, studio } = useEnv();
  const at = `voices.${voice.index}`;
  const address = href(voice.link);
  const where = <Words at={`${at}.where`} className="voice-where" text={voice.where} hint="Where" />;
  return (
    <>
      {voice.stars === "0" ? null : <Stars stars={Number(voice.stars)} />}
      <blockquote {...(voice.link.to === "web" ? { cite: voice.link.address } : {})}>
        <Words at={`${at}.text`} as="p" className="voice-text" text={voice.text} hint="What was said" />
      </blockquote>
      {voice.who || voice.where || find(voice.picture) || studio ? (
        <figcaption className="voice-by">
          {find(voice.picture) ? (
            <Pic picture={voice.picture} view={voice.pictureView} at={`${at}.picture`} sizes="2.75rem" alt="" />
          ) : null}
          <span>
            <Words at={`${at}.who`} className="voice-who" text={voice.who} hint="Who said it" />
            {address && voice.where ? <a href={address}>{where}</a> : where}
          </span>
        </figcaption>
      ) : null}
    </>
  );
}

/** A review, with what it is of. */
function Reviewed({ heard: { review, product } }: { heard: Heard }): ReactNode {
  const { picture: find } = useEnv();
  const shown = product.pictures.find((id) => find(id)) ?? null;
  return (
    <>
      <Stars stars={review.stars} />
      <blockquote>
        {review.title ? <p className="voice-head">{review.title}</p> : null}
        <p className="voice-text">{review.text}</p>
      </blockquote>
      <figcaption className="voice-by">
        {shown ? <Pic picture={shown} sizes="2.75rem" alt="" /> : null}
        <span>
          <span className="voice-who">{review.name}</span>
          <span className="voice-where">
            on <a href={productAddress(product)}>{product.title}</a>
          </span>
        </span>
      </figcaption>
    </>
  );
}

const LISTS: ReadonlyMap<string, string> = new Map([
  ["shelf", "voices-line"],
  ["large", "voices-line"],
  ["wall", "voices-wall"],
]);

export function View({ props, arrangement, first }: ViewProps<VoicesProps>) {
  const { goods, studio } = useEnv();
  const written = props.voices
    .map((each, index) => ({ ...each, index }))
    .filter((each) => studio ?? each.text.trim() !== "");
  const heard = heardIn(props, goods);
  const count = written.length + heard.length;
  if (count === 0 && !studio) return null;
  const box = arrangement === "large" ? "voice" : "voice is-card";
  const list = LISTS.get(arrangement);
  return (
    <div className="in heads">
      <SectionHead heading={props.heading} first={first} />
      {count ? (
        <ul
          className={list ?? gridClass(count)}
          // What can be slid along can be reached by the keyboard.
          {...(list === "voices-line" ? { tabIndex: 0, "aria-label": props.heading || "Voices" } : {})}
        >
          {written.map((voice) => (
            <li key={voice.index}>
              <figure className={box}>
                <Said voice={voice} />
              </figure>
            </li>
          ))}
          {heard.map((each) => (
            <li key={each.review.id}>
              <figure className={box}>
                <Reviewed heard={each} />
              </figure>
            </li>
          ))}
        </ul>
      ) : (
        <p className="studio-empty">
          No review of your goods suits yet. Words that reached you elsewhere are added in Details, on the left.
        </p>
      )}
    </div>
  );
}
