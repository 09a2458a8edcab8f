import {
  Box,
  Button,
  Divider,
  FormControlLabel,
  Radio,
  RadioGroup,
  Switch,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { Copy, Trash2 } from "lucide-react";
import { useMemo, type ReactNode } from "react";
import { PROPERTIES, resolve } from "~/core/cascade";
import { duplicateSection, locate, removeSection, setShown, setStyle, switchArrangement } from "~/core/commands";
import { DEVICES, type Audience, type Device } from "~/core/document";
import { kindOf } from "~/kinds";
import { arrangementOf, sectionLayers } from "~/render";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { Heading, IconAction, INK } from "../ui";
import { FieldControl } from "./fields";
import { StyleField } from "./style-field";
import { WordsOnPicture } from "./words-on-picture";

const DEVICE_LABEL: Readonly<Record<Device, string>> = { phone: "Phone", tablet: "Tablet", wide: "Wide" };
const ONLY_WORDS: Readonly<Record<Device, string>> = { phone: "phones", tablet: "tablets", wide: "wide screens" };
const HIDE_WORDS: Readonly<Record<Device, string>> = { phone: "Phones", tablet: "Tablets", wide: "Wide screens" };

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ px: 2, py: 1.5, borderTop: `1px solid ${INK.line}` }}>
      <Heading>{title}</Heading>
      <Box sx={{ display: "grid", gap: 1.75 }}>{children}</Box>
    </Box>
  );
}

function Nothing() {
  return (
    <Box sx={{ p: 2.5, display: "grid", gap: 1.5 }}>
      <Typography variant="h2" component="p">
        Choose a part of the page
      </Typography>
      <Typography color="text.secondary">
        Click it in a pane or in the plan below. What it says, how it sits and how it looks can then be changed here.
      </Typography>
      <Divider />
      <Typography variant="body2" color="text.secondary">
        Click words in a chosen part to change them where they stand. <kbd>A</kbd> adds a section, <kbd>[</kbd> and{" "}
        <kbd>]</kbd> walk along the page, <kbd>?</kbd> shows all keys.
      </Typography>
    </Box>
  );
}

