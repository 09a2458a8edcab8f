import { Box, ButtonBase } from "@mui/material";
import { ChevronDown, ChevronRight } from "lucide-react";
import { createContext, useContext, useId, useMemo, useState, type ReactNode } from "react";
import { INK } from "../ui";

type Folds = { readonly open: ReadonlySet<string>; readonly toggle: (title: string) => void };
const FoldsContext = createContext<Folds>({ open: new Set(), toggle: () => undefined });

/** Remembers which heads are open, so that a seller who works on spacing finds it open in the next part as well. */
export function FoldsProvider({ children }: { children: ReactNode }) {
  const [open, setOpen] = useState<ReadonlySet<string>>(new Set());
  const folds = useMemo(
    () => ({
      open,
      toggle: (title: string) =>
        setOpen((now) => (now.has(title) ? new Set([...now].filter((t) => t !== title)) : new Set([...now, title]))),
    }),
    [open],
  );
  return <FoldsContext value={folds}>{children}</FoldsContext>;
}

/** Heads one below the other, at the end of a group. */
export const Folds = ({ children }: { children: ReactNode }) => <Box sx={{ mx: -2, mb: -1.5 }}>{children}</Box>;

type FoldProps = {
  title: string;
  /** What in it differs from the usual, like "2 changed"; empty where nothing does. */
  said?: string;
  /** Some of it holds for one device alone. */
  differs?: boolean;
  children: ReactNode;
};

/** What is set less often, behind a head that says whether any of it is. */
export function Fold({ title, said = "", differs = false, children }: FoldProps) {
  const { open, toggle } = useContext(FoldsContext);
  const id = useId();
  const isOpen = open.has(title);
  const Sign = isOpen ? ChevronDown : ChevronRight;
  return (
    <Box sx={{ borderTop: `1px solid ${INK.line}` }}>
      <ButtonBase
        onClick={() => toggle(title)}
        aria-expanded={isOpen}
        aria-controls={id}
        sx={{
          width: "100%",
          minHeight: 36,
          px: 2,
          gap: 0.75,
          justifyContent: "flex-start",
          textAlign: "left",
          fontSize: 13,
          fontWeight: 600,
          "&:hover": { bgcolor: INK.paper },
          "&&:focus-visible": { outlineOffset: -3, boxShadow: "none" },
        }}
      >
        <Sign size={15} aria-hidden />
        <span>{title}</span>
        {said ? (
          <Box component="span" sx={{ fontWeight: 500, color: differs ? INK.plum : INK.soft }}>
            {differs ? "◆ " : "· "}
            {said}
          </Box>
        ) : null}
      </ButtonBase>
      <Box
        id={id}
        sx={{
          display: isOpen ? "grid" : "none",
          gridTemplateColumns: "minmax(0, 1fr)",
          gap: 1.75,
          px: 2,
          pt: 0.75,
          pb: 2,
        }}
      >
        {isOpen ? children : null}
      </Box>
    </Box>
  );
}
