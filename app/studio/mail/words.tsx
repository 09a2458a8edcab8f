import {
  Box,
  Button,
  Chip,
  List,
  ListItemButton,
  ListItemText,
  ListSubheader,
  MenuItem,
  TextField,
  Typography,
} from "@mui/material";
import { RotateCcw } from "lucide-react";
import { useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { changeLetters } from "~/core/commands";
import { COLOUR_SETS, SET_NAMES, setName } from "~/core/theme";
import { makeProduct } from "~/core/goods";
import {
  KNOWN_LETTERS,
  LETTER_FACT_NAMES,
  lettersOf,
  SHOP_LETTERS,
  strangeFacts,
  wordsOf,
  type LetterFact,
  type LetterLook,
  type LettersRoot,
  type LetterWords,
  type ShopLetter,
} from "~/core/shop-letters";
import {
  cardLetterGiven,
  cardSvg,
  cartLetterGiven,
  envOf,
  orderLetterGiven,
  passwordLetterGiven,
  tellLetterGiven,
  type LetterGiven,
  type ShopContent,
} from "~/render";
import { sampleLines } from "~/kinds/parts";
import { useStudio, useStudioStore } from "../keeping";
import { PictureChoice } from "../pictures";
import { INK, useWhenChanged } from "../ui";
import { LetterSight, useLetterContent } from "./letter-sight";

/** Letters in the groups in which a seller thinks of them. */
const GROUPS: readonly (readonly [string, readonly ShopLetter[]])[] = [
  ["About an order", ["placed", "paid", "ready", "sent", "collected", "refunded", "cancelled", "link"]],
  ["Besides", ["card", "cart", "tell"]],
  ["About an account", ["open", "forgotten"]],
];

type Part = ShopLetter | "look";
const isPart = (text: string | null): text is Part => text === "look" || SHOP_LETTERS.some((letter) => letter === text);

/** The letter as somebody made up would get it. */
function givenFor(letter: ShopLetter, content: ShopContent, origin: string): LetterGiven {
  const from = { content, origin };
  switch (letter) {
    case "card": {
      const given = cardLetterGiven(
        {
          design: "birthday",
          to: "ada@quill.example",
          from: "Tom",
          message: "For your next kite.",
          code: "ACDEFGHJKMNPQRTW",
          amount: 5000,
          currency: content.currency,
          until: null,
        },
        from,
      );
      // The studio loads nothing from the shop: its picture is drawn here.
      const address = `data:image/svg+xml,${encodeURIComponent(cardSvg("birthday", content.draft.look))}`;
      return { ...given, blocks: given.blocks.map((each) => (each.sort === "image" ? { ...each, address } : each)) };
    }
    case "cart":
      return cartLetterGiven(sampleLines(content.goods), `${origin}/cart`, from);
    case "tell":
      return tellLetterGiven(
        content.goods.products[0] ?? makeProduct({ id: "none", title: "Your first product" }),
        from,
      );
    case "open":
    case "forgotten":
      return passwordLetterGiven(letter, "Ada Quill", `${origin}/account/password`, from);
    default: {
      const { order, events } = envOf(content, content.draft).sampleOrder(
        letter === "ready" || letter === "collected"
          ? "/order?case=collect"
          : letter === "refunded"
            ? "/order?case=refunded"
            : null,
      );
      const happened =
        letter === "link"
          ? []
          : [{ at: order.at, what: letter, text: "", amount: letter === "refunded" ? order.refunded : null }];
      const told = { order, events: [...events, ...happened], address: `${origin}/order/sample` };
      return orderLetterGiven(told, letter, "", from);
    }
  }
}

const FIELDS = [
  ["subject", "Subject", 150],
  ["heading", "Heading", 150],
  ["words", "Words", 3000],
] as const;
type Field = (typeof FIELDS)[number][0];

/** Changes the letters; gives why not, where it can’t be so. */
function useLetters() {
  const store = useStudioStore();
  const said = useStudio((s) => lettersOf(s.draft.documents));
  const set = (values: Partial<LettersRoot>): string | undefined => {
    const { draft, run } = store.getState();
    const outcome = changeLetters(draft, values);
    return outcome.ok ? run(outcome) : outcome.why === "It is like that already." ? undefined : outcome.why;
  };
  return { said, set };
}

/** What one letter says. What can’t be kept says why, and stays to be mended. */
function Words({ letter }: { letter: ShopLetter }) {
  const { said, set } = useLetters();
  const kept = useStudio((s) => wordsOf(s.draft.documents, letter));
  const known = KNOWN_LETTERS[letter];
  const [text, setText] = useState<LetterWords>(kept);
  const [why, setWhy] = useState<string>();
  const mine = useRef(kept);
  useWhenChanged(kept, (now) => {
    if (now !== mine.current && FIELDS.some(([field]) => now[field] !== text[field].trim())) setText(now);
  });
  const last = useRef<{ field: Field; input: HTMLInputElement | HTMLTextAreaElement } | undefined>(undefined);
  const problem = (field: Field): string | undefined => {
    const [strange] = strangeFacts(letter, text[field]);
    if (strange !== undefined) return `“{${strange}}” is no fact of this letter.`;
    return field === "subject" && text.subject.trim() === "" ? "Give the letter a subject." : undefined;
  };
  const change = (next: LetterWords) => {
    setText(next);
    const plain = { subject: next.subject.trim(), heading: next.heading.trim(), words: next.words };
    mine.current = plain;
    const isKnown = FIELDS.every(([field]) => plain[field] === known[field]);
    setWhy(set({ [letter]: isKnown ? undefined : plain }));
  };
  const put = (fact: LetterFact) => {
    const at = last.current ?? undefined;
    const field = at?.field ?? "words";
    const now = text[field];
    const [from, to] = at
      ? [at.input.selectionStart ?? now.length, at.input.selectionEnd ?? now.length]
      : [now.length, now.length];
    change({ ...text, [field]: `${now.slice(0, from)}{${fact}}${now.slice(to)}` });
    at?.input.focus();
  };
  return (
    <Box sx={{ display: "grid", gap: 2, p: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
      <Box>
        <Typography variant="h1">{known.name}</Typography>
        <Typography color="text.secondary">{known.when}</Typography>
      </Box>
      {FIELDS.map(([field, label, most]) => (
        <TextField
          key={field}
          size="small"
          label={label}
          value={text[field]}
          multiline={field === "words"}
          minRows={field === "words" ? 4 : 1}
          error={problem(field) !== undefined}
          helperText={problem(field)}
          onFocus={(e) => (last.current = { field, input: e.target })}
          onChange={(e) => change({ ...text, [field]: e.target.value })}
          slotProps={{ htmlInput: { maxLength: most } }}
        />
      ))}
      {why && !FIELDS.some(([field]) => problem(field)) ? (
        <Typography variant="body2" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
      <Box role="group" aria-label="Facts to put in" sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
        {known.facts.map((fact) => (
          <Chip
            key={fact}
            size="small"
            variant="outlined"
            label={LETTER_FACT_NAMES[fact]}
            // The field keeps the caret.
            onMouseDown={(e) => e.preventDefault()}
            onClick={() => put(fact)}
          />
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        What the letter is about (the order with its sums, a button, a code) stands below your words by itself.
      </Typography>
      {said[letter] ? (
        <Box>
          <Button
            size="small"
            startIcon={<RotateCcw size={15} aria-hidden />}
            onClick={() => {
              const { subject, heading, words } = known;
              setText({ subject, heading, words });
              mine.current = { subject, heading, words };
              setWhy(set({ [letter]: undefined }));
            }}
          >
            Back to how it was
          </Button>
        </Box>
      ) : null}
    </Box>
  );
}

/** How all letters look. */
function Look() {
  const { said, set } = useLetters();
  const brand = useStudio((s) => s.draft.look.brand);
  const look = said.look ?? {};
  const [closing, setClosing] = useState(look.closing ?? "");
  useWhenChanged(look.closing ?? "", (now) => now !== closing.trim() && setClosing(now));
  const change = (values: LetterLook) => {
    const next = Object.fromEntries(Object.entries({ ...look, ...values }).filter(([, value]) => value !== undefined));
    set({ look: Object.keys(next).length ? next : undefined });
  };
  return (
    <Box sx={{ display: "grid", gap: 2, p: 2, gridTemplateColumns: "minmax(0,1fr)" }}>
      <Box>
        <Typography variant="h1">Look of all letters</Typography>
        <Typography color="text.secondary">
          They wear your brand: its colours, its logo and fonts that every mail program has. This holds for letters to
          your lists as well.
        </Typography>
      </Box>
      <TextField
        select
        size="small"
        label="Colours"
        value={look.ground ?? "page"}
        onChange={(e) => {
          const ground = COLOUR_SETS.find((each) => each === e.target.value);
          change({ ground: ground === "page" ? undefined : ground });
        }}
      >
        {COLOUR_SETS.map((ground) => (
          <MenuItem key={ground} value={ground}>
            {setName(brand, ground) || SET_NAMES[ground]}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        size="small"
        label="Logo"
        value={look.logo ?? "left"}
        onChange={(e) => change({ logo: e.target.value === "middle" ? "middle" : undefined })}
      >
        <MenuItem value="left">Left</MenuItem>
        <MenuItem value="middle">In the middle</MenuItem>
      </TextField>
      <Box>
        <Typography variant="body2" sx={{ fontWeight: 600, mb: 0.5 }}>
          Picture above the words
        </Typography>
        <PictureChoice
          picture={look.picture ?? null}
          onChoose={(picture) => change({ picture: picture ?? undefined })}
        />
      </Box>
      <TextField
        size="small"
        multiline
        minRows={3}
        label="What every letter ends with"
        placeholder="Who writes it, and where you are"
        value={closing}
        onChange={(e) => {
          setClosing(e.target.value);
          change({ closing: e.target.value.trim() || undefined });
        }}
        slotProps={{ htmlInput: { maxLength: 600 }, inputLabel: { shrink: true } }}
      />
    </Box>
  );
}

/** The letters that the shop writes by itself: what they say, how they look, and how they arrive. */
export function WordsPage() {
  const [search, setSearch] = useSearchParams();
  const asked = search.get("letter");
  const part: Part = isPart(asked) ? asked : "placed";
  const said = useStudio((s) => lettersOf(s.draft.documents));
  const content = useLetterContent();
  const origin = useStudio((s) => s.shop.address);
  const given = useMemo(
    () => givenFor(part === "look" ? "placed" : part, content, origin.replace(/\/$/, "")),
    [part, content, origin],
  );
  const item = (id: Part, name: string, isChanged: boolean) => (
    <ListItemButton
      key={id}
      dense
      selected={id === part}
      aria-current={id === part ? "page" : undefined}
      onClick={() => setSearch({ letter: id }, { replace: true })}
    >
      <ListItemText primary={name} secondary={isChanged ? "In your words" : undefined} />
    </ListItemButton>
  );
  return (
    <Box
      sx={{
        display: "grid",
        minHeight: 0,
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "210px minmax(280px,1fr) minmax(0,1.5fr)" },
        gridTemplateRows: { xs: "auto auto 70vh", md: "minmax(0,1fr)" },
        overflow: { xs: "auto", md: "hidden" },
      }}
    >
      <List
        component="nav"
        aria-label="Letters"
        disablePadding
        sx={{ overflowY: "auto", borderRight: { md: `1px solid ${INK.line}` }, bgcolor: INK.raised }}
      >
        {item("look", "Look of all letters", said.look !== undefined)}
        {GROUPS.map(([group, letters]) => (
          <Box key={group} role="group" aria-label={group}>
            <ListSubheader
              component="div"
              disableSticky
              sx={{
                lineHeight: "20px",
                pt: 1.5,
                fontSize: 12,
                fontWeight: 600,
                color: INK.soft,
                bgcolor: "transparent",
              }}
            >
              {group}
            </ListSubheader>
            {letters.map((letter) => item(letter, KNOWN_LETTERS[letter].name, said[letter] !== undefined))}
          </Box>
        ))}
      </List>
      <Box sx={{ overflowY: { md: "auto" }, minHeight: 0, borderRight: { md: `1px solid ${INK.line}` } }}>
        {part === "look" ? <Look /> : <Words key={part} letter={part} />}
      </Box>
      <LetterSight given={given} />
    </Box>
  );
}
