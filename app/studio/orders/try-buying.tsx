import { Button } from "@mui/material";
import { ShoppingBag } from "lucide-react";
import { useState } from "react";
import { ALL_GOODS } from "~/core/addresses";
import { makeLink } from "~/core/protocol";
import { useStudio, useStudioStore } from "../keeping";

/** Leads the seller through their own shop as it is in the draft, with a test card: what they order there is a test. */
export function TryBuying({ variant = "text" }: { variant?: "text" | "contained" }) {
  const store = useStudioStore();
  const client = useStudio((s) => s.client);
  const [isBusy, setBusy] = useState(false);
  const go = async () => {
    // Opened by the press itself: what opens later is held up by browsers.
    const tab = window.open("about:blank", "_blank");
    setBusy(true);
    const reply = await client.ask(makeLink, { what: "make", to: ALL_GOODS });
    setBusy(false);
    if (reply.ok && tab) {
      tab.opener = null;
      tab.location.href = reply.value.address;
      return;
    }
    tab?.close();
    store.getState().say(reply.ok ? "This browser opened no new tab. Allow it for this page." : reply.why, "problem");
  };
  return (
    <Button
      size="small"
      variant={variant}
      startIcon={<ShoppingBag size={15} aria-hidden />}
      disabled={isBusy}
      onClick={() => void go()}
    >
      Buy something yourself
    </Button>
  );
}
