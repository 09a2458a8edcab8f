import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Link,
  TextField,
  Typography,
} from "@mui/material";
import { useDeferredValue, useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { entryOf } from "~/core/document";
import { findInGoods, type FoundInGoods } from "~/core/goods";
import { changeGoods } from "~/core/protocol";
import { MOST_FOUND, type Found } from "~/core/rich";
import { findWords, replaceWords, type FoundText } from "~/kinds/find-words";
import { useReload, useStudio, useStudioStore } from "../keeping";
import { pageShowing } from "../shared";
import { INK } from "../ui";

/** Texts that are drawn; the rest are counted, and replaced with them where nothing was left out by hand. */
const MOST_SHOWN = 150;
/** How much is shown around what was found, in characters. */
const AROUND = 48;

/** A text around its first find, with each find marked and what would stand there. */
function Snippet({ found, by }: { found: Found; by: string }) {
  const [[first = 0] = []] = found.spans;
  const from = first > AROUND ? Math.max(0, found.text.lastIndexOf(" ", first - AROUND / 2)) : 0;
  const to = Math.min(found.text.length, first + AROUND * 3);
  const seen = found.spans.filter(([start]) => start < to);
  const parts = seen.map(([start, end], i) => {
    const word = found.text.slice(start, end);
    return (
      <span key={start}>
        {found.text.slice(seen[i - 1]?.[1] ?? from, start)}
        {by ? <del>{word}</del> : <mark>{word}</mark>}
        {by ? <ins>{by}</ins> : null}
      </span>
    );
  });
  const after = seen.at(-1)?.[1] ?? from;
  return (
    <Typography
      component="span"
      variant="body2"
      sx={{
        overflowWrap: "anywhere",
        "& mark, & ins": { bgcolor: INK.lemon, color: "#17241d", textDecoration: "none", borderRadius: 0.5, px: 0.25 },
        "& del": { color: INK.soft, mr: 0.25 },
      }}
    >
      {from ? "… " : ""}
      {parts}
      {found.text.slice(after, Math.max(after, to))}
      {to < found.text.length ? " …" : ""}
    </Typography>
  );
}

/** A text on a page or of goods in which something was found, and what it is called that holds it. */
type Place = (FoundText & { readonly title: string }) | FoundInGoods;
const holderOf = (place: Place): string => ("of" in place ? `${place.of} ${place.thing}` : place.document);

const NOTHING_YET = { words: "", by: "" };

/** Looks for words in everything that is written on pages and of goods, and puts others in their place. */
export function FindWords({
  open,
  onClose,
  begins = NOTHING_YET,
}: {
  open: boolean;
  onClose: () => void;
  /** What is looked for at first, and what by. */
  begins?: { readonly words: string; readonly by: string };
}) {
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="md" aria-labelledby="find-words">
      <DialogTitle id="find-words" component="h2" sx={{ typography: "h2" }}>
        Find and replace words
      </DialogTitle>
      {open ? <Finding onClose={onClose} begins={begins} /> : null}
    </Dialog>
  );
}