/** Everything about the selected section, under the questions it answers. */
export function Details() {
  const store = useStudioStore();
  const selected = useStudio((s) => s.selected);
  const draft = useStudio((s) => s.draft);
  const audience = useStudio((s) => s.audience);
  const node = selected ? locate(draft, selected)?.node : undefined;
  const kind = node && kindOf(node);
  const { look } = draft;
  // Typing changes what a section says and not how it looks: its style fields are drawn again only when they have to be.
  const layers = useMemo(
    () => (node ? sectionLayers(node, themeById(look.theme), look) : []),
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [node?.id, node?.style, node?.props.arrangement, look],
  );
  if (!node || !kind) return <Nothing />;
  const { definition } = kind;
  const theme = themeById(draft.look.theme);
  const arrangement = arrangementOf(kind, node, theme);
  const run = store.getState().run;
  const style = (group: "sits" | "looks") =>
    definition.styles
      .map((name) => PROPERTIES[name]!)
      .filter((property) => property.group === group && property.name !== "hidden")
      .map((property) => (
        <StyleField
          key={property.name}
          id={node.id}
          style={node.style}
          property={property}
          layers={layers}
          theme={theme.name}
          arrangement={arrangement.name}
        />
      ));
  const canHide = definition.styles.includes("hidden");
  const looks = style("looks");
  return (
    <Box key={node.id}>
      <Box
        sx={{
          position: "sticky",
          top: 0,
          zIndex: 2,
          bgcolor: INK.raised,
          px: 2,
          pt: 1.25,
          pb: 1.25,
          borderBottom: `1px solid ${INK.line}`,
        }}
      >
        <Box sx={{ display: "flex", alignItems: "center" }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {definition.name}
          </Typography>
          <IconAction
            label="Duplicate"
            keys="D"
            icon={Copy}
            onClick={() => run(duplicateSection(draft, node.id, definition.name))}
          />
          <IconAction
            label="Remove"
            keys="Del"
            icon={Trash2}
            onClick={() => run(removeSection(draft, node.id, definition.name))}
          />
        </Box>
        <ToggleButtonGroup
          exclusive
          fullWidth
          size="small"
          value={audience}
          aria-label="Whom a change of style is for"
          sx={{ mt: 0.5 }}
          onChange={(_e, next: Audience | null) => next && store.getState().setAudience(next)}
        >
          <ToggleButton value="all">All</ToggleButton>
          {DEVICES.map((device) => (
            <ToggleButton
              key={device}
              value={device}
              sx={{
                "&&.Mui-selected": { bgcolor: INK.plum, color: INK.paper },
                "&&.Mui-selected:hover": { bgcolor: INK.plum, color: INK.paper },
              }}
            >
              {DEVICE_LABEL[device]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Typography variant="caption" component="p" sx={{ mt: 0.5, color: audience === "all" ? INK.soft : INK.plum }}>
          {audience === "all"
            ? "Changes of style are for all devices."
            : `◆ Changes of style are for ${ONLY_WORDS[audience]} only.`}
        </Typography>
      </Box>
      <Group title="What it says">
        {definition.fields.map((field) => (
          <FieldControl key={`${node.id} ${field.key}`} node={node} field={field} path={[field.key]} />
        ))}
      </Group>
      <Group title="How it sits">
        {definition.arrangements.length > 1 ? (
          <Box>
            <Typography variant="caption" id="arrangement" sx={{ fontWeight: 600 }}>
              Arrangement
            </Typography>
            <RadioGroup
              aria-labelledby="arrangement"
              value={arrangement.id}
              onChange={(_e, id) =>
                run(
                  switchArrangement(
                    draft,
                    node.id,
                    id,
                    `${definition.name}: ${definition.arrangements.find((a) => a.id === id)?.name ?? "arrangement changed"}`,
                  ),
                )
              }
            >
              {definition.arrangements.map((a) => (
                <FormControlLabel
                  key={a.id}
                  value={a.id}
                  control={<Radio size="small" sx={{ p: 0.5 }} />}
                  label={<Typography variant="body2">{a.name}</Typography>}
                />
              ))}
            </RadioGroup>
            {node.props.arrangement === undefined ? (
              <Typography variant="caption" color="text.secondary">
                from theme {theme.name}
              </Typography>
            ) : (
              <Button
                size="small"
                onClick={() =>
                  run(switchArrangement(draft, node.id, undefined, `${definition.name}: arrangement put back`))
                }
              >
                Put back to the theme’s
              </Button>
            )}
          </Box>
        ) : null}
        {style("sits")}
      </Group>
      {looks.length ? (
        <Group title="How it looks">
          {arrangement.wordsOnPicture ? <WordsOnPicture node={node} layers={layers} /> : null}
          {looks}
        </Group>
      ) : null}
      <Group title="When it shows">
        <Box>
          <FormControlLabel
            control={
              <Switch checked={node.shown} onChange={(_e, on) => run(setShown(draft, node.id, on, definition.name))} />
            }
            label={node.shown ? "Shown in the shop" : "Not shown yet"}
          />
          <Typography variant="caption" component="p" color="text.secondary">
            {node.shown ? "Goes to the shop when you publish." : "You see it here; shoppers don’t."}
          </Typography>
        </Box>
        {canHide ? (
          <Box role="group" aria-label="Devices it shows on">
            {DEVICES.map((device) => {
              const hidden = resolve(layers, "hidden", device)?.value === true;
              return (
                <FormControlLabel
                  key={device}
                  sx={{ display: "flex" }}
                  control={
                    <Switch
                      size="small"
                      color="secondary"
                      checked={!hidden}
                      onChange={(_e, on) =>
                        run(
                          setStyle(
                            draft,
                            node.id,
                            device,
                            "hidden",
                            on ? undefined : true,
                            on ? `${definition.name} shown` : `${definition.name} hidden`,
                          ),
                        )
                      }
                    />
                  }
                  label={
                    <Typography variant="body2">
                      {HIDE_WORDS[device]}
                      {hidden ? (
                        <Box component="span" sx={{ color: INK.plum }}>
                          {" "}
                          ◆ hidden here
                        </Box>
                      ) : null}
                    </Typography>
                  }
                />
              );
            })}
          </Box>
        ) : null}
      </Group>
    </Box>
  );
}
