import {
  Alert,
  Autocomplete,
  Box,
  Button,
  MenuItem,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import {
  collectionInput,
  LONGEST_SHARED,
  list,
  NO_QUERY,
  ruleProblem,
  slugOf,
  SORT_WORDS,
  SORTS,
  type Collection,
  type Goods,
} from "~/core/goods";
import { sourceOf } from "~/core/pictures";
import { layoutFor, sameJson } from "~/core/document";
import { collectionAddress } from "~/core/addresses";
import { madeFromCollection } from "~/render";
import { useStudio } from "../keeping";
import { PicturePicker } from "../pictures";
import { hostOf, SharingForm } from "../sharing";
import { RuleRow, INK, useWhenChanged } from "../ui";
import { useChange, useGoods, useSay, type Problem } from "./data";
import { useRemoval } from "./removal";
import { LayoutChoice } from "./layout-choice";
import { Choice, Group, Row } from "./product-form";
import { Sorting, SortTile } from "./sorting";

const TWO_LINES = {
  display: "-webkit-box",
  WebkitLineClamp: 2,
  WebkitBoxOrient: "vertical",
  overflow: "hidden",
  lineHeight: 1.25,
  mt: 0.5,
} as const;

const KEYS = ["title", "slug", "description", "picture", "parent", "rules", "sort", "order", "search"] as const;
const inputOf = (c: Collection) => Object.fromEntries(KEYS.map((k) => [k, c[k]]));
const MOST_SHOWN = 120;

/** One collection: what it says, what is in it, and in which order. */
export function CollectionForm({
  stored,
  isNew,
  onDone,
}: {
  stored: Collection;
  isNew: boolean;
  onDone: (id: string | null) => void;
}) {
  const { products, collections } = useGoods();
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  const identity = useStudio((s) => s.draft.look.identity);
  const layout = useStudio((s) => layoutFor(s.draft.documents, "collection", { collections: [stored.id] }));
  const { send, isBusy } = useChange();
  const say = useSay();
  const [collection, setCollection] = useState(stored);
  const inside = useMemo(
    () => products.filter((p) => p.collections.includes(stored.id)).map((p) => p.id),
    [products, stored.id],
  );
  const [members, setMembers] = useState<readonly string[]>(inside);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [choosing, setChoosing] = useState(false);
  // Data that is loaded anew and says the same must not take away what is being written.
  const said = JSON.stringify([inputOf(stored), inside]);
  useWhenChanged(said, () => {
    setCollection(stored);
    setMembers(inside);
    setProblems([]);
  });
  const problem = (path: string) => problems.find((p) => p.path === path)?.why;
  const set = (change: Partial<Collection>) => {
    setCollection((now) => {
      const next = { ...now, ...change };
      if (change.title !== undefined && (now.slug === "" || now.slug === slugOf(now.title)))
        next.slug = slugOf(change.title);
      return next;
    });
    setProblems([]);
  };
  const isDirty = !sameJson(inputOf(collection), inputOf(stored)) || !sameJson(members.toSorted(), inside.toSorted());
  // What would be in it, were it kept like this.
  const shown = useMemo(() => {
    const wanted = new Set(members);
    const trial: Goods = {
      ...goods,
      products: goods.products.map((p) => {
        const has = p.collections.includes(collection.id);
        if (collection.rules || has === wanted.has(p.id)) return p;
        return {
          ...p,
          collections: has ? p.collections.filter((c) => c !== collection.id) : [...p.collections, collection.id],
        };
      }),
      collections: [...goods.collections.filter((c) => c.id !== collection.id), collection],
    };
    const rules = collection.rules;
    if (rules && rules.rules.some((r) => ruleProblem(r) !== undefined)) return undefined;
    return list(trial, { collection }, NO_QUERY, { perPage: 5000, facets: [] }).products;
  }, [goods, collection, members]);
  const below = (id: string): readonly string[] => [
    id,
    ...collections.filter((c) => c.parent === id).flatMap((c) => below(c.id)),
  ];
  const around = collections.filter((c) => isNew || !below(collection.id).includes(c.id));
  const picture = pictures.find((p) => p.id === collection.picture);
  const isHere = useRef(true);
  useEffect(() => {
    isHere.current = true;
    return () => {
      isHere.current = false;
    };
  }, []);
  const keep = async () => {
    const parsed = collectionInput.safeParse(inputOf(collection));
    if (!parsed.success)
      return setProblems(parsed.error.issues.map((i) => ({ path: i.path.join("."), why: i.message })));
    const answer = await send({
      intent: "keep-collection",
      id: isNew ? null : collection.id,
      collection: inputOf(collection),
      members: collection.rules ? null : members,
    });
    if (!answer.ok) {
      setProblems(answer.problems);
      if (!answer.problems[0]?.path) say(answer);
      return;
    }
    say(answer, isNew ? "Collection added." : "Saved. The shop shows it now.");
    // Whoever has gone on to another collection meanwhile stays there, with what they have begun.
    if (isHere.current) onDone(answer.value.id ?? null);
  };
  const removal = useRemoval();
  const removeIt = async () => {
    const answer = await send({ intent: "remove-collection", id: stored.id });
    if (say(answer, "Collection removed; its goods stay. Ctrl+Z takes it back.")) onDone(null);
  };
  const general = problems.filter((p) => !["title", "slug", "parent", "description"].includes(p.path));
  return (
    <Box sx={{ display: "grid", gap: 1.75, p: 2, maxWidth: 900 }}>
      {removal.dialog}
      <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <Typography variant="h2" component="h2" sx={{ flex: 1 }}>
          {collection.title || "New collection"}
        </Typography>
        {isNew ? (
          <Button onClick={() => onDone(null)}>Leave it</Button>
        ) : (
          <>
            <Button component="a" href={`${shop.address}/collections/${stored.slug}`} target="_blank" rel="noreferrer">
              Open
            </Button>
            <Button
              color="error"
              startIcon={<Trash2 size={15} aria-hidden />}
              disabled={isBusy}
              onClick={() =>
                removal.remove(`Remove “${stored.title}”?`, "collection", [stored.id], () => void removeIt())
              }
            >
              Remove
            </Button>
          </>
        )}
        <Button variant="contained" disabled={isBusy || !isDirty} onClick={() => void keep()}>
          {isNew ? "Add" : "Save"}
        </Button>
      </Box>
      {general.length ? <Alert severity="error">{general.map((p) => p.why).join(" ")}</Alert> : null}
      <Group title="What it says">
        <Row columns="minmax(0,1fr) 132px">
          <Box sx={{ display: "grid", gap: 1.5 }}>
            <TextField
              label="Title"
              value={collection.title}
              autoFocus={isNew}
              error={problem("title") !== undefined}
              helperText={problem("title")}
              onChange={(e) => set({ title: e.target.value })}
              slotProps={{ htmlInput: { maxLength: 160 } }}
            />
            <TextField
              label="Words"
              value={collection.description}
              multiline
              minRows={2}
              error={problem("description") !== undefined}
              helperText={problem("description")}
              onChange={(e) => set({ description: e.target.value })}
              slotProps={{ htmlInput: { maxLength: 2000 } }}
            />
            <Row columns="1fr 1fr">
              <TextField
                label="Address"
                value={collection.slug}
                error={problem("slug") !== undefined}
                helperText={problem("slug")}
                onChange={(e) => set({ slug: e.target.value })}
                slotProps={{ input: { startAdornment: <Typography color="text.secondary">/collections/</Typography> } }}
              />
              <TextField
                select
                label="Inside of"
                value={collection.parent ?? ""}
                error={problem("parent") !== undefined}
                helperText={problem("parent") ?? "The one around it shows its goods as well."}
                onChange={(e) => set({ parent: e.target.value || null })}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
              >
                <MenuItem value="">None</MenuItem>
                {around.map((c) => (
                  <MenuItem key={c.id} value={c.id}>
                    {c.title}
                  </MenuItem>
                ))}
              </TextField>
            </Row>
          </Box>
          <Box sx={{ display: "grid", gap: 0.75 }}>
            <Box
              sx={{
                width: 132,
                height: 100,
                border: `1px ${picture ? "solid" : "dashed"} ${INK.line}`,
                borderRadius: 1,
                overflow: "hidden",
              }}
            >
              {picture ? (
                <Box
                  component="img"
                  src={sourceOf(picture, 320)}
                  alt={picture.alt}
                  sx={{ width: "100%", height: "100%", objectFit: "cover" }}
                />
              ) : null}
            </Box>
            <Button size="small" variant="outlined" onClick={() => setChoosing(true)}>
              {picture ? "Another picture" : "Choose a picture"}
            </Button>
            {picture ? (
              <Button size="small" onClick={() => set({ picture: null })}>
                Remove
              </Button>
            ) : null}
          </Box>
        </Row>
      </Group>
      <Group
        title="What is in it"
        aside={
          <ToggleButtonGroup
            exclusive
            size="small"
            value={collection.rules ? "rules" : "hand"}
            aria-label="How goods get into it"
            onChange={(_e, next: "rules" | "hand" | null) =>
              next &&
              set({
                rules:
                  next === "rules"
                    ? (stored.rules ?? { all: true, rules: [{ field: "tag", op: "is", value: "" }] })
                    : null,
              })
            }
          >
            <ToggleButton value="hand">By hand</ToggleButton>
            <ToggleButton value="rules">By rules</ToggleButton>
          </ToggleButtonGroup>
        }
      >
        {collection.rules ? (
          <>
            <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
              <Typography sx={{ whiteSpace: "nowrap" }}>Goods that meet</Typography>
              <TextField
                select
                fullWidth={false}
                value={collection.rules.all ? "all" : "any"}
                onChange={(e) => set({ rules: { ...collection.rules!, all: e.target.value === "all" } })}
                slotProps={{ htmlInput: { "aria-label": "All rules, or one of them" } }}
              >
                <MenuItem value="all">all of these rules</MenuItem>
                <MenuItem value="any">one of these rules</MenuItem>
              </TextField>
            </Box>
            {collection.rules.rules.map((rule, i) => (
              <RuleRow
                products={products}
                key={i}
                rule={rule}
                onChange={(next) =>
                  set({ rules: { ...collection.rules!, rules: collection.rules!.rules.with(i, next) } })
                }
                onRemove={() =>
                  set({ rules: { ...collection.rules!, rules: collection.rules!.rules.filter((_r, k) => k !== i) } })
                }
              />
            ))}
            <Button
              size="small"
              sx={{ justifySelf: "start" }}
              startIcon={<Plus size={15} aria-hidden />}
              onClick={() =>
                set({
                  rules: {
                    ...collection.rules!,
                    rules: [...collection.rules!.rules, { field: "tag", op: "is", value: "" }],
                  },
                })
              }
            >
              Another rule
            </Button>
          </>
        ) : (
          <Autocomplete
            multiple
            disableCloseOnSelect
            options={products.filter((p) => !p.archived)}
            getOptionLabel={(p) => p.title}
            getOptionKey={(p) => p.id}
            value={products.filter((p) => members.includes(p.id))}
            onChange={(_e, next) => setMembers(next.map((p) => p.id))}
            renderValue={() => null}
            renderInput={(params) => <TextField {...params} label="Put goods in" placeholder="Type to find" />}
          />
        )}
        <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }}>
          <Typography sx={{ fontWeight: 600, flex: 1 }} role="status">
            {shown === undefined
              ? "Finish the rules to see what they find."
              : shown.length === 1
                ? "1 product"
                : `${shown.length} products`}
          </Typography>
          <Box sx={{ width: 200 }}>
            <Choice
              label="Order"
              value={collection.sort}
              options={SORTS.map((s) => [s, s === "hand" ? "By hand" : SORT_WORDS[s]] as const)}
              onChange={(sort) => set({ sort })}
            />
          </Box>
        </Box>
        {shown?.length ? (
          <Sorting order={shown.map((p) => p.id)} onOrder={(next) => set({ order: next, sort: "hand" })}>
            <Box
              role="list"
              aria-label="Goods in order"
              sx={{ display: "flex", flexWrap: "wrap", gap: 1.25, maxHeight: 420, overflowY: "auto", p: 0.5 }}
            >
              {shown.slice(0, MOST_SHOWN).map((p, index) => {
                const first = pictures.find((each) => each.id === p.pictures[0]);
                const byHand = !collection.rules && members.includes(p.id);
                return (
                  <SortTile
                    key={p.id}
                    id={p.id}
                    index={index}
                    name={p.title}
                    picture={first && sourceOf(first, 160)}
                    onTake={byHand ? () => setMembers(members.filter((m) => m !== p.id)) : undefined}
                  >
                    <Typography variant="caption" sx={TWO_LINES}>
                      {p.title}
                    </Typography>
                  </SortTile>
                );
              })}
            </Box>
            {shown.length > MOST_SHOWN ? (
              <Typography variant="caption">
                The first {MOST_SHOWN} are shown; the rest follow in the shop’s order.
              </Typography>
            ) : null}
          </Sorting>
        ) : null}
        {collection.sort === "hand" && shown && shown.length > 1 ? (
          <Typography variant="caption" color="text.secondary">
            Drag goods into order.
          </Typography>
        ) : null}
      </Group>
      {isNew ? null : (
        <Group title="How its page looks">
          <LayoutChoice
            sort="collection"
            id={stored.id}
            collections={[stored.id]}
            address={collectionAddress(stored)}
          />
        </Group>
      )}
      <Group title="Search and sharing" about="What is left empty is taken from title, words and picture.">
        <SharingForm
          own={collection.search}
          made={madeFromCollection(collection, identity, layout)}
          from="collection"
          address={hostOf(shop.address) + collectionAddress(collection)}
          longest={LONGEST_SHARED}
          isInForm
          onChange={(change) => set({ search: { ...collection.search, ...change } })}
        />
      </Group>
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        onChoose={(id) => {
          set({ picture: id });
          setChoosing(false);
        }}
      />
    </Box>
  );
}
