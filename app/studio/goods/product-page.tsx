import { Alert, Box, Button, FormControlLabel, Skeleton, Switch, TextField, Typography } from "@mui/material";
import { ArrowLeft, ExternalLink } from "lucide-react";
import { Suspense, useDeferredValue, useEffect, useMemo, useRef, useState } from "react";
import { Link, useBlocker, useNavigate, useParams } from "react-router";
import {
  collectionsWith,
  makeProduct,
  productInput,
  slugOf,
  TAX_CLASSES,
  type Product,
  type TaxClass,
} from "~/core/goods";
import { sameJson } from "~/core/document";
import { useStudio } from "../keeping";
import { Blank, INK, useIsThere, useWhenChanged } from "../ui";
import { RichBox } from "../words";
import { LayoutChoice } from "./layout-choice";
import { useChange, useGoods, useSay, type Problem } from "./data";
import { Amount, Choice, Group, marginOf, Row } from "./product-form";
import { ProductFacts, ProductPlaces } from "./product-facts";
import { ProductPictures } from "./product-pictures";
import { Preview } from "./product-preview";
import { ProductSearch, ProductStock } from "./product-stock";
import { ProductVariants } from "./product-variants";

const TAX_WORDS: Readonly<Record<TaxClass, string>> = { standard: "Standard", reduced: "Reduced", none: "None" };
const INPUT_KEYS = Object.keys(productInput.shape) as (keyof typeof productInput.shape)[];

/** What the seller says of a product, as it is sent. */
const inputOf = (product: Product) => Object.fromEntries(INPUT_KEYS.map((key) => [key, product[key]]));

const keyOf = (shop: string, id: string) => `zest-product-${shop}-${id}`;

/** What was written and not kept, in this browser: it survives a closed tab. */
function readLeft(key: string): { product: Product; version: number | null } | undefined {
  try {
    const text = localStorage.getItem(key);
    return text ? (JSON.parse(text) as { product: Product; version: number | null }) : undefined;
  } catch {
    return undefined;
  }
}

/** One product: everything that there is to say of it, beside its page. */
export function ProductPage() {
  const { product: id = "new" } = useParams();
  const { products } = useGoods();
  const known = products.find((p) => p.id === id);
  const shop = useStudio((s) => s.shop.id);
  if (id !== "new" && !known)
    return (
      <Blank
        title="This product is gone"
        text="It was removed. Undo above brings it back, if it was not long ago."
        action={
          <Button variant="contained" component={Link} to={`/s/${shop}/goods`}>
            All goods
          </Button>
        }
      />
    );
  return <ProductForm key={id} id={id} />;
}

