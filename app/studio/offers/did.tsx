import { Box, Typography } from "@mui/material";
import { useMemo } from "react";
import { useLoaderData } from "react-router";
import { Bar, BarChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { Offer, OfferUses } from "~/core/offers";
import { useNames } from "../when";
import { INK } from "../ui";

const MONTHS = 12;

/** The months up to the last one in which it was had, without a gap: "2026-01", "2026-02" … */
function monthsUpTo(uses: OfferUses["months"]): OfferUses["months"] {
  const last = uses.at(-1)?.month;
  if (last === undefined) return [];
  const [year = 0, month = 1] = last.split("-").map(Number);
  const known = new Map(uses.map((each) => [each.month, each]));
  return Array.from({ length: MONTHS }, (_each, i) => {
    const at = year * 12 + month - 1 - (MONTHS - 1 - i);
    const name = `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, "0")}`;
    return known.get(name) ?? { month: name, orders: 0, off: 0, total: 0 };
  });
}

/** What an offer did so far: in how many orders, for how much. */
export function Did({ offer }: { offer: Offer }) {
  const { uses } = useLoaderData<{ uses: readonly OfferUses[] }>();
  const { money } = useNames();
  const own = uses.find((each) => each.offer === offer.id)?.months;
  const months = useMemo(() => monthsUpTo(own ?? []), [own]);
  if (!own?.length)
    return (
      <Typography variant="body2" color="text.secondary">
        Nobody has ordered with it yet.
      </Typography>
    );
  const sum = (of: "orders" | "off" | "total") => own.reduce((all, each) => all + each[of], 0);
  const [orders, off, total] = [sum("orders"), sum("off"), sum("total")];
  const left = offer.mostUses ? `, ${Math.max(0, offer.mostUses - orders).toLocaleString("en")} times left` : "";
  return (
    <Box
      component="section"
      aria-label="What it did"
      sx={{ display: "grid", gap: 1, gridTemplateColumns: "minmax(0,1fr)" }}
    >
      <Typography variant="h3">What it did</Typography>
      <Typography variant="body2">
        {orders === 1 ? "1 order" : `${orders.toLocaleString("en")} orders`} for {money(total)}, on average{" "}
        {money(Math.round(total / orders))}; {money(off)} were taken off{left}.
      </Typography>
      <Box
        role="img"
        aria-label={`Orders by month: ${months.map(({ month, orders: n }) => `${month}: ${n}`).join(", ")}`}
        sx={{ height: 120 }}
      >
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={[...months]} margin={{ left: -28, right: 0, top: 4, bottom: 0 }}>
            <XAxis dataKey="month" tick={{ fontSize: 11, fill: INK.soft }} interval="preserveStartEnd" />
            <YAxis allowDecimals={false} tick={{ fontSize: 11, fill: INK.soft }} />
            <Tooltip
              cursor={{ fill: INK.wash }}
              contentStyle={{ background: INK.raised, border: `1px solid ${INK.line}`, color: INK.ink }}
            />
            <Bar dataKey="orders" name="Orders" fill={INK.ink} isAnimationActive={false} />
          </BarChart>
        </ResponsiveContainer>
      </Box>
    </Box>
  );
}
