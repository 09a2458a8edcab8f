import { entryOf } from "~/core/document";
import { Box, Link, Tooltip, Typography } from "@mui/material";
import { Check, CloudOff, LoaderCircle, Users } from "lucide-react";
import { useLocation } from "react-router";
import { useStudio } from "../keeping";
import { INK } from "../ui";

const clock = (at: number) => new Date(at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });

/** That the shop is open somewhere else as well; changes made there come in here. */
export function Others() {
  const others = useStudio((s) => s.others);
  const documents = useStudio((s) => s.draft.documents);
  if (others.length === 0) return null;
  const places = others.map(
    ({ who, place }) => `${who} on ${entryOf(documents, place)?.title ?? (place === "pages" ? "Home" : place)}`,
  );
  const words = others.length === 1 ? "open in 1 other tab" : `open in ${others.length} other tabs`;
  return (
    <Tooltip title={`${places.join(", ")}. What is changed there comes in here, and nothing is overwritten.`}>
      <Box role="status" sx={{ display: "flex", gap: 0.5, alignItems: "center", color: INK.plum }}>
        <Users size={16} strokeWidth={1.75} aria-hidden />
        <Typography variant="body2" noWrap sx={{ display: { xs: "none", lg: "block" } }}>
          {words}
        </Typography>
        <Typography variant="body2" noWrap sx={{ display: { xs: "block", lg: "none" } }} aria-hidden>
          {others.length}
        </Typography>
      </Box>
    </Tooltip>
  );
}

/** Says what is kept, always truly. */
export function Kept() {
  const keep = useStudio((s) => s.keep);
  const keptAt = useStudio((s) => s.keptAt);
  const waiting = useStudio((s) => s.pending.length);
  const { pathname } = useLocation();
  if (keep === "signed-out") {
    return (
      <Typography variant="body2" role="status" sx={{ color: INK.brick, fontWeight: 600 }}>
        Signed out. {waiting ? `${waiting} waiting here. ` : ""}
        <Link href={`/sign-in?to=${encodeURIComponent(pathname)}`}>Sign in</Link>
      </Typography>
    );
  }
  if (keep === "gone") {
    return (
      <Typography variant="body2" role="status" sx={{ color: INK.brick, fontWeight: 600 }}>
        This shop is no longer there for this account.
      </Typography>
    );
  }
  const [Icon, text, hint] =
    keep === "waiting"
      ? ([
          CloudOff,
          `${waiting} waiting here`,
          "The server can’t be reached. Your changes are safe in this browser and are sent as soon as it answers.",
        ] as const)
      : keep === "keeping"
        ? ([LoaderCircle, "Saving …", "Your latest change is on its way."] as const)
        : ([Check, keptAt ? `Saved ${clock(keptAt)}` : "Saved", "Every change is saved by itself."] as const);
  return (
    <Tooltip title={hint}>
      <Box
        role="status"
        sx={{
          display: "flex",
          gap: 0.75,
          alignItems: "center",
          color: keep === "waiting" ? INK.brick : INK.soft,
          minWidth: { xs: 0, md: 96 },
        }}
      >
        <Icon size={16} strokeWidth={1.75} aria-hidden />
        <Typography variant="body2" noWrap sx={{ display: { xs: keep === "waiting" ? "block" : "none", sm: "block" } }}>
          {text}
        </Typography>
      </Box>
    </Tooltip>
  );
}
