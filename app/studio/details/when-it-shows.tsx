import { Box, FormControlLabel, Switch, Typography } from "@mui/material";
import { memo } from "react";
import { resolve, type Layer } from "~/core/cascade";
import { setConditions, setShown, setStyle } from "~/core/commands";
import { DEVICES, type Device } from "~/core/document";
import { useStudioStore } from "../keeping";
import { SeasonChoice } from "../seasons";
import { INK } from "../ui";
import { WhenSentence } from "../when";
import { Group } from "./group";

const HIDE_WORDS: Readonly<Record<Device, string>> = { phone: "Phones", tablet: "Tablets", wide: "Wide screens" };

type WhenProps = {
  ids: readonly string[];
  /** The document in which they stand. */
  document: string;
  name: string;
  shown: boolean;
  /** As JSON, so that other changes of a part are none of this; undefined where several parts differ in it. */
  conditions: string | undefined;
  layers: readonly Layer[];
  canHide: boolean;
};

/** Whether parts are in the shop, and on which devices. */
export const WhenItShows = memo(function WhenItShows({
  ids,
  document,
  name,
  shown,
  conditions,
  layers,
  canHide,
}: WhenProps) {
  const store = useStudioStore();
  const now = () => store.getState();
  return (
    <Group title="When it shows">
      <Box>
        <FormControlLabel
          control={<Switch checked={shown} onChange={(_e, on) => now().run(setShown(now().draft, ids, on, name))} />}
          label={shown ? "Shown in the shop" : "Not shown yet"}
        />
        <Typography variant="caption" component="p" color="text.secondary">
          {shown ? "Goes to the shop when you publish." : "You see it here; shoppers don’t."}
        </Typography>
      </Box>
      {shown ? (
        <WhenSentence
          key={ids.join(" ")}
          conditions={conditions}
          document={document}
          onSet={(asked) => now().run(setConditions(now().draft, ids, asked, name)) ?? undefined}
        />
      ) : null}
      <SeasonChoice ids={ids} name={name} />
      {canHide ? (
        <Box role="group" aria-label="Devices it shows on">
          {DEVICES.map((device) => {
            const hidden = resolve(layers, "hidden", device)?.value === true;
            const words = `${name} ${hidden ? "shown" : "hidden"}`;
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
                      now().run(setStyle(now().draft, ids, device, "hidden", on ? undefined : true, words))
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
  );
});
