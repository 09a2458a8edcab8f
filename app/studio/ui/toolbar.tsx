import { Box } from "@mui/material";
import { useEffect, useRef, type KeyboardEvent, type ReactNode } from "react";

const TOOLS = "button:not([disabled]),[role=combobox]";

/**
 * A toolbar after the WAI-ARIA Authoring Practices: one stop for the Tab key, arrow keys from tool to tool, Home and End. The
 * tool that was used last is the stop.
 */
export function Toolbar({ label, children }: { label: string; children: ReactNode }) {
  const bar = useRef<HTMLDivElement>(null);
  const tools = () => [...(bar.current?.querySelectorAll<HTMLElement>(TOOLS) ?? [])];
  const stopAt = (wanted: HTMLElement | undefined) => {
    for (const tool of tools()) tool.tabIndex = tool === wanted ? 0 : -1;
  };
  useEffect(() => {
    // Tools come and go with what is selected; one of them is always the stop.
    const all = tools();
    stopAt(all.find((t) => t.tabIndex === 0) ?? all[0]);
  });
  const onKeyDown = (event: KeyboardEvent) => {
    const all = tools();
    const index = all.indexOf(document.activeElement as HTMLElement);
    const to = { ArrowRight: index + 1, ArrowLeft: index - 1, Home: 0, End: all.length - 1 }[event.key];
    if (to === undefined || index < 0) return;
    event.preventDefault();
    const next = all[(to + all.length) % all.length];
    stopAt(next);
    next?.focus();
  };
  return (
    <Box
      ref={bar}
      role="toolbar"
      aria-label={label}
      onKeyDown={onKeyDown}
      onFocus={(event) => stopAt(event.target)}
      sx={{ display: "flex", alignItems: "center", gap: 0.25, minWidth: 0, flexWrap: "nowrap" }}
    >
      {children}
    </Box>
  );
}
