import { Badge, Box, Button, Divider, Popover, Typography } from "@mui/material";
import { FileWarning } from "lucide-react";
import { useRef, useState } from "react";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK } from "../ui";

/** Changes that could not be saved, each with the reason; they are offered again, and go only when the seller lets them go. */
export function PutAside() {
  const store = useStudioStore();
  const aside = useStudio((s) => s.aside);
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<{ readonly id: string; readonly why: string } | null>(null);
  const anchor = useRef<HTMLSpanElement>(null);
  if (aside.length === 0) return null;
  const count = aside.length === 1 ? "1 change could not be saved" : `${aside.length} changes could not be saved`;
  const again = (id: string) => {
    const why = store.getState().tryAgain(id);
    setProblem(why === undefined ? null : { id, why });
  };
  return (
    <span ref={anchor}>
      <Badge badgeContent={aside.length} color="error" overlap="circular">
        <IconAction label={count} icon={FileWarning} onClick={() => setOpen(true)} />
      </Badge>
      <Popover
        open={open}
        anchorEl={() => anchor.current}
        onClose={() => setOpen(false)}
        anchorOrigin={{ vertical: "bottom", horizontal: "right" }}
        transformOrigin={{ vertical: "top", horizontal: "right" }}
        slotProps={{ paper: { sx: { width: 380, maxWidth: "calc(100vw - 32px)", maxHeight: "70vh" } } }}
      >
        <Box sx={{ p: 2, display: "grid", gap: 1.5 }}>
          <Typography variant="h3" component="h2">
            {count}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            They are saved in this browser. Try one again once what stood in its way has changed.
          </Typography>
          {aside.map(({ transaction, why }) => (
            <Box key={transaction.id} sx={{ display: "grid", gap: 0.75 }}>
              <Divider />
              <Typography sx={{ fontWeight: 600, overflowWrap: "anywhere" }}>{transaction.label}</Typography>
              <Typography
                variant="body2"
                role={problem?.id === transaction.id ? "alert" : undefined}
                sx={{ color: INK.brick, overflowWrap: "anywhere" }}
              >
                {problem?.id === transaction.id ? problem.why : why}
              </Typography>
              <Box sx={{ display: "flex", gap: 1 }}>
                <Button size="small" variant="outlined" onClick={() => again(transaction.id)}>
                  Try again
                </Button>
                <Button size="small" color="error" onClick={() => store.getState().discard(transaction.id)}>
                  Remove
                </Button>
              </Box>
            </Box>
          ))}
        </Box>
      </Popover>
    </span>
  );
}
