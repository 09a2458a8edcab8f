import { Box, Button, FormControlLabel, Switch, TextField, Tooltip, Typography } from "@mui/material";
import { CircleAlert, EyeOff, Plus, Trash2 } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { addNode, carryNode, removeNodes, setProp, type Outcome } from "~/core/commands";
import { entryOf, findNode, MENU_LEVELS, type Part, type PageDocument } from "~/core/document";
import { NO_LINK, type Link } from "~/core/schema";
import { makeNode } from "~/kinds";
import { envOf } from "~/render";
import { useStudio, useStudioStore } from "../keeping";
import { LinkField, linkState, type LinkState } from "../links";
import { IconAction, INK, TreeRows, type TreePlace, type TreeRow } from "../ui";

type ItemRow = TreeRow & { readonly part: Part };

/** The items of a menu as rows, each after the one that it stands in. */
const rowsOf = (parts: readonly Part[], parent: string | null = null, depth = 0): readonly ItemRow[] =>
  parts.flatMap((part) => [
    { id: part.id, parent, depth, part },
    ...rowsOf(part.slots.items ?? [], part.id, depth + 1),
  ]);

/** What things are called that links lead to, and whether they are there. */
function useLeads() {
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const draft = useStudio((s) => s.draft);
  const { currency, locale, moneyFormat } = useStudio((s) => s.shop);
  const { documents, look } = draft;
  const { titleOf } = useMemo(
    () => envOf({ goods, pictures, currency, locale, moneyFormat }, { look, documents }),
    [goods, pictures, currency, locale, moneyFormat, look, documents],
  );
  return { titleOf, stateOf: (link: Link) => linkState(link, { documents, goods, pictures }) };
}

const STATE_WORDS: Readonly<Record<Exclude<LinkState, "fine">, string>> = {
  none: "Leads nowhere yet: choose what it leads to, or put items in it",
  gone: "What it led to is no longer there",
  hidden: "The page is not in the shop yet, so this is not shown either",
};

/**
 * The items of a menu in a list: dragged to another place, or to the right to stand in the one above. `selects`: the chosen item is the
 * selected part of the page, and what it says is set elsewhere.
 */
export function MenuEditor({ menu, selects = false }: { menu: string; selects?: boolean }) {
  const document = useStudio((s) => entryOf(s.draft.documents, menu));
  return document?.kind === "menu" ? <Items document={document} selects={selects} /> : null;
}

