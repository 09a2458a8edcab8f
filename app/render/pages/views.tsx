import type { ReactNode } from "react";
import {
  AVAILABILITY_WORDS,
  badgeOf,
  chosenProducts,
  factWords,
  searchProducts,
  type Collection,
  type Goods,
  type Product,
} from "~/core/goods";
import { collectionAddress, Pic, Price, ProductCard } from "~/kinds/parts";

type Crumb = { readonly name: string; readonly address?: string };

function Crumbs({ crumbs }: { crumbs: readonly Crumb[] }): ReactNode {
  return (
    <nav className="crumbs" aria-label="Where you are">
      <ol>
        {crumbs.map(({ name, address }) => (
          <li key={name}>{address ? <a href={address}>{name}</a> : <span aria-current="page">{name}</span>}</li>
        ))}
      </ol>
    </nav>
  );
}

function Grid({ products }: { products: readonly Product[] }): ReactNode {
  return (
    <ul className="grid">
      {products.map((product, index) => (
        <li key={product.id}>
          <ProductCard
            product={product}
            level={2}
            eager={index < 4}
            sizes="(min-width:1024px) 25vw, (min-width:600px) 33vw, 50vw"
          />
        </li>
      ))}
    </ul>
  );
}

/** All goods of a collection; of the whole shop where none is given. */
export function CollectionPage({ goods, collection }: { goods: Goods; collection: Collection | undefined }): ReactNode {
  const products = chosenProducts(goods, collection?.id ?? null, 500);
  const title = collection?.title ?? "Everything";
  return (
    <div className="in plain">
      <Crumbs crumbs={[{ name: "Home", address: "/" }, { name: title }]} />
      <div className="plain-head">
        <h1 className="head">{title}</h1>
        {collection?.description ? <p className="lead">{collection.description}</p> : null}
      </div>
      {products.length ? (
        <Grid products={products} />
      ) : (
        <p className="lead">
          There is nothing here just now. <a href="/">Back to the start</a>
        </p>
      )}
    </div>
  );
}

/** One product: pictures, price, whether it can be had, what there is to know. */
export function ProductPage({ goods, product }: { goods: Goods; product: Product }): ReactNode {
  const collection = goods.collections.find((c) => c.id === product.collections[0]);
  const crumbs: Crumb[] = [{ name: "Home", address: "/" }];
  if (collection) crumbs.push({ name: collection.title, address: collectionAddress(collection) });
  crumbs.push({ name: product.title });
  const facts = Object.entries(product.attributes).map(([name, value]) => factWords(name, value));
  const state =
    product.availability === "coming-soon"
      ? (badgeOf(product) ?? "Coming soon")
      : AVAILABILITY_WORDS[product.availability];
  const shown = product.pictures.length ? product.pictures : [null];
  return (
    <div className="in plain">
      <Crumbs crumbs={crumbs} />
      <article className="product">
        <div className="product-pictures">
          {shown.map((picture, index) => (
            <Pic
              key={picture}
              picture={picture}
              eager={index === 0}
              sizes={index ? "(min-width:800px) 28vw, 50vw" : "(min-width:800px) 55vw, 100vw"}
            />
          ))}
        </div>
        <div className="product-words">
          <h1 className="head">{product.title}</h1>
          <Price product={product} />
          <p className={`state state-${product.availability}`}>{state}</p>
          {product.description ? <p className="lead">{product.description}</p> : null}
          {facts.length ? (
            <dl className="facts">
              {facts.map(({ name, value }) => (
                <div key={name}>
                  <dt>{name}</dt>
                  <dd>{value}</dd>
                </div>
              ))}
            </dl>
          ) : null}
        </div>
      </article>
    </div>
  );
}

/** What was sought, and what fits it; something to go on with where nothing does. */
export function SearchPage({ goods, query }: { goods: Goods; query: string }): ReactNode {
  const found = searchProducts(goods, query);
  const asked = query.trim() !== "";
  const said = found.length === 1 ? "One thing fits" : `${found.length} things fit`;
  return (
    <div className="in plain">
      <div className="plain-head">
        <h1 className="head">Search</h1>
        <form className="search" method="get" action="/search" role="search">
          <label className="unseen" htmlFor="search-for">
            Search for
          </label>
          <input className="field" id="search-for" type="search" name="q" defaultValue={query} maxLength={120} />
          <button className="button" type="submit">
            Search
          </button>
        </form>
        {asked ? (
          <p className="lead">
            {found.length
              ? `${said} “${query}”.`
              : `Nothing fits “${query}”. Try one word less, or look through everything.`}
          </p>
        ) : null}
      </div>
      {found.length ? <Grid products={found} /> : null}
      {asked && !found.length ? (
        <a className="button button-2" href="/collections/all">
          See everything
        </a>
      ) : null}
    </div>
  );
}

/** A page that says one thing: not found, thank you, something went wrong. */
export function MessagePage({ title, text, goods }: { title: string; text: string; goods: Goods }): ReactNode {
  return (
    <div className="in message-page">
      <h1 className="head">{title}</h1>
      <p className="lead">{text}</p>
      <a className="button" href={goods.products.length ? "/collections/all" : "/"}>
        {goods.products.length ? "See everything we make" : "Back to the start"}
      </a>
    </div>
  );
}
