import { Box, Button, Typography } from "@mui/material";
import { ChevronDown, ChevronUp, Images, Plus, Trash2 } from "lucide-react";
import { useState, type ReactNode } from "react";
import { entryOf, type Json } from "~/core/document";
import { readAt, type Path } from "~/core/operations";
import { sourceOf } from "~/core/pictures";
import type { Link } from "~/core/schema";
import { nameOf, type Field } from "~/kinds";
import { useStudio } from "../keeping";
import { PicturePicker } from "../pictures";
import { IconAction, INK } from "../ui";
import { useSetOrSay, type FieldProps } from "./use-set";

type ListFieldProps = FieldProps & {
  field: Extract<Field, { type: "list" }>;
  /** The control of one value of an item. */
  control: (field: Field, path: Path) => ReactNode;
};

/** By which of its values an item is called, the first that says something. */
const NAMES = [
  "question",
  "label",
  "words",
  "head",
  "heading",
  "caption",
  "name",
  "figure",
  "who",
  "when",
  "text",
  "from",
] as const;

/** Several things of one sort, in an order: opened, moved, taken away, added. Pictures can be added many at a time. */
export function ListField({ node, field, path, control }: ListFieldProps) {
  const items = (readAt(node.props, path) as readonly Readonly<Record<string, Json>>[] | undefined) ?? [];
  const setAll = useSetOrSay(node, path, `${field.label} changed in ${nameOf(node)}`);
  const [open, setOpen] = useState<number | null>(null);
  const [isChoosing, setChoosing] = useState(false);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const ofPictures = field.fields.some((f) => f.type === "picture" && f.key === "picture");
  // What begins with its picture can be added by choosing some.
  const beginsWithPictures = ofPictures && field.fields[0]?.key === "picture";
  const pictureOf = (item: Readonly<Record<string, Json>>) =>
    ofPictures ? pictures.find((p) => p.id === entryOf(item, "picture")) : undefined;
  const collection = (id: unknown) => goods.collections.find((c) => c.id === id);
  const titleOf = (item: Readonly<Record<string, Json>>, index: number): string => {
    const said = NAMES.map((name) => entryOf(item, name)).find((value) => typeof value === "string" && value !== "");
    const link = entryOf(item, "link") as unknown as Link | undefined;
    return (
      (said as string | undefined) ||
      collection(entryOf(item, "collection"))?.title ||
      goods.products.find((p) => p.id === entryOf(item, "product"))?.title ||
      (link?.to === "collection" ? collection(link.id)?.title : undefined) ||
      pictureOf(item)?.alt ||
      `${field.one} ${index + 1}`
    );
  };
  const move = (from: number, to: number) => {
    setAll(items.toSpliced(from, 1).toSpliced(to, 0, items[from]!));
    setOpen(open === null ? null : to);
  };
  const room = field.most - items.length;
  return (
    <Box role="group" aria-label={field.label}>
      <Typography variant="caption" color="text.secondary">
        {field.label}
        {items.length > 3 ? `, ${items.length}` : ""}
      </Typography>
      {items.map((item, index) => {
        const picture = pictureOf(item);
        const title = titleOf(item, index);
        return (
          <Box
            key={index}
            sx={{ border: `1px solid ${open === index ? INK.ink : INK.line}`, borderRadius: 1, mt: 0.75 }}
          >
            <Box sx={{ display: "flex", alignItems: "center" }}>
              <Button
                size="small"
                onClick={() => setOpen(open === index ? null : index)}
                aria-expanded={open === index}
                sx={{ flex: 1, minWidth: 0, justifyContent: "flex-start", fontWeight: 500, gap: 1 }}
              >
                {ofPictures ? (
                  <Box
                    component="span"
                    sx={{
                      flex: "none",
                      width: 34,
                      height: 26,
                      borderRadius: 0.5,
                      bgcolor: INK.bench,
                      backgroundSize: "cover",
                      backgroundPosition: "center",
                    }}
                    style={picture ? { backgroundImage: `url(${sourceOf(picture, 160)})` } : {}}
                  />
                ) : null}
                <Typography variant="body2" noWrap>
                  {title}
                </Typography>
              </Button>
              <IconAction
                label={`Move ${title} up`}
                icon={ChevronUp}
                size={16}
                disabled={index === 0}
                onClick={() => move(index, index - 1)}
              />
              <IconAction
                label={`Move ${title} down`}
                icon={ChevronDown}
                size={16}
                disabled={index === items.length - 1}
                onClick={() => move(index, index + 1)}
              />
              <IconAction
                label={`Remove ${title}`}
                icon={Trash2}
                size={16}
                onClick={() => {
                  setAll(items.toSpliced(index, 1));
                  setOpen(null);
                }}
              />
            </Box>
            {open === index ? (
              <Box sx={{ display: "grid", gap: 1.5, p: 1.25, pt: 1 }}>
                {field.fields.map((inner) => control(inner, [...path, index, inner.key]))}
              </Box>
            ) : null}
          </Box>
        );
      })}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.75 }}>
        {beginsWithPictures ? (
          <Button
            size="small"
            variant="outlined"
            startIcon={<Images size={16} aria-hidden />}
            disabled={room <= 0}
            onClick={() => setChoosing(true)}
          >
            Add pictures
          </Button>
        ) : null}
        <Button
          size="small"
          startIcon={<Plus size={16} aria-hidden />}
          disabled={room <= 0}
          onClick={() => {
            setAll([...items, field.fresh]);
            setOpen(items.length);
          }}
        >
          Add {/^[aeiou]/.test(field.one) ? "an" : "a"} {field.one}
        </Button>
      </Box>
      {room <= 0 ? (
        <Typography variant="caption" component="p" color="text.secondary">
          {field.most} is the most that can stand here.
        </Typography>
      ) : null}
      {beginsWithPictures ? (
        <PicturePicker
          open={isChoosing}
          onClose={() => setChoosing(false)}
          most={room}
          onSeveral={(chosen) => {
            setAll([...items, ...chosen.slice(0, room).map((picture) => ({ ...field.fresh, picture }))]);
            setChoosing(false);
          }}
        />
      ) : null}
    </Box>
  );
}
