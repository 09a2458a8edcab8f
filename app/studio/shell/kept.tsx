import { Box, Link, Tooltip, Typography } from "@mui/material";
import { Check, CloudOff, LoaderCircle } from "lucide-react";
import { useStudio } from "../keeping";
import { INK } from "../ui";

const clock = (at: number) => new Date(at).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });

/** Says what is kept, always truly. */
export function Kept() {
  const keep = useStudio((s) => s.keep);
  const keptAt = useStudio((s) => s.keptAt);
  const waiting = useStudio((s) => s.pending.length);
  const shop = useStudio((s) => s.shop.id);
  if (keep === "signed-out") {
    return (
      <Typography variant="body2" role="status" sx={{ color: INK.brick, fontWeight: 600 }}>
        Signed out. {waiting} waiting here. <Link href={`/sign-in?to=/s/${shop}/pages`}>Sign in</Link>
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
        ? ([LoaderCircle, "Keeping …", "Your latest change is on its way."] as const)
        : ([Check, keptAt ? `Kept ${clock(keptAt)}` : "Kept", "Every change is kept by itself."] as const);
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
