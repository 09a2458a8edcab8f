import { Button, Menu, MenuItem, Typography } from "@mui/material";
import { ChevronDown } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { textPages } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";

/** Which of the shop's own pages lies on the bench. */
export function PageChoice({ page }: { page: string }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const shop = useStudio((s) => s.shop);
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const pages = [documents.home!, ...textPages(documents)];
  const current = documents[page] ?? documents.home!;
  return (
    <>
      <Button
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        endIcon={<ChevronDown size={16} aria-hidden />}
        sx={{ px: 1, ml: -1 }}
      >
        <Typography component="h1" variant="h2">
          {current.title}
        </Typography>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {pages.map((each) => (
          <MenuItem
            key={each.id}
            component={Link}
            to={each.id === "home" ? `/s/${shop.id}/pages` : `/s/${shop.id}/pages?page=${each.id}`}
            selected={each.id === current.id}
            onClick={() => {
              store.getState().select(null);
              setAnchor(null);
            }}
          >
            {each.title}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
