import { Box, Button, Chip, Popover, Tooltip } from "@mui/material";
import { CalendarClock, X } from "lucide-react";
import { useState } from "react";
import { clockWords } from "~/core/conditions";
import { formatMoney } from "~/core/money";
import { FIRST_VISIT } from "~/core/situation";
import { useStudio, useStudioStore, type Looking } from "../keeping";
import { IconAction, INK } from "../ui";
import { countryName } from "~/core/selling";
import { LookingForm } from "./form";

const LABEL = "Look at another time, or as somebody else";

/** How the panes differ from a first visit now, in words. */
function lookingWords({ at, person }: Looking, money: (amount: number) => string): string {
  const { visitor, cart, country } = person;
  const words = [
    at === undefined ? "" : `on ${clockWords(at)}`,
    visitor.visits > 1 ? "coming again" : "",
    visitor.isSubscribed ? "getting letters" : "",
    visitor.isSignedIn ? "signed in" : "",
    visitor.hasBought ? "having bought before" : "",
    visitor.by ? `by “${visitor.by}”` : "",
    cart.count ? `with a cart of ${money(cart.worth)}` : "",
    country ? countryName(country) : "",
  ].filter(Boolean);
  return `As ${words.join(" · ")}`;
}

/** Turns every pane of the studio to another time or another shopper, and says so for as long as they are. */
export function LookingAs({
  canShowYear = false,
}: {
  /** The year can stand above the panes here. */ canShowYear?: boolean;
}) {
  const store = useStudioStore();
  const looking = useStudio((s) => s.looking);
  const { currency, moneyFormat } = useStudio((s) => s.shop);
  // The place, not the button: that is another one as soon as the panes are turned.
  const [place, setPlace] = useState<HTMLElement | null>(null);
  const [open, setOpen] = useState(false);
  const words = looking ? lookingWords(looking, (amount) => formatMoney(amount, currency, moneyFormat)) : "";
  const back = () => store.getState().lookAs(null);
  return (
    <Box ref={setPlace} sx={{ display: "flex", minWidth: 0 }}>
      {looking ? (
        <Tooltip describeChild title="All panes are turned. Press to change that">
          <Chip
            size="small"
            icon={<CalendarClock size={14} aria-hidden />}
            label={words}
            aria-label={words}
            aria-haspopup="dialog"
            onClick={() => setOpen(true)}
            onDelete={back}
            deleteIcon={<X size={14} aria-label="Back to a first visit now" />}
            sx={{
              maxWidth: 320,
              // On a phone there is room for the sign alone; what it says is its name.
              "& .MuiChip-label, & .MuiChip-deleteIcon": { display: { xs: "none", md: "block" } },
              "& .MuiChip-icon": { mx: { xs: 0.75 } },
              bgcolor: INK.lemon,
              color: INK.onLemon,
              "& .MuiChip-icon, & .MuiChip-deleteIcon, & .MuiChip-deleteIcon:hover": { color: INK.onLemon },
              "&:hover, &.MuiChip-clickable:hover": { bgcolor: INK.lemon },
            }}
          />
        </Tooltip>
      ) : (
        <IconAction label={LABEL} icon={CalendarClock} onClick={() => setOpen(true)} />
      )}
      <Popover
        anchorEl={place}
        open={open && place !== null}
        onClose={() => setOpen(false)}
        anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        transformOrigin={{ vertical: "top", horizontal: "right" }}
        // The panes are what it is about: they stay as they are around it.
        slotProps={{
          backdrop: { invisible: true },
          paper: { role: "dialog", "aria-label": LABEL, sx: { p: 2, width: 380, maxWidth: "calc(100vw - 32px)" } },
        }}
      >
        <LookingForm looking={looking ?? { person: FIRST_VISIT }} onLook={(next) => store.getState().lookAs(next)} />
        <Box sx={{ display: "flex", gap: 1, mt: 2 }}>
          <Button size="small" variant="outlined" disabled={looking === null} onClick={back}>
            A first visit, now
          </Button>
          {canShowYear ? (
            <Button
              size="small"
              onClick={() => {
                setOpen(false);
                store.setState({ yearOpen: true });
              }}
            >
              Show the year (Y)
            </Button>
          ) : null}
          <Box sx={{ flex: 1 }} />
          <Button size="small" onClick={() => setOpen(false)}>
            Close
          </Button>
        </Box>
      </Popover>
    </Box>
  );
}
