import { Box } from "@mui/material";
import { BookMarked, FileCog, QrCode, Smartphone } from "lucide-react";
import { useState } from "react";
import { entryOf } from "~/core/document";
import { DraftLinkDialog } from "../draft-link";
import { useStudio } from "../keeping";
import { PageSettings } from "../site";
import { IconAction } from "../ui";
import { VersionsDialog } from "../versions";
import { ArrangeForPhone } from "./arrange-phone";

/** What can be done with a page as a whole. */
export function PageTools({ page }: { page: string }) {
  const [open, setOpen] = useState<"arrange" | "versions" | "about" | "link" | null>(null);
  const isPage = useStudio((s) => entryOf(s.draft.documents, page)?.kind === "page");
  const close = () => setOpen(null);
  return (
    <Box sx={{ display: "flex" }}>
      {isPage ? <IconAction label="About this page" icon={FileCog} onClick={() => setOpen("about")} /> : null}
      <IconAction label="Arrange for phone" icon={Smartphone} onClick={() => setOpen("arrange")} />
      <IconAction label="Versions of this page" icon={BookMarked} onClick={() => setOpen("versions")} />
      {/* Whoever works on a phone has one in hand. */}
      <Box sx={{ display: { xs: "none", sm: "block" } }}>
        <IconAction label="Look at it on a phone" icon={QrCode} onClick={() => setOpen("link")} />
      </Box>
      <ArrangeForPhone page={page} open={open === "arrange"} onClose={close} />
      <PageSettings page={open === "about" ? page : null} onClose={close} />
      <DraftLinkDialog page={page} open={open === "link"} onClose={close} />
      <VersionsDialog page={page} open={open === "versions"} onClose={close} />
    </Box>
  );
}
