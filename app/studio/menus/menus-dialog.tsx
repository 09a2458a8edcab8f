import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  TextField,
  Typography,
  useMediaQuery,
} from "@mui/material";
import { Plus, Trash2, X } from "lucide-react";
import { useState } from "react";
import { addMenu, freeName, removeMenu, renameMenu, type Outcome } from "~/core/commands";
import { MAIN_MENU, menusOf, newId, type PageDocument } from "~/core/document";
import { withoutMenu } from "~/kinds/leading";
import { placeWords, whereUsed } from "~/kinds/references";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK, useWhenChanged } from "../ui";
import { MenuEditor } from "./menu-editor";

/** One menu, with its name, where it is shown, and its items. */
function Entry({ document, onRun }: { document: PageDocument; onRun: (outcome: Outcome) => void }) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const [title, setTitle] = useState(document.title);
  useWhenChanged(document.title, () => setTitle(document.title));
  const places = [...new Set(whereUsed(draft, (r) => r.to === "menu" && r.id === document.id).map(placeWords))];
  return (
    <Box
      component="section"
      aria-label={document.title}
      sx={{
        display: "grid",
        gap: 1.5,
        alignContent: "start",
        p: 2,
        border: `1px solid ${INK.line}`,
        borderRadius: 1,
        bgcolor: INK.raised,
      }}
    >
      <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
        <TextField
          size="small"
          label="Name"
          value={title}
          sx={{ flex: 1 }}
          onChange={(e) => setTitle(e.target.value)}
          onBlur={() =>
            title.trim() !== document.title && onRun(renameMenu(store.getState().draft, document.id, title))
          }
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        {document.id === MAIN_MENU ? null : (
          <IconAction
            label={`Remove ${document.title}`}
            icon={Trash2}
            tone={INK.brick}
            onClick={() => {
              const now = store.getState().draft;
              onRun(removeMenu(now, document.id, withoutMenu(now, document.id)));
            }}
          />
        )}
      </Box>
      <Typography variant="caption" color="text.secondary">
        {places.length ? `Shown in ${places.join(", ")}` : "Shown nowhere yet: choose it in the header or footer."}
      </Typography>
      <MenuEditor menu={document.id} />
    </Box>
  );
}

/** All menus of the shop. */
export function MenusDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const store = useStudioStore();
  const documents = useStudio((s) => s.draft.documents);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [problem, setProblem] = useState<string | null>(null);
  const run = (outcome: Outcome) => setProblem(store.getState().run(outcome) ?? null);
  const menus = menusOf(documents);
  const add = () => {
    const titles = menus.map((menu) => menu.title);
    run(addMenu(store.getState().draft, freeName("Another menu", titles), newId()));
  };
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="md" fullScreen={isNarrow} aria-labelledby="menus-title">
      <DialogTitle id="menus-title" component="div" sx={{ display: "flex", alignItems: "center", gap: 1 }}>
        <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
          Menus
        </Typography>
        <Button size="small" startIcon={<Plus size={15} aria-hidden />} onClick={add}>
          Another menu
        </Button>
        <IconAction label="Close" icon={X} onClick={onClose} />
      </DialogTitle>
      <DialogContent
        sx={{
          display: "grid",
          gap: 2,
          bgcolor: INK.paper,
          pt: "16px !important",
          gridTemplateColumns: { xs: "minmax(0,1fr)", sm: "repeat(2, minmax(0,1fr))" },
        }}
      >
        {problem ? (
          <Alert severity="error" sx={{ gridColumn: "1 / -1" }}>
            {problem}
          </Alert>
        ) : null}
        {menus.map((menu) => (
          <Entry key={menu.id} document={menu} onRun={run} />
        ))}
        <Typography variant="caption" color="text.secondary" sx={{ gridColumn: "1 / -1" }}>
          Drag an item to another place, to the right to put it into the one above; with the keyboard, Alt and an arrow
          key. A menu can be three levels deep.
        </Typography>
      </DialogContent>
    </Dialog>
  );
}
