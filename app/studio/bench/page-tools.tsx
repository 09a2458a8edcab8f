import { Box } from "@mui/material";
import { BookMarked, Smartphone } from "lucide-react";
import { useState } from "react";
import { IconAction } from "../ui";
import { VersionsDialog } from "../versions";
import { ArrangeForPhone } from "./arrange-phone";

/** What can be done with a page as a whole. */
export function PageTools({ page }: { page: string }) {
  const [open, setOpen] = useState<"arrange" | "versions" | null>(null);
  const close = () => setOpen(null);
  return (
    <Box sx={{ display: "flex" }}>
      <IconAction label="Arrange for phone" icon={Smartphone} onClick={() => setOpen("arrange")} />
      <IconAction label="Versions of this page" icon={BookMarked} onClick={() => setOpen("versions")} />
      <ArrangeForPhone page={page} open={open === "arrange"} onClose={close} />
      <VersionsDialog page={page} open={open === "versions"} onClose={close} />
    </Box>
  );
}