function Items({ document, selects }: { document: PageDocument; selects: boolean }) {
  const store = useStudioStore();
  const selected = useStudio((s) => s.selected);
  const { titleOf, stateOf } = useLeads();
  // Where one is among the items. With `selects`, an item that is gone along by keys is selected only by Enter, as that shows another part.
  const [own, setCurrent] = useState<string | null>(null);
  const current = own ?? (selects ? selected : null);
  const choose = (id: string) => (selects ? store.getState().select(id) : setCurrent(id));
  const holder = useRef<HTMLDivElement>(null);
  // What Details showed before had the focus, and is gone: it goes on here, where one was.
  useEffect(() => {
    if (selects && window.document.activeElement === window.document.body)
      holder.current?.querySelector<HTMLElement>("[role=treeitem][tabindex='0']")?.focus();
  }, [selects]);
  const [isAdding, setAdding] = useState(false);
  const rows = rowsOf(document.root.slots.items ?? []);
  const chosen = rows.find((r) => r.id === current);
  const run = (outcome: Outcome) => {
    const why = store.getState().run(outcome);
    if (why) store.getState().say(why, "problem");
    return why === undefined;
  };
  const draft = () => store.getState().draft;
  const nameOf = ({ part }: ItemRow) => String(part.props.label) || titleOf(part.props.link as Link) || "No words yet";
  const move = (id: string, { parent, before }: TreePlace) => {
    const holder = parent === null ? document.root : findNode(document.root, parent)!;
    const inside = holder.slots.items ?? [];
    const index = before === undefined ? inside.length : inside.findIndex((p) => p.id === before);
    const goal = { document: document.id, parent: holder.id, slot: "items", index };
    run(carryNode(draft(), id, goal, `${document.title}: item moved`));
  };
  const remove = (id: string) => {
    const row = rows.find((r) => r.id === id);
    if (row) run(removeNodes(draft(), [id], `“${nameOf(row)}” in ${document.title}`));
    setCurrent(null);
  };
  const add = (link: Link) => {
    const item = makeNode("menu-item", { link, ...(link.to === "nowhere" ? { label: "Heading" } : {}) });
    const to = { parent: document.root.id, slot: "items", index: document.root.slots.items?.length ?? 0 };
    if (run(addNode(draft(), document.id, to, item, `Item of ${document.title}`))) choose(item.id);
    setAdding(false);
  };
  return (
    <Box sx={{ display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 1 }}>
      {rows.length ? (
        <Box
          ref={holder}
          sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, bgcolor: INK.paper, overflow: "hidden" }}
        >
          <TreeRows
            rows={rows}
            label={document.title}
            rowHeight={36}
            indent={18}
            levels={MENU_LEVELS}
            current={chosen?.id ?? null}
            onCurrent={setCurrent}
            onChoose={choose}
            onRemove={remove}
            onMove={move}
            nameOf={nameOf}
          >
            {(row) => {
              const state = stateOf(row.part.props.link as Link);
              const isWrong =
                state === "gone" || state === "hidden" || (state === "none" && !row.part.slots.items?.length);
              const Sign = state === "hidden" ? EyeOff : CircleAlert;
              return (
                <Box sx={{ display: "flex", alignItems: "center", flex: 1, minWidth: 0, pr: 0.25 }}>
                  <Typography noWrap sx={{ flex: 1, minWidth: 0, fontSize: 13.5 }}>
                    {nameOf(row)}
                  </Typography>
                  {isWrong ? (
                    <Tooltip title={STATE_WORDS[state]}>
                      <Box
                        component="span"
                        sx={{ display: "flex", color: state === "hidden" ? INK.soft : INK.brick, mr: 0.5 }}
                      >
                        <Sign size={15} aria-label={STATE_WORDS[state]} />
                      </Box>
                    </Tooltip>
                  ) : null}
                </Box>
              );
            }}
          </TreeRows>
        </Box>
      ) : (
        <Typography variant="body2" color="text.secondary">
          Nothing in it yet.
        </Typography>
      )}
      {chosen && !selects ? (
        <ItemFields
          key={chosen.id}
          part={chosen.part}
          name={titleOf(chosen.part.props.link as Link)}
          onRun={run}
          onRemove={remove}
        />
      ) : null}
      {isAdding ? (
        <Box sx={{ display: "grid", gap: 1 }}>
          <LinkField label="Lead to …" value={NO_LINK} onChange={add} />
          <Box sx={{ display: "flex", gap: 1 }}>
            <Button size="small" onClick={() => add(NO_LINK)}>
              A heading without a link
            </Button>
            <Button size="small" onClick={() => setAdding(false)}>
              Cancel
            </Button>
          </Box>
        </Box>
      ) : (
        <Button
          size="small"
          startIcon={<Plus size={15} aria-hidden />}
          onClick={() => setAdding(true)}
          sx={{ justifySelf: "start" }}
        >
          Add an item
        </Button>
      )}
    </Box>
  );
}

type ItemFieldsProps = {
  part: Part;
  /** What it leads to is called. */
  name: string | undefined;
  onRun: (outcome: Outcome) => boolean;
  onRemove: (id: string) => void;
};

/** What the chosen item says and where it leads. */
function ItemFields({ part, name, onRun, onRemove }: ItemFieldsProps) {
  const store = useStudioStore();
  const set = (key: string, value: Part["props"][string], what: string) =>
    onRun(setProp(store.getState().draft, part.id, [key], value, what));
  const label = String(part.props.label);
  return (
    <Box
      role="group"
      aria-label="The chosen item"
      sx={{
        display: "grid",
        gap: 1.25,
        p: 1.25,
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        bgcolor: INK.raised,
      }}
    >
      <LinkField
        label="Leads to"
        value={part.props.link as Link}
        onChange={(link) => set("link", link, "Menu item leads elsewhere")}
      />
      <TextField
        size="small"
        label="Words"
        value={label}
        placeholder={name}
        helperText={label || !name ? undefined : "It is called what it leads to."}
        onChange={(e) => set("label", e.target.value, "Menu words changed")}
        slotProps={{ htmlInput: { maxLength: 60 }, inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: "flex", alignItems: "center" }}>
        <FormControlLabel
          sx={{ flex: 1 }}
          control={
            <Switch
              size="small"
              checked={part.props.shows === "picture"}
              onChange={(_e, on) =>
                set("shows", on ? "picture" : "words", on ? "Menu item with a picture" : "Menu item in words")
              }
            />
          }
          label={<Typography variant="body2">With its picture, where a menu opens</Typography>}
        />
        <IconAction
          label="Remove this item"
          icon={Trash2}
          tone={INK.brick}
          size={16}
          onClick={() => onRemove(part.id)}
        />
      </Box>
    </Box>
  );
}
