import type { ReactNode } from "react";
import type { Goods } from "~/core/goods";
import type { SettingReader } from "~/core/theme";
import { Price, ProductCard, Rating } from "~/kinds/parts";

const STATES = [
  ["", "At rest"],
  ["is-hover", "Hovered"],
  ["is-pressed", "Pressed"],
  ["is-focus", "Focused"],
] as const;
const VARIANTS = [
  ["button", "Primary"],
  ["button button-2", "Secondary"],
  ["button button-3", "Quiet"],
] as const;
const BADGES = [
  ["badge-sale", "Save 20%"],
  ["badge-new", "Made to order"],
  ["badge-coming-soon", "Coming soon"],
  ["badge-sold-out", "Sold out"],
] as const;

function Row({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="sheet-row" aria-label={title}>
      <h2 className="sheet-name">{title}</h2>
      <div className="sheet-things">{children}</div>
    </section>
  );
}

function Buttons() {
  return VARIANTS.map(([className, name]) => (
    <div className="sheet-line" key={name}>
      {STATES.map(([state, words]) => (
        <button key={words} type="button" className={`${className} ${state}`.trim()}>
          {state ? words : name}
        </button>
      ))}
      <button type="button" className={className} disabled>
        Disabled
      </button>
    </div>
  ));
}

/** Every part that the brand styles, in every state, on one page; only the studio shows it. */
export function PartsSheet({ goods, read }: { goods: Goods; read: SettingReader }): ReactNode {
  const reduced = goods.products.find((p) => p.compareAt !== null && p.compareAt > p.price) ?? goods.products[0];
  const telling = [reduced, ...goods.products.filter((p) => p.availability !== "in-stock")]
    .filter((p) => p !== undefined)
    .filter((p, i, all) => all.findIndex((o) => o.availability === p.availability) === i)
    .slice(0, 4);
  return (
    <div className="in sheet">
      <Row title="Heads and text">
        <div className="sheet-stack">
          {[6, 5, 4, 3, 2].map((size) => (
            <p key={size} className={`head sheet-t${size}`}>
              {
                ["Made for wind", "Flies from a light breeze", "What is in the bag", "Bridle and spars", "Care"][
                  6 - size
                ]
              }
            </p>
          ))}
          <p className="lead">
            Text is set in lines of a length that the eye can follow, with <a href="#main">a link</a> in it. Small print
            is softer, and still legible everywhere.
          </p>
          <p className="over">A line above, or small print</p>
        </div>
      </Row>
      <Row title="Buttons">
        <Buttons />
      </Row>
      <Row title="Buttons on other grounds">
        {(["tint", "brand", "accent", "dark"] as const).map((set) => (
          <div className="s sheet-ground" data-set={set} key={set}>
            {VARIANTS.map(([className, name]) => (
              <button key={name} type="button" className={className}>
                {name}
              </button>
            ))}
            <a className="more" href="#main">
              A link
            </a>
          </div>
        ))}
      </Row>
      <Row title="Fields">
        <div className="sheet-line">
          <input className="field" placeholder="Empty, with a hint" aria-label="Empty field" />
          <input className="field" defaultValue="Filled in" aria-label="Filled field" />
          <input className="field is-focus" defaultValue="Focused" aria-label="Focused field" />
          <input className="field" defaultValue="Not right" aria-label="Wrong field" aria-invalid />
          <input className="field" defaultValue="Disabled" aria-label="Disabled field" disabled />
        </div>
      </Row>
      <Row title="Product cards">
        <ul className="grid sheet-cards">
          {telling.map((product) => (
            <li key={product.id}>
              <ProductCard product={product} sizes="25vw" />
            </li>
          ))}
        </ul>
      </Row>
      <Row title="Price, badges, rating">
        <div className="sheet-line">
          {reduced ? <Price product={reduced} /> : null}
          {BADGES.map(([className, words]) => (
            <span key={words} className={`badge badge-still ${className}`}>
              {words}
            </span>
          ))}
          <Rating value={4.5} count={38} />
        </div>
      </Row>
      <Row title="Cards and tabs">
        <div className="sheet-line">
          <div className="box">
            <h3 className="head sheet-t2">A card</h3>
            <p>For what stands by itself.</p>
          </div>
          <div className="tabs" role="tablist" aria-label="Tabs">
            {["Description", "Facts", "Delivery"].map((words, index) => (
              <button
                key={words}
                type="button"
                role="tab"
                aria-selected={index === 0}
                className={index === 2 ? "tab is-hover" : "tab"}
              >
                {words}
              </button>
            ))}
          </div>
        </div>
      </Row>
      <Row title="Pop-up and toast">
        <div className="sheet-line">
          <div className="popup" data-set={read.text("popup.set")} role="group" aria-label="Pop-up">
            <button className="popup-close" type="button" aria-label="Close">
              ×
            </button>
            <h3 className="head sheet-t3">A letter now and then</h3>
            <p>When the wind changes, and when old favourites are back.</p>
            <button type="button" className="button">
              Write to me
            </button>
          </div>
          <div className="toast" data-set={read.text("toast.set")} role="group" aria-label="Toast">
            It is in your cart <a href="#main">See the cart</a>
          </div>
        </div>
      </Row>
      <Row title="Messages">
        <div className="sheet-line">
          <p className="message" data-state="done">
            That went well.
          </p>
          <p className="message" data-state="care">
            That asks for care.
          </p>
          <p className="message" data-state="failed">
            That went wrong.
          </p>
        </div>
      </Row>
    </div>
  );
}

/** Rules of that page alone. */
export const SHEET_CSS = `
.sheet{padding-block:var(--s4) var(--s6);display:flex;flex-direction:column;gap:var(--s4)}
.sheet-row{display:grid;gap:.75rem;border-top:var(--rule) solid var(--line);padding-top:.75rem}
.sheet-name{font-size:var(--t-1);font-weight:var(--strong);color:var(--soft)}
.sheet-things,.sheet-stack{display:flex;flex-direction:column;gap:1rem}
.sheet-line{display:flex;flex-wrap:wrap;gap:.9rem 1.1rem;align-items:center}
.sheet-line .field{width:13rem}
.sheet-ground{display:flex;flex-wrap:wrap;gap:.9rem 1.1rem;align-items:center;padding:1.1rem;border-radius:var(--card)}
.sheet .lead a{color:var(--link-ink);text-decoration:var(--link-line)}
.sheet-cards{--columns:2}
.sheet-t6{--head:var(--t6)}.sheet-t5{--head:var(--t5)}.sheet-t4{--head:var(--t4)}.sheet-t3{--head:var(--t3)}.sheet-t2{--head:var(--t2)}
.message[data-state=care]{color:var(--warning)}
@media (min-width:800px){.sheet-row{grid-template-columns:10rem minmax(0,1fr)}.sheet-cards{--columns:4}}
`;
