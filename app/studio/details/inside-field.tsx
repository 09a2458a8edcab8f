import { Box, Button, Link, Typography } from "@mui/material";
import { ChevronDown, ChevronUp, Plus, Trash2 } from "lucide-react";
import { addNode, locate, nudgeNode, removeNodes } from "~/core/commands";
import { entryOf, type Part } from "~/core/document";
import { plainOf, type Rich } from "~/core/rich";
import { accepts, kindOf, kindsOf, levelOf, type Kind } from "~/kinds";
import { fillNode, fillStart } from "~/kinds/fill";
import { nameIn } from "../bench";
import { useStudio, useStudioStore } from "../keeping";
import { useScenes } from "../pictures";
import { IconAction, INK } from "../ui";

type InsideFieldProps = {
  section: Part;
  /** What each of them is called: "Slide". */
  one: string;
};

/** What stands within a section, such as slides or the fields of a form: chosen, moved, taken away, added. */
export function InsideField({ section, one }: InsideFieldProps) {
  const store = useStudioStore();
  const scenes = useScenes();
  const goods = useStudio((s) => s.goods);
  const [[slot, most] = ["", 0]] = Object.entries(kindOf(section)?.definition.holds ?? {});
  const inside = entryOf(section.slots, slot) ?? [];
  const run = (outcome: Parameters<ReturnType<typeof store.getState>["run"]>[0]) => {
    const { say, run: change } = store.getState();
    const why = change(outcome);
    if (why) say(why, "problem");
  };
  // What stands elsewhere as well is put here out of Add.
  const kinds = [
    ...kindsOf("section"),
    ...kindsOf("widget").filter((kind) => kind.definition.slots[0] === slot),
  ].filter((kind) => accepts(section, slot, { kind: kind.definition.kind }));
  const add = ({ definition: { kind, starts } }: Kind) => {
    const { draft } = store.getState();
    const document = locate(draft, section.id)?.document;
    if (!document) return;
    // A picture that no other one shows yet, and the look of the last of its kind.
    const used = new Set(inside.map((each) => each.props.picture));
    const fresh = scenes.filter((p) => !used.has(p.id));
    const pictures = fresh.length ? fresh : scenes;
    const made = starts?.[0] ? fillStart(kind, starts[0].id, goods, pictures) : fillNode(kind, goods, pictures);
    const like = inside.findLast((each) => each.kind === kind);
    const node = like && !starts && levelOf(like) === "section" ? { ...made, style: like.style } : made;
    run(addNode(draft, document, { parent: section.id, slot, index: inside.length }, node, one));
    // What has to be told what it is for is opened at once.
    if (levelOf(node) === "widget") store.getState().select(node.id);
  };
  return (
    <Box role="group" aria-label={`${one}s`}>
      <Typography variant="caption" color="text.secondary">
        {one}s
      </Typography>
      {inside.map((each, index) => {
        const name = nameIn(each, section);
        const said = plainOf((each.props.heading ?? "") as unknown as Rich);
        return (
          <Box
            key={each.id}
            sx={{
              display: "flex",
              alignItems: "center",
              border: `1px solid ${INK.line}`,
              borderRadius: 1,
              mt: 0.75,
              pl: 1,
            }}
          >
            <Link
              component="button"
              type="button"
              variant="body2"
              noWrap
              sx={{ flex: 1, minWidth: 0, textAlign: "left" }}
              onClick={() => store.getState().select(each.id)}
            >
              {name}
              {said ? `: ${said}` : ""}
            </Link>
            <IconAction
              label={`Move ${name} up`}
              icon={ChevronUp}
              size={16}
              disabled={index === 0}
              onClick={() => run(nudgeNode(store.getState().draft, each.id, -1, name))}
            />
            <IconAction
              label={`Move ${name} down`}
              icon={ChevronDown}
              size={16}
              disabled={index === inside.length - 1}
              onClick={() => run(nudgeNode(store.getState().draft, each.id, 1, name))}
            />
            <IconAction
              label={`Remove ${name}`}
              icon={Trash2}
              size={16}
              onClick={() => run(removeNodes(store.getState().draft, [each.id], name))}
            />
          </Box>
        );
      })}
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.5, mt: 0.75 }}>
        {kinds.map((kind) => (
          <Button
            key={kind.definition.kind}
            size="small"
            startIcon={<Plus size={16} aria-hidden />}
            disabled={inside.length >= most}
            onClick={() => add(kind)}
          >
            Add a {kind.definition.name.toLowerCase()}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