function Finding({ onClose, begins }: { onClose: () => void; begins: typeof NOTHING_YET }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.stored);
  const shop = useStudio((s) => s.shop.id);
  const reload = useReload();
  const [words, setWords] = useState(begins.words);
  const [by, setBy] = useState(begins.by);
  const [matchCase, setMatchCase] = useState(
    begins.words !== "" && begins.words.toLowerCase() === begins.by.toLowerCase(),
  );
  const [whole, setWhole] = useState(begins.words !== "");
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [why, setWhy] = useState("");
  const [isBusy, setBusy] = useState(false);
  const sought = useMemo(() => ({ words, matchCase, whole }), [words, matchCase, whole]);
  const asked = useDeferredValue(sought);
  const onPages = useMemo(() => findWords(draft, asked), [draft, asked]);
  const inGoods = useMemo(() => findInGoods(goods, asked), [goods, asked]);
  const count = (texts: readonly Found[]) => texts.reduce((sum, { spans }) => sum + spans.length, 0);
  const found: readonly Place[] = [
    ...onPages.map((each) => ({ ...each, title: entryOf(draft.documents, each.document)?.title ?? "" })),
    ...inGoods,
  ];
  const isChosen = ({ id }: { readonly id: string }) => !left.has(id);
  const chosen = found.filter(isChosen);
  const shown = found.slice(0, MOST_SHOWN);
  const byHolder = new Map<string, Place[]>();
  for (const each of shown) byHolder.set(holderOf(each), [...(byHolder.get(holderOf(each)) ?? []), each]);
  const goTo = (place: Place) => {
    onClose();
    if ("of" in place)
      return void navigate(`/s/${shop}/goods/${place.of === "product" ? `p/${place.thing}` : "collections"}`);
    const { document, part } = place;
    const { documents } = store.getState().draft;
    const holder = entryOf(documents, document);
    const page =
      holder?.kind === "page" || holder?.kind === "layout"
        ? document
        : holder?.kind === "shared"
          ? pageShowing(documents, holder)
          : undefined;
    void navigate(`/s/${shop}/pages${page ? `?page=${page}` : ""}`);
    if (part !== holder?.root.id) store.getState().select(part);
  };
  const replace = async () => {
    const pages = new Set(onPages.filter(isChosen).map(({ id }) => id));
    const ofGoods = inGoods.filter(isChosen).map(({ id }) => id);
    const now = () => store.getState();
    // What can't be is said before anything is changed.
    const planned = pages.size ? replaceWords(now().draft, sought, by, pages) : undefined;
    if (planned && !planned.ok) return setWhy(planned.why);
    if (ofGoods.length) {
      setBusy(true);
      const answer = await now().client.ask(changeGoods, { intent: "replace-words", sought, by, only: ofGoods });
      setBusy(false);
      if (!answer.ok) return setWhy(answer.problems[0]?.why ?? answer.why);
      await reload();
    }
    // Somebody may have typed meanwhile.
    const problem = pages.size ? now().run(replaceWords(now().draft, sought, by, pages)) : null;
    if (problem) return setWhy(problem);
    const many = chosen.length === 1 ? "1 text" : `${chosen.length} texts`;
    now().say(
      pages.size && ofGoods.length
        ? `Replaced in ${many}. Undo takes it back on pages; for goods, undo is in Goods.`
        : `Replaced in ${many}.`,
    );
    onClose();
  };
  const total = count(found);
  return (
    <>
      <DialogContent
        sx={{ display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)", alignContent: "start", minHeight: 380 }}
      >
        <Box sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "1fr 1fr" }, gap: 1.5, pt: 1 }}>
          <TextField
            label="Words to find"
            value={words}
            autoFocus
            onChange={(event) => {
              setWords(event.target.value);
              setLeft(new Set());
              setWhy("");
            }}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
          <TextField
            label="Replace by"
            value={by}
            error={why !== ""}
            helperText={why || undefined}
            onChange={(event) => {
              setBy(event.target.value);
              setWhy("");
            }}
            slotProps={{ htmlInput: { maxLength: 200 } }}
          />
        </Box>
        <Box sx={{ display: "flex", flexWrap: "wrap", columnGap: 2, alignItems: "center" }}>
          <FormControlLabel
            control={<Checkbox checked={whole} onChange={(_e, on) => setWhole(on)} />}
            label="Whole words only"
          />
          <FormControlLabel
            control={<Checkbox checked={matchCase} onChange={(_e, on) => setMatchCase(on)} />}
            label="Capitals matter"
          />
          <Typography role="status" color="text.secondary" sx={{ ml: "auto" }}>
            {words.trim() === ""
              ? ""
              : total === 0
                ? "Nowhere on your pages, nor in your goods."
                : `${total} ${total === 1 ? "time" : "times"} in ${found.length} ${found.length === 1 ? "text" : "texts"}`}
          </Typography>
        </Box>
        {words.trim() === "" ? (
          <Typography color="text.secondary">
            It looks through pages, posts, layouts, menus, header and footer, shared sections, products and collections.
          </Typography>
        ) : (
          [...byHolder].map(([holder, texts]) => (
            <Box key={holder} component="section" aria-label={texts[0]!.title}>
              <Typography variant="h3" component="h3">
                {texts[0]!.title}
                {"of" in texts[0]! ? (
                  <Typography component="span" variant="body2" color="text.secondary" sx={{ ml: 1 }}>
                    {texts[0].of === "product" ? "Product" : "Collection"}
                  </Typography>
                ) : null}
              </Typography>
              <Box component="ul" sx={{ m: 0, p: 0 }}>
                {texts.map((each) => (
                  <Box
                    component="li"
                    key={each.id}
                    sx={{
                      listStyle: "none",
                      display: "grid",
                      gridTemplateColumns: "auto minmax(0,1fr)",
                      alignItems: "start",
                      borderBottom: `1px solid ${INK.line}`,
                      py: 0.5,
                    }}
                  >
                    <Checkbox
                      checked={!left.has(each.id)}
                      slotProps={{ input: { "aria-label": `${each.where}: ${each.text.slice(0, 60)}` } }}
                      onChange={(_e, on) => {
                        const next = new Set(left);
                        if (on) next.delete(each.id);
                        else next.add(each.id);
                        setLeft(next);
                      }}
                    />
                    <Box sx={{ pt: 0.75 }}>
                      <Link component="button" type="button" variant="caption" onClick={() => goTo(each)}>
                        {each.where}
                      </Link>
                      <Box>
                        <Snippet found={each} by={by} />
                      </Box>
                    </Box>
                  </Box>
                ))}
              </Box>
            </Box>
          ))
        )}
        {found.length > MOST_SHOWN ? (
          <Typography color="text.secondary">
            … and in {found.length - MOST_SHOWN} more texts, which are replaced as well.
            {onPages.length >= MOST_FOUND || inGoods.length >= MOST_FOUND
              ? ` They stand in more than ${MOST_FOUND.toLocaleString("en")} texts: look again afterwards for the rest.`
              : ""}
          </Typography>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
        <Button
          variant="contained"
          disabled={chosen.length === 0 || by === words || isBusy}
          onClick={() => void replace()}
        >
          {by === "" && chosen.length ? `Take away (${count(chosen)})` : `Replace (${count(chosen)})`}
        </Button>
      </DialogActions>
    </>
  );
}
