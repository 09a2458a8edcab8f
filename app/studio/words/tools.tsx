import { IconButton, Menu, Tooltip } from "@mui/material";
import { ChevronDown, type LucideIcon } from "lucide-react";
import { useState, type MouseEvent, type ReactNode } from "react";
import { INK, ON_LEMON } from "../ui";

type ToolProps = {
  label: string;
  keys?: string;
  icon: LucideIcon;
  on?: boolean;
  onClick: (event: MouseEvent<HTMLElement>) => void;
  more?: boolean;
};

/** One tool. The mouse leaves the caret where it is: in the pane. */
export function Tool({ label, keys, icon: Icon, on, onClick, more = false }: ToolProps) {
  return (
    <Tooltip title={keys ? `${label} (${keys})` : label}>
      <IconButton
        size="small"
        aria-label={label}
        {...(on === undefined ? {} : { "aria-pressed": on })}
        {...(more ? { "aria-haspopup": "menu" as const } : {})}
        onMouseDown={(event) => event.preventDefault()}
        onClick={onClick}
        sx={{
          borderRadius: 1,
          color: INK.ink,
          px: 0.5,
          height: 30,
          minWidth: 30,
          ...(on ? { ...ON_LEMON, boxShadow: `inset 0 0 0 1.5px ${INK.ink}`, "&:hover": ON_LEMON } : {}),
        }}
      >
        <Icon size={17} strokeWidth={1.75} aria-hidden />
        {more ? <ChevronDown size={12} aria-hidden /> : null}
      </IconButton>
    </Tooltip>
  );
}

type ChooserProps = { label: string; icon: LucideIcon; on?: boolean; children: (close: () => void) => ReactNode };

/** A tool that opens a list of choices. */
export function Chooser({ label, icon, on, children }: ChooserProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Tool
        label={label}
        icon={icon}
        more
        {...(on === undefined ? {} : { on })}
        onClick={(e) => setAnchor(e.currentTarget)}
      />
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)} disableRestoreFocus>
        {children(() => setAnchor(null))}
      </Menu>
    </>
  );
}
