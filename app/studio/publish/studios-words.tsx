import { Alert, Box, Button, Link, Typography } from "@mui/material";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import { acceptWords, removeNodes, setProp, type Outcome } from "~/core/commands";
import { levelOf, nameOf } from "~/kinds";
import { placeholdersIn, type Placeholder } from "~/kinds/placeholders";
import { placeWords } from "~/kinds/references";
import { useStudio, useStudioStore } from "../keeping";
import { pageShowing } from "../shared";
import { INK } from "../ui";
import { pathOf } from "../words";

/** So many are listed at first. */
const MOST_LISTED = 6;

type SentenceProps = {
  placeholder: Placeholder;
  /** What a seller can do about it besides going there. */
  actions: readonly { readonly label: string; readonly act: () => void }[];
  onGo: () => void;
};

function Sentence({ placeholder, actions, onGo }: SentenceProps) {
  const { words, isBlank } = placeholder;
  return (
    <Box component="li" sx={{ py: 0.5 }}>
      <Typography variant="caption" component="div" color="text.secondary">
        {placeWords(placeholder)}
      </Typography>
      <Box sx={{ overflowWrap: "anywhere" }}>{isBlank ? words : `“${words}”`}</Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, ml: -0.75 }}>
        {actions.map(({ label, act }) => (
          <Button key={label} size="small" onClick={act} sx={{ minHeight: 26, py: 0, px: 0.75 }}>
            {label}
          </Button>
        ))}
        <Button size="small" onClick={onGo} sx={{ minHeight: 26, py: 0, px: 0.75 }}>
          {isBlank ? "Fill it in" : "Change it"}
        </Button>
      </Box>
    </Box>
  );
}

/**
 * Names the words that the studio put there, so that nobody publishes them without knowing: each is true, is changed, or is taken out. And
 * what is left out of the shop because only the seller knows it.
 */
export function StudiosWords({ onGo, onChanged }: { onGo: () => void; onChanged: () => void }) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const draft = useStudio((s) => s.draft);
  const found = useMemo(() => placeholdersIn(draft), [draft]);
  const words = found.filter((each) => !each.isBlank);
  const blanks = found.filter((each) => each.isBlank);
  const run = (outcome: Outcome) => {
    const why = store.getState().run(outcome);
    if (why) store.getState().say(why, "problem");
    else onChanged();
  };
  const now = () => store.getState().draft;
  const go = ({ document, part }: Placeholder) => {
    onGo();
    store.getState().select(part.id);
    void navigate(`/s/${shop}/pages?page=${pageShowing(now().documents, document)}`);
  };
  // A widget that says nothing is nothing; of a section, only these words go.
  const takeOut = ({ part, key }: Placeholder) =>
    run(
      levelOf(part) === "widget" || key === undefined
        ? removeNodes(now(), [part.id], nameOf(part))
        : setProp(now(), part.id, pathOf(key), "", `Words of ${nameOf(part)} taken out`),
    );
  return (
    <>
      {words.length ? (
        <Box
          component="section"
          aria-labelledby="studios-words"
          sx={{ mt: 2, px: 2, py: 1.5, bgcolor: INK.paper, border: `1px solid ${INK.line}`, borderRadius: 1 }}
        >
          <Typography id="studios-words" variant="subtitle2">
            {words.length === 1
              ? "These words are still ours. Are they true?"
              : "Some words are still ours. Are they true?"}
          </Typography>
          <Listed
            label="Words of the studio"
            all={words}
            actionsOf={(each) => [
              { label: "Yes, it is true", act: () => run(acceptWords(now(), [each.words])) },
              { label: "Take it out", act: () => takeOut(each) },
            ]}
            onGo={go}
          />
          {words.length > 1 ? (
            <Button
              size="small"
              variant="outlined"
              onClick={() =>
                run(
                  acceptWords(
                    now(),
                    words.map((w) => w.words),
                  ),
                )
              }
            >
              All of them are true
            </Button>
          ) : null}
        </Box>
      ) : null}
      {blanks.length ? (
        <Alert severity="warning" sx={{ mt: 2, alignItems: "start", "& .MuiAlert-message": { flex: 1, minWidth: 0 } }}>
          What only you can know is lacking here. Shoppers don’t see these parts until you fill them in:
          <Listed label="Blanks" all={blanks} actionsOf={() => []} onGo={go} />
        </Alert>
      ) : null}
    </>
  );
}

type ListedProps = {
  label: string;
  all: readonly Placeholder[];
  actionsOf: (placeholder: Placeholder) => SentenceProps["actions"];
  onGo: (placeholder: Placeholder) => void;
};

function Listed({ label, all, actionsOf, onGo }: ListedProps) {
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? all : all.slice(0, MOST_LISTED);
  return (
    <>
      <Box component="ul" aria-label={label} sx={{ m: 0, p: 0, listStyle: "none" }}>
        {shown.map((each) => (
          <Sentence
            key={`${each.part.id} ${each.key ?? ""}`}
            placeholder={each}
            actions={actionsOf(each)}
            onGo={() => onGo(each)}
          />
        ))}
      </Box>
      {all.length > shown.length ? (
        <Link component="button" type="button" onClick={() => setWhole(true)} sx={{ fontSize: 13, mb: 1 }}>
          and {all.length - shown.length} more
        </Link>
      ) : null}
    </>
  );
}
