import { Autocomplete, Box, Button, TextField, Typography } from "@mui/material";
import { ChevronDown, ChevronUp, Plus, Trash2 } from "lucide-react";
import type { BlockSort, LetterBlock } from "~/core/mail";
import { useStudio } from "../keeping";
import { LinkField } from "../links";
import { PictureChoice } from "../pictures";
import { IconAction, INK } from "../ui";

const NAMES: Readonly<Record<BlockSort, string>> = {
  heading: "Heading",
  words: "Words",
  picture: "Picture",
  button: "Button",
  goods: "Products",
  code: "Coupon code",
  line: "Line",
};
const SORTS = Object.keys(NAMES) as BlockSort[];

function fresh(sort: BlockSort): LetterBlock {
  switch (sort) {
    case "picture":
      return { sort, picture: null };
    case "button":
      return { sort, label: "Have a look", link: { to: "home" } };
    case "goods":
      return { sort, products: [] };
    case "line":
      return { sort };
    default:
      return { sort, text: "" };
  }
}

type BlockProps = { block: LetterBlock; onChange: (block: LetterBlock) => void };

const PictureBlock = ({ block, onChange }: BlockProps & { block: Extract<LetterBlock, { sort: "picture" }> }) => (
  <PictureChoice picture={block.picture} onChoose={(picture) => onChange({ sort: "picture", picture })} />
);

function GoodsBlock({ block, onChange }: BlockProps & { block: Extract<LetterBlock, { sort: "goods" }> }) {
  const products = useStudio((s) => s.goods.products);
  const chosen = block.products.flatMap((id) => products.find((p) => p.id === id) ?? []);
  return (
    <Autocomplete
      multiple
      size="small"
      options={products}
      value={chosen}
      getOptionLabel={(p) => p.title}
      getOptionKey={(p) => p.id}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      onChange={(_e, next) => onChange({ sort: "goods", products: next.slice(0, 12).map((p) => p.id) })}
      noOptionsText="No product is called that."
      renderInput={(params) => <TextField {...params} label="Products" />}
    />
  );
}

function Controls({ block, onChange }: BlockProps) {
  switch (block.sort) {
    case "heading":
    case "code":
      return (
        <TextField
          label={NAMES[block.sort]}
          value={block.text}
          onChange={(event) => onChange({ ...block, text: event.target.value })}
          slotProps={{ htmlInput: { maxLength: block.sort === "code" ? 60 : 200 } }}
        />
      );
    case "words":
      return (
        <TextField
          label="Words"
          value={block.text}
          multiline
          minRows={3}
          maxRows={14}
          helperText="An empty line begins a new paragraph; addresses become links."
          onChange={(event) => onChange({ ...block, text: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 5000 } }}
        />
      );
    case "picture":
      return <PictureBlock block={block} onChange={onChange} />;
    case "button":
      return (
        <>
          <TextField
            label="Words of the button"
            value={block.label}
            onChange={(event) => onChange({ ...block, label: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 60 } }}
          />
          <LinkField label="Leads to" value={block.link} onChange={(link) => onChange({ ...block, link })} />
        </>
      );
    case "goods":
      return <GoodsBlock block={block} onChange={onChange} />;
    case "line":
      return null;
  }
}

/** What a letter is made of: written, moved, taken away, added. */
export function Blocks({
  blocks,
  onChange,
}: {
  blocks: readonly LetterBlock[];
  onChange: (blocks: LetterBlock[]) => void;
}) {
  const move = (from: number, to: number) => onChange(blocks.toSpliced(from, 1).toSpliced(to, 0, blocks[from]!));
  return (
    <Box role="group" aria-label="Parts of the letter" sx={{ display: "grid", gap: 1.25, minWidth: 0 }}>
      {blocks.map((block, index) => {
        const name = `${NAMES[block.sort]} ${index + 1}`;
        return (
          <Box
            key={index}
            sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, p: 1.25, display: "grid", gap: 1.25 }}
          >
            <Box sx={{ display: "flex", alignItems: "center" }}>
              <Typography variant="caption" color="text.secondary" sx={{ flex: 1 }}>
                {NAMES[block.sort]}
              </Typography>
              <IconAction
                label={`Move ${name} up`}
                icon={ChevronUp}
                size={16}
                disabled={index === 0}
                onClick={() => move(index, index - 1)}
              />
              <IconAction
                label={`Move ${name} down`}
                icon={ChevronDown}
                size={16}
                disabled={index === blocks.length - 1}
                onClick={() => move(index, index + 1)}
              />
              <IconAction
                label={`Remove ${name}`}
                icon={Trash2}
                size={16}
                onClick={() => onChange(blocks.toSpliced(index, 1))}
              />
            </Box>
            <Controls block={block} onChange={(next) => onChange(blocks.with(index, next))} />
          </Box>
        );
      })}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5 }}>
        {SORTS.map((sort) => (
          <Button
            key={sort}
            size="small"
            startIcon={<Plus size={14} aria-hidden />}
            disabled={blocks.length >= 40}
            onClick={() => onChange([...blocks, fresh(sort)])}
          >
            {NAMES[sort]}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