function ProductForm({ id }: { id: string }) {
  const { products } = useGoods();
  const shop = useStudio((s) => s.shop);
  const known = products.find((p) => p.id === id);
  const navigate = useNavigate();
  const { send, isBusy } = useChange();
  const say = useSay();
  const fresh = useMemo(() => makeProduct({ id: "new", title: "", slug: "", sku: "" }), []);
  const stored: Product = known ?? fresh;
  const [product, setProduct] = useState<Product>(stored);
  const [version, setVersion] = useState<number | null>(known?.version ?? null);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [movedOn, setMovedOn] = useState(false);
  const key = keyOf(shop.id, id);
  const [left, setLeft] = useState<ReturnType<typeof readLeft>>(undefined);
  const isDirty = !sameJson(inputOf(product), inputOf(stored));
  const leaving = useRef(false);

  // Only what lay there when the page was opened; a server has no storage to look into.
  const isThere = useIsThere();
  const [hasLooked, setHasLooked] = useState(false);
  if (isThere && !hasLooked) {
    setHasLooked(true);
    const found = readLeft(key);
    if (found && !sameJson(inputOf(found.product), inputOf(stored))) setLeft(found);
  }
  // Undo, or another tab: where nothing is being written, what is stored is shown.
  useWhenChanged(known, () => {
    if (!known || known.version === version) return;
    if (isDirty && version !== null) setMovedOn(true);
    else {
      setProduct(known);
      setVersion(known.version);
    }
  });
  useEffect(() => {
    // What lay there is not written over before it was looked at.
    if (left || !hasLooked) return;
    try {
      if (isDirty) localStorage.setItem(key, JSON.stringify({ product, version }));
      else localStorage.removeItem(key);
    } catch {
      // A browser that keeps nothing: then only the question on leaving protects it.
    }
  }, [product, version, isDirty, key, left, hasLooked]);
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) =>
      isDirty && !leaving.current && currentLocation.pathname !== nextLocation.pathname,
  );

  const set = (change: Partial<Product>) => {
    setProduct((now) => {
      const next = { ...now, ...change };
      // Until it has an address of its own, that follows the title.
      if (change.title !== undefined && (now.slug === "" || now.slug === slugOf(now.title)))
        next.slug = slugOf(change.title);
      if (
        !known &&
        change.title !== undefined &&
        (now.sku === "" || now.sku === slugOf(now.title).toUpperCase().slice(0, 40))
      )
        next.sku = slugOf(change.title).toUpperCase().slice(0, 40);
      return next;
    });
    const touched = Object.keys(change);
    setProblems((now) => now.filter((p) => !touched.includes(p.path.split(".")[0]!)));
  };
  const problem = (path: string) => problems.find((p) => p.path === path)?.why;
  const part = { product, set, problem };

  const keep = async (over = false) => {
    const parsed = productInput.safeParse(inputOf(product));
    if (!parsed.success) {
      setProblems(parsed.error.issues.map((i) => ({ path: i.path.join("."), why: i.message })));
      return;
    }
    const answer = await send({
      intent: "keep-product",
      id: known ? id : null,
      version: over ? null : version,
      product: inputOf(product),
    });
    const kept = answer.ok ? answer.value.product : undefined;
    if (kept) {
      setProblems([]);
      setMovedOn(false);
      localStorage.removeItem(key);
      say(answer, known ? "Saved. The shop shows it now." : "Added to the shop.");
      if (!known) {
        leaving.current = true;
        void navigate(`/s/${shop.id}/goods/p/${kept.id}`, { replace: true });
      } else {
        setProduct(kept);
        setVersion(kept.version);
      }
      return;
    }
    if (answer.ok) return;
    if (answer.code === "behind") return setMovedOn(true);
    setProblems(answer.problems);
    if (!answer.problems[0]?.path) say(answer);
  };

  const margin = marginOf(product.price, product.cost);
  const goods = useStudio((s) => s.goods);
  // The page beside the form may lag behind what is typed; the words that are typed may not.
  const late = useDeferredValue(product);
  const elsewhere = problems.filter((p) => !["title", "slug", "sku"].includes(p.path));
  return (
    <Box
      sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", lg: "minmax(0,1fr) 372px" }, minHeight: 0 }}
    >
      <Box sx={{ overflowY: "auto", minHeight: 0 }}>
        <Box
          sx={{
            position: "sticky",
            top: 0,
            zIndex: 3,
            display: "flex",
            flexWrap: "wrap",
            gap: 1.25,
            alignItems: "center",
            px: 2,
            py: 1,
            bgcolor: INK.paper,
            borderBottom: `1px solid ${INK.line}`,
          }}
        >
          <Button
            size="small"
            component={Link}
            to={`/s/${shop.id}/goods`}
            startIcon={<ArrowLeft size={16} aria-hidden />}
          >
            Goods
          </Button>
          <Typography variant="h2" component="h1" noWrap sx={{ flex: "1 1 160px" }}>
            {product.title || "New product"}
          </Typography>
          <Typography variant="body2" color="text.secondary" role="status">
            {isBusy
              ? "Saving …"
              : isDirty
                ? "Not saved yet"
                : known
                  ? product.archived
                    ? "Archived"
                    : "In the shop"
                  : ""}
          </Typography>
          {known && !product.archived ? (
            <Button
              size="small"
              component="a"
              href={`${shop.address}/products/${stored.slug}`}
              target="_blank"
              rel="noreferrer"
              startIcon={<ExternalLink size={15} aria-hidden />}
            >
              Open
            </Button>
          ) : null}
          {isDirty && known ? (
            <Button
              size="small"
              onClick={() => {
                setProduct(known);
                setVersion(known.version);
                setProblems([]);
                setMovedOn(false);
              }}
            >
              As it was
            </Button>
          ) : null}
          <Button variant="contained" disabled={isBusy || !isDirty} onClick={() => void keep()}>
            {known ? "Save" : "Add to the shop"}
          </Button>
        </Box>
        <Box sx={{ display: "grid", gap: 1.75, p: 2, maxWidth: 860, mx: "auto" }}>
          {left ? (
            <Alert
              severity="info"
              action={
                <>
                  <Button
                    size="small"
                    onClick={() => {
                      setProduct({ ...left.product, id: stored.id });
                      setVersion(known ? left.version : null);
                      setLeft(undefined);
                    }}
                  >
                    Take it up
                  </Button>
                  <Button
                    size="small"
                    onClick={() => {
                      localStorage.removeItem(key);
                      setLeft(undefined);
                    }}
                  >
                    Throw it away
                  </Button>
                </>
              }
            >
              You wrote something here and did not keep it.
            </Alert>
          ) : null}
          {movedOn ? (
            <Alert
              severity="warning"
              action={
                <>
                  <Button
                    size="small"
                    onClick={() => {
                      if (known) {
                        setProduct(known);
                        setVersion(known.version);
                      }
                      setMovedOn(false);
                    }}
                  >
                    Show theirs
                  </Button>
                  <Button size="small" onClick={() => void keep(true)}>
                    Keep mine
                  </Button>
                </>
              }
            >
              This product was changed elsewhere while you wrote. Nothing of yours is lost; choose which one stays.
            </Alert>
          ) : null}
          {blocker.state === "blocked" ? (
            <Alert
              severity="warning"
              action={
                <>
                  <Button size="small" onClick={() => blocker.reset()}>
                    Stay
                  </Button>
                  <Button size="small" onClick={() => blocker.proceed()}>
                    Leave
                  </Button>
                </>
              }
            >
              What you wrote is not kept yet. It stays in this browser if you leave.
            </Alert>
          ) : null}
          {elsewhere.length ? (
            <Alert severity="error">
              {elsewhere.length === 1 ? "One thing" : `${elsewhere.length} things`} can’t be saved like that:{" "}
              {elsewhere
                .slice(0, 3)
                .map((p) => p.why)
                .join(" ")}
            </Alert>
          ) : null}
          <Group title="What it is">
            <TextField
              label="Title"
              value={product.title}
              autoFocus={!known}
              error={problem("title") !== undefined}
              helperText={
                problem("title") ??
                (product.title.length > 120 ? `${product.title.length} of 160 characters` : undefined)
              }
              onChange={(e) => set({ title: e.target.value })}
              slotProps={{ htmlInput: { maxLength: 160 } }}
            />
            <Suspense fallback={<Skeleton variant="rectangular" height={150} />}>
              <RichBox
                label="Description"
                value={product.description}
                most={20_000}
                problem={problem("description")}
                onChange={(next) => setProduct((now) => ({ ...now, description: next }))}
              />
            </Suspense>
          </Group>
          <ProductPictures {...part} />
          <Group title="Price">
            <Row>
              <Amount
                label="Price"
                value={product.price}
                onChange={(price) => price !== null && set({ price })}
                problem={problem("price")}
              />
              <Amount
                label="Compare-at price"
                value={product.compareAt}
                empty="none"
                onChange={(compareAt) => set({ compareAt })}
                hint={
                  product.compareAt !== null && product.compareAt <= product.price
                    ? "Not higher than the price: the shop shows no reduction."
                    : "What it was before; shown struck through."
                }
              />
              <Amount
                label="Cost"
                value={product.cost}
                empty="unknown"
                onChange={(cost) => set({ cost })}
                hint={margin === undefined ? "Only you see it." : `${margin}% of the price stays with you.`}
              />
              <Choice
                label="What it is"
                value={product.isGiftCard ? "card" : "goods"}
                options={
                  [
                    ["goods", "Goods"],
                    ["card", "A gift card"],
                  ] as const
                }
                onChange={(is) => set({ isGiftCard: is === "card" })}
                {...(product.isGiftCard
                  ? { hint: "What it costs can be spent later. It comes by mail, and is not taxed before it is spent." }
                  : {})}
              />
              <Choice
                label="Tax class"
                value={product.taxClass}
                options={TAX_CLASSES.map((t) => [t, TAX_WORDS[t]] as const)}
                onChange={(taxClass) => set({ taxClass })}
              />
            </Row>
          </Group>
          <ProductStock {...part} />
          <ProductVariants {...part} />
          <ProductFacts {...part} />
          <ProductPlaces {...part} />
          <ProductSearch {...part} stored={stored} isKnown={known !== undefined} />
          <Group title="Besides">
            <FormControlLabel
              control={<Switch checked={product.featured} onChange={(e) => set({ featured: e.target.checked })} />}
              label="Featured: collections by rules can ask for it"
            />
            <FormControlLabel
              control={<Switch checked={product.archived} onChange={(e) => set({ archived: e.target.checked })} />}
              label="Archived: kept here, not in the shop"
            />
            {known && !known.archived ? (
              <LayoutChoice
                sort="product"
                id={known.id}
                collections={collectionsWith(goods, product)}
                address={`/products/${stored.slug}`}
              />
            ) : null}
          </Group>
        </Box>
      </Box>
      <Box
        component="aside"
        aria-label="How it looks"
        sx={{
          display: { xs: "none", lg: "block" },
          borderLeft: `1px solid ${INK.line}`,
          bgcolor: INK.bench,
          p: 1.5,
          minHeight: 0,
          overflow: "hidden",
        }}
      >
        <Preview product={late} />
      </Box>
    </Box>
  );
}
