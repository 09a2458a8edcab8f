import { Alert, Autocomplete, Box, FormControlLabel, MenuItem, Switch, TextField, Typography } from "@mui/material";
import { useState } from "react";
import { newId } from "~/core/document";
import { ELSEWHERE, EUROPE, MOST_ZONES, type Zone } from "~/core/selling";
import { INK, MenuButton } from "../ui";
import { AmountField, COUNTRIES } from "../when";
import { DeliveryCheck } from "./delivery-check";
import { KeptField, useSelling } from "./kept-field";
import { kilos, readKilos } from "./kilos";
import { ZoneEditor } from "./zone";

/** Where the shop delivers, how, and for how much. */
export function DeliveryPage() {
  const { selling, set } = useSelling();
  const { zones } = selling;
  const [why, setWhy] = useState<string>();
  const [wantsCollect, setWantsCollect] = useState(false);
  const setZones = (next: readonly Zone[]) => {
    const problem = set({ zones: [...next] });
    setWhy(problem);
    return problem;
  };
  const add = (name: string, countries: readonly string[]) =>
    setZones([...zones, { id: newId(), name, countries: [...countries], ways: [] }]);
  const { from } = selling;
  const home = COUNTRIES.find(({ id }) => id === from);
  return (
    <Box sx={{ overflowY: "auto", minHeight: 0 }}>
      <Box
        sx={{
          p: { xs: 2, md: 3 },
          maxWidth: 1180,
          display: "grid",
          gap: 3,
          gridTemplateColumns: { xs: "minmax(0,1fr)", lg: "minmax(0,1fr) 320px" },
        }}
      >
        <Box sx={{ display: "grid", gap: 2, gridTemplateColumns: "minmax(0,1fr)", alignContent: "start" }}>
          <Typography variant="h1">Delivery</Typography>
          <Typography color="text.secondary" sx={{ maxWidth: 640 }}>
            Where you send to, how, and what it costs. Shoppers get it when you publish.
          </Typography>
          <Box
            sx={{
              display: "grid",
              gap: 1.5,
              gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "minmax(0,1fr) minmax(0,1fr)" },
              alignItems: "start",
            }}
          >
            <Autocomplete
              size="small"
              options={COUNTRIES}
              getOptionLabel={(each) => each.title}
              getOptionKey={(each) => each.id}
              isOptionEqualToValue={(a, b) => a.id === b.id}
              value={home ?? null}
              onChange={(_e, next) => setWhy(set({ from: next?.id }))}
              renderInput={(params) => <TextField {...params} label="You send from" />}
            />
            <AmountField
              label="A piece weighs, where you have not said it, kg"
              value={selling.pieceWeight}
              written={kilos}
              read={readKilos}
              onSet={(pieceWeight) => setWhy(set({ pieceWeight }))}
            />
          </Box>
          {from === undefined && zones.some(({ ways }) => ways.some(({ rate }) => rate.by === "carrier")) ? (
            <Alert severity="warning">Say where you send from: the carrier needs it.</Alert>
          ) : null}
          {why ? (
            <Typography variant="body2" color="error" role="alert">
              {why}
            </Typography>
          ) : null}
          {zones.map((zone, i) => (
            <ZoneEditor
              key={zone.id}
              zone={zone}
              onSet={(next) => set({ zones: zones.with(i, next) })}
              onRemove={() => setZones(zones.toSpliced(i, 1))}
            />
          ))}
          {zones.length === 0 ? (
            <Typography color="text.secondary">Nothing is sent anywhere yet. Begin with a place:</Typography>
          ) : null}
          <Box sx={{ justifySelf: "start" }}>
            <MenuButton
              label="Place"
              variant={zones.length ? "outlined" : "contained"}
              disabled={zones.length >= MOST_ZONES}
            >
              {(then) => [
                <MenuItem key="home" disabled={!home} onClick={then(() => void (home && add(home.title, [home.id])))}>
                  {home ? home.title : "Your own country: say first where you send from"}
                </MenuItem>,
                <MenuItem
                  key="europe"
                  onClick={then(
                    () =>
                      void add(
                        "Europe",
                        [...EUROPE].filter((code) => code !== from),
                      ),
                  )}
                >
                  Europe
                </MenuItem>,
                <MenuItem key="rest" onClick={then(() => void add("Everywhere else", [ELSEWHERE]))}>
                  Everywhere else
                </MenuItem>,
                <MenuItem key="one" onClick={then(() => void add("A place", [from ?? "IE"]))}>
                  Countries that I choose
                </MenuItem>,
              ]}
            </MenuButton>
          </Box>
          <Box
            component="section"
            aria-label="Collecting"
            sx={{ borderTop: `1px solid ${INK.line}`, pt: 2, display: "grid", gap: 1.5 }}
          >
            <FormControlLabel
              control={
                <Switch
                  checked={selling.collect !== undefined || wantsCollect}
                  onChange={(_e, on) => {
                    setWantsCollect(on);
                    if (!on && selling.collect !== undefined) setWhy(set({ collect: undefined }));
                  }}
                />
              }
              label={<Typography sx={{ fontWeight: 600 }}>Shoppers can collect it themselves</Typography>}
            />
            {selling.collect === undefined && !wantsCollect ? null : (
              <KeptField
                label="Where and when"
                value={selling.collect ?? ""}
                most={300}
                multiline
                minRows={2}
                onSet={(collect) => set({ collect })}
              />
            )}
          </Box>
        </Box>
        <DeliveryCheck selling={selling} />
      </Box>
    </Box>
  );
}
