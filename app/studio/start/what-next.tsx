import { Box, Link, Typography } from "@mui/material";
import { Check, X } from "lucide-react";
import { useMemo, useState, type ReactNode } from "react";
import { Link as RouterLink } from "react-router";
import { homeOf } from "~/core/addresses";
import { entryOf } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";
import { IconAction, INK } from "../ui";
import { nextSteps, type NextStep } from "./steps";

const closedKey = (shop: string) => `zest-window:what-next:${shop}`;

/** Whether the seller of this shop has put the list away in this browser. */
function wasClosed(shop: string): boolean {
  try {
    return localStorage.getItem(closedKey(shop)) !== null;
  } catch {
    // Where a browser keeps nothing, the list comes again.
    return false;
  }
}

/** What comes next for a new shop: a short list that ticks itself off. Nothing once all of it is done, or it was put away. */
export function WhatNext() {
  const shop = useStudio((s) => s.shop.id);
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const published = useStudio((s) => s.published);
  const [isClosed, setClosed] = useState(() => wasClosed(shop));
  const steps = useMemo(() => nextSteps(draft, goods, published), [draft, goods, published]);
  const done = steps.filter((s) => s.done).length;
  if (isClosed || done === steps.length) return null;
  const close = () => {
    setClosed(true);
    try {
      localStorage.setItem(closedKey(shop), "1");
    } catch {
      // It is put away for now.
    }
  };
  return (
    <Box
      component="section"
      aria-label="What next"
      sx={{ border: `1px solid ${INK.ink}`, borderRadius: 1, bgcolor: INK.paper }}
    >
      <Box sx={{ display: "flex", alignItems: "center", pl: 1.5, pr: 0.5, pt: 0.5 }}>
        <Typography variant="h3" component="h2" sx={{ flex: 1 }}>
          What next
        </Typography>
        <Typography variant="caption" color="text.secondary">
          {done} of {steps.length} done
        </Typography>
        <IconAction label="Put this list away" icon={X} size={16} onClick={close} />
      </Box>
      <Box component="ol" sx={{ m: 0, p: 0, pb: 1, listStyle: "none" }}>
        {steps.map((step) => (
          <Row key={step.id} step={step} isNext={step === steps.find((s) => !s.done)} />
        ))}
      </Box>
    </Box>
  );
}

function Row({ step, isNext }: { step: NextStep; isNext: boolean }) {
  return (
    <Box
      component="li"
      sx={{
        display: "flex",
        gap: 1.25,
        px: 1.5,
        py: 0.75,
        boxShadow: isNext ? `inset 3px 0 0 ${INK.lemon}, inset 4px 0 0 ${INK.ink}` : "none",
      }}
    >
      <Box
        aria-hidden
        sx={{
          width: 18,
          height: 18,
          mt: "1px",
          flex: "none",
          display: "grid",
          placeItems: "center",
          borderRadius: "50%",
          border: `1.5px solid ${step.done ? INK.leaf : INK.edge}`,
          bgcolor: step.done ? INK.leaf : "transparent",
          color: INK.paper,
        }}
      >
        {step.done ? <Check size={12} strokeWidth={3} /> : null}
      </Box>
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: isNext ? 650 : 450, color: step.done ? INK.soft : INK.ink }}>
          {step.done ? `${step.title}: done` : <Way step={step.id}>{step.title}</Way>}
        </Typography>
        {isNext ? (
          <Typography variant="caption" color="text.secondary" component="p">
            {step.about}
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}

/** The way to where a step is done. */
function Way({ step, children }: { step: NextStep["id"]; children: ReactNode }) {
  const store = useStudioStore();
  const shop = useStudio((s) => s.shop.id);
  const to = { logo: "brand", colours: "brand", goods: "goods/import", home: null, menu: null, publish: null }[step];
  if (to !== null)
    return (
      <Link component={RouterLink} to={`/s/${shop}/${to}`} color="inherit">
        {children}
      </Link>
    );
  if (step === "publish") return <>{children}, up in the bar</>;
  // The part of the page where it is done is selected.
  const select = () => {
    const { documents } = store.getState().draft;
    const part =
      step === "menu"
        ? documents.frame?.root.slots.top?.find((p) => p.kind === "header")
        : entryOf(documents, homeOf(documents))?.root.slots.main?.[0];
    if (part) store.getState().select(part.id);
  };
  return (
    <Link
      component="button"
      type="button"
      variant="body2"
      color="inherit"
      onClick={select}
      sx={{ fontWeight: "inherit", textAlign: "start" }}
    >
      {children}
    </Link>
  );
}
