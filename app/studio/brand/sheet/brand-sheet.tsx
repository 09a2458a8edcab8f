import { entryOf } from "~/core/document";
import { Box, Button, ButtonBase, Link, TextField, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { ChevronDown, ChevronRight } from "lucide-react";
import { memo, useState, type ReactNode } from "react";
import { Link as RouterLink } from "react-router";
import { putBackBrand, setShopName, setTagline } from "~/core/commands";
import { BUTTON_WORDS, BUTTONS, SETTINGS, type ButtonName, type SettingGroup } from "~/core/theme";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../../keeping";
import { INK } from "../../ui";
import { useDesk, useDeskStore, type Desk } from "../desk";
import { LogoChoice } from "../logo";
import { ColourGroup } from "./colour-group";
import { ContactGroup } from "./contact-group";
import { MoneyGroup } from "./money-group";
import { FilesGroup } from "./files-group";
import { GROUP_TITLES, PickedCard } from "./picked-card";
import { SettingControl, useSetting } from "./setting-control";
import { TypeGroup } from "./type-group";
import { VersionsGroup } from "./versions-group";

type Name = Desk["open"] extends ReadonlySet<infer N> ? N : never;

/** A part of the sheet that opens and closes; says how much of it is set here. */
function SheetPart({ name, keys = [], children }: { name: Name; keys?: readonly string[]; children: ReactNode }) {
  const store = useStudioStore();
  const desk = useDeskStore();
  const isOpen = useDesk((d) => d.open.has(name));
  const setHere = useStudio((s) => keys.filter((key) => entryOf(s.draft.look.brand, key) !== undefined).length);
  const title = GROUP_TITLES[name]!;
  const Icon = isOpen ? ChevronDown : ChevronRight;
  return (
    <Box component="section" aria-label={title} sx={{ borderTop: `1px solid ${INK.line}` }}>
      <Typography variant="h3" component="h3">
        <ButtonBase
          aria-expanded={isOpen}
          onClick={() => desk.getState().toggle(name)}
          sx={{
            width: "100%",
            justifyContent: "flex-start",
            gap: 1,
            px: 1.5,
            py: 1.125,
            font: "inherit",
            textAlign: "left",
            "&:hover": { bgcolor: INK.paper },
          }}
        >
          <Icon size={16} aria-hidden />
          <Box component="span" sx={{ flex: 1 }}>
            {title}
          </Box>
          {setHere ? (
            <Typography component="span" variant="caption" color="text.secondary">
              {setHere} set here
            </Typography>
          ) : null}
        </ButtonBase>
      </Typography>
      {isOpen ? (
        <Box sx={{ display: "grid", gap: 1.5, px: 2, pb: 2 }}>
          {children}
          {setHere > 1 && keys.length ? (
            <Link
              component="button"
              type="button"
              variant="caption"
              sx={{ justifySelf: "start" }}
              onClick={() => store.getState().run(putBackBrand(store.getState().draft, keys, title))}
            >
              Put all of this back to the theme
            </Link>
          ) : null}
        </Box>
      ) : null}
    </Box>
  );
}

function NameFields() {
  const store = useStudioStore();
  const { name, tagline } = useStudio((s) => s.draft.look.identity);
  const [empty, setEmpty] = useState(false);
  return (
    <>
      <TextField
        label="Shop name"
        value={empty ? "" : name}
        error={empty}
        helperText={empty ? "A shop needs a name. The last one is kept until you write another." : undefined}
        slotProps={{ htmlInput: { maxLength: 60 } }}
        onBlur={() => setEmpty(false)}
        onChange={(event) => {
          const next = event.target.value;
          setEmpty(next.trim() === "");
          if (next.trim() !== "") store.getState().run(setShopName(store.getState().draft, next));
        }}
      />
      <TextField
        label="Tagline"
        value={tagline}
        helperText="A few words for search results and browser tabs"
        slotProps={{ htmlInput: { maxLength: 120 } }}
        onChange={(event) => store.getState().run(setTagline(store.getState().draft, event.target.value))}
      />
    </>
  );
}

const keysOf = (group: SettingGroup) => [...SETTINGS.values()].filter((s) => s.group === group).map((s) => s.key);
const PLAIN_GROUPS: readonly SettingGroup[] = [
  "space",
  "shape",
  "motion",
  "link",
  "field",
  "card",
  "goods",
  "price",
  "badge",
  "rating",
  "tabs",
  "popup",
  "toast",
  "frame",
];

function ButtonsGroup() {
  const [variant, setVariant] = useState<ButtonName>("primary");
  const style = useSetting(`button.${variant}.style`).value;
  return (
    <>
      <ToggleButtonGroup
        exclusive
        fullWidth
        size="small"
        value={variant}
        aria-label="Which button"
        onChange={(_event, next: ButtonName | null) => next && setVariant(next)}
      >
        {BUTTONS.map((name) => (
          <ToggleButton key={name} value={name}>
            {BUTTON_WORDS[name]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <SettingControl name={`button.${variant}.style`} label="Made" />
      {style === "gradient" ? (
        <SettingControl name={`button.${variant}.gradient`} label="Gradient" />
      ) : (
        <SettingControl name={`button.${variant}.role`} label="Colour" />
      )}
      <Typography variant="subtitle2" sx={{ borderTop: `1px solid ${INK.line}`, pt: 1 }}>
        All buttons
      </Typography>
      {["button.height", "button.padding", "button.weight", "button.case", "corners.control"].map((name) => (
        <SettingControl key={name} name={name} />
      ))}
    </>
  );
}

/** What the whole shop looks like, from a few choices. Every page follows at once. */
export const BrandSheet = memo(function BrandSheet() {
  const store = useStudioStore();
  const theme = themeById(useStudio((s) => s.draft.look.theme));
  const shop = useStudio((s) => s.shop);
  const setHere = useStudio((s) => Object.keys(s.draft.look.brand).length);
  return (
    <Box>
      <Box sx={{ px: 2, py: 1.25 }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            Brand
          </Typography>
          <Button size="small" variant="outlined" component={RouterLink} to={`/s/${shop.id}/theme`}>
            Change theme
          </Button>
        </Box>
        <Typography variant="caption" color="text.secondary">
          Theme {theme.name}
          {setHere ? (
            <>
              , {setHere === 1 ? "one thing" : `${setHere} things`} of your own.{" "}
              <Link
                component="button"
                type="button"
                variant="caption"
                onClick={() => store.getState().run(putBackBrand(store.getState().draft))}
              >
                put everything back
              </Link>
            </>
          ) : (
            ", just as it comes. Click anything in a pane to style it."
          )}
        </Typography>
      </Box>
      <PickedCard />
      <SheetPart name="identity">
        <NameFields />
        <LogoChoice />
      </SheetPart>
      <SheetPart name="contact">
        <ContactGroup />
      </SheetPart>
      <SheetPart name="money">
        <MoneyGroup />
      </SheetPart>
      <SheetPart name="colour" keys={["colour", "colour2", "colour3", "paper", "contrast", "appearance"]}>
        <ColourGroup />
      </SheetPart>
      <SheetPart name="type" keys={keysOf("type")}>
        <TypeGroup />
      </SheetPart>
      <SheetPart name="button" keys={keysOf("button")}>
        <ButtonsGroup />
      </SheetPart>
      {PLAIN_GROUPS.map((group) => (
        <SheetPart key={group} name={group} keys={keysOf(group)}>
          {keysOf(group).map((name) => (
            <SettingControl key={name} name={name} />
          ))}
        </SheetPart>
      ))}
      <SheetPart name="versions">
        <VersionsGroup />
      </SheetPart>
      <SheetPart name="files">
        <FilesGroup />
      </SheetPart>
    </Box>
  );
});
