import { slugOf } from "~/core/goods";
import { Box, Button, Link, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { setProp } from "~/core/commands";
import type { Part } from "~/core/document";
import { chassisOf, type Field } from "~/kinds";
import { partScope } from "~/render";
import { useStudioStore } from "../keeping";
import { useWhenChanged } from "../ui";
import { FieldControl } from "./fields";
import { OwnCss } from "./own-css";

/** A name of a place made of any words: it begins with a letter. */
const slug = (text: string) =>
  slugOf(text)
    .replace(/^[-\d]+/, "")
    .slice(0, 40);

/** The name by which links can lead to a section. */
export function AnchorField({ node }: { node: Part }) {
  const store = useStudioStore();
  const stored = chassisOf(node).anchor ?? "";
  const [typed, setTyped] = useState(stored);
  const [why, setWhy] = useState<string | null>(null);
  useWhenChanged(stored, setTyped);
  return (
    <TextField
      label="Name of this place"
      value={typed}
      error={why !== null}
      helperText={why ?? (stored ? `Links can lead to #${stored}.` : "So that links can lead here: our-workshop")}
      onChange={(event) => {
        const next = event.target.value;
        setTyped(next);
        const { draft, run } = store.getState();
        const problem = run(
          setProp(draft, node.id, ["anchor"], next === "" ? undefined : next, "Name of the place changed"),
        );
        setWhy(problem && problem !== "It is like that already." ? problem : null);
      }}
      onBlur={() => {
        if (why === null) return;
        const mended = slug(typed);
        const { draft, run } = store.getState();
        if (mended && !run(setProp(draft, node.id, ["anchor"], mended, "Name of the place changed"))) setTyped(mended);
        else setTyped(stored);
        setWhy(null);
      }}
    />
  );
}

const BACKDROP: Field = { type: "picture", key: "backdrop", label: "Picture behind it", views: true };

/** A picture behind everything that stands in a section. */
export const BackdropField = ({ node }: { node: Part }) => (
  <FieldControl
    node={node.props.backdrop === undefined ? { ...node, props: { ...node.props, backdrop: null } } : node}
    field={BACKDROP}
    path={["backdrop"]}
  />
);

const GROUND_FILM: Field = { type: "film", key: "groundFilm", label: "Film over that picture" };

/** A film behind everything that stands in a section. The picture is what is seen before it, and by whoever spares data or motion. */
export const GroundFilmField = ({ node }: { node: Part }) => (
  <FieldControl
    node={node.props.groundFilm === undefined ? { ...node, props: { ...node.props, groundFilm: null } } : node}
    field={GROUND_FILM}
    path={["groundFilm"]}
  />
);

/** CSS for those who write it; the editor is fetched only when it is wanted. */
export function OwnCssField({ node }: { node: Part }) {
  const has = Boolean(chassisOf(node).css);
  const [open, setOpen] = useState(has);
  if (!open)
    return (
      <Link
        component="button"
        type="button"
        variant="body2"
        onClick={() => setOpen(true)}
        sx={{ justifySelf: "start" }}
      >
        Write CSS for this section
      </Link>
    );
  return (
    <Box>
      <Box sx={{ display: "flex", alignItems: "center", mb: 0.5 }}>
        <Typography variant="caption" sx={{ fontWeight: 600, flex: 1 }}>
          CSS of this section
        </Typography>
        {has ? null : (
          <Button size="small" onClick={() => setOpen(false)}>
            Close
          </Button>
        )}
      </Box>
      <OwnCss
        label="CSS of this section"
        scope={partScope(node)}
        stored={chassisOf(node).css ?? ""}
        change={(draft, css) => setProp(draft, node.id, ["css"], css === "" ? undefined : css, "Section CSS changed")}
        placeholder={".head { letter-spacing: .04em }\n& { outline: 1px solid }"}
        hint="Reaches this section only. “&” is the section itself; what can’t be used is left out."
      />
    </Box>
  );
}
