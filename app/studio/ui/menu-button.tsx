import { Button, Menu, type ButtonProps } from "@mui/material";
import { Plus } from "lucide-react";
import { useState, type ReactNode } from "react";

type MenuButtonProps = Pick<ButtonProps, "variant" | "sx" | "disabled"> & {
  label: string;
  dense?: boolean;
  /** The items; `then` makes what closes the menu and does something. */
  children: (then: (act: () => void) => () => void) => ReactNode;
};

/** A button that opens a menu of what can be added. */
export function MenuButton({ label, dense = false, children, ...button }: MenuButtonProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => setAnchor(null);
  return (
    <>
      <Button
        size="small"
        startIcon={<Plus size={16} aria-hidden />}
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        {...button}
      >
        {label}
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={close} slotProps={{ list: { dense } }}>
        {children((act) => () => {
          close();
          act();
        })}
      </Menu>
    </>
  );
}
