import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { Link } from "react-router";
import { Bar, BarChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import { HALF_LIFE_DAYS, type SellsData, type Selling } from "~/core/goods";
import { sourceOf } from "~/core/pictures";
import { useStudio } from "../keeping";
import { Blank, INK } from "../ui";

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
const percent = (share: number) => `${Math.round(share * 100)}%`;
const SHOWN = 20;

/** Pieces sold in each of the last weeks, small. */
function Weeks({ values, label }: { values: readonly number[]; label: string }) {
  const most = Math.max(1, ...values);
  return (
    <Box
      role="img"
      aria-label={label}
      sx={{ display: "flex", alignItems: "flex-end", gap: "2px", height: 28, width: 110 }}
    >
      {values.map((v, i) => (
        <Box key={i} sx={{ flex: 1, height: `${Math.max(6, (v / most) * 100)}%`, bgcolor: v ? INK.ink : INK.line }} />
      ))}
    </Box>
  );
}

function Detail({ product, orders }: { product: Selling; orders: number }) {
  const weeks = product.sold.map((sold, i) => ({
    week: i === product.sold.length - 1 ? "this week" : `${product.sold.length - 1 - i} weeks ago`,
    sold,
    seen: product.seen[i] ?? 0,
  }));
  const [sold, seen] = [sum(product.sold), sum(product.seen)];
  const shop = useStudio((s) => s.shop.id);
  return (
    <Box sx={{ display: "grid", gap: 2 }}>
      <Box>
        <Typography variant="h2" component="h2">
          {product.title}
        </Typography>
        <Typography color="text.secondary">
          {sold} sold and {seen} looks in 12 weeks
          {seen ? `: one sold in every ${Math.max(1, Math.round(seen / Math.max(1, sold)))} looks` : ""}. Its rank
          counts {product.score.toFixed(1)}: each piece sold counts 1 today, and half as much every {HALF_LIFE_DAYS}{" "}
          days later.
        </Typography>
        <Button size="small" component={Link} to={`/s/${shop}/goods/p/${product.id}`} sx={{ ml: -1 }}>
          Open the product
        </Button>
      </Box>
      <Box sx={{ height: 170 }} role="img" aria-label={`Pieces sold in each of 12 weeks: ${product.sold.join(", ")}`}>
        <ResponsiveContainer width="100%" height="100%">
          <BarChart data={weeks} margin={{ left: -24, right: 0, top: 4, bottom: 0 }}>
            <XAxis
              dataKey="week"
              tick={{ fontSize: 11, fill: INK.soft }}
              interval="preserveStartEnd"
              tickLine={false}
            />
            <YAxis allowDecimals={false} tick={{ fontSize: 11, fill: INK.soft }} tickLine={false} axisLine={false} />
            <Tooltip
              cursor={{ fill: INK.bench }}
              contentStyle={{ borderRadius: 6, borderColor: INK.line, fontSize: 13 }}
            />
            <Bar dataKey="sold" name="Sold" fill={INK.ink} isAnimationActive={false} radius={[2, 2, 0, 0]} />
          </BarChart>
        </ResponsiveContainer>
      </Box>
      <Box>
        <Typography variant="h3" component="h3" gutterBottom>
          Bought together with it
        </Typography>
        {product.together.length ? (
          <Box component="ul" sx={{ m: 0, p: 0, listStyle: "none", display: "grid", gap: 1 }}>
            {product.together.map((pair) => (
              <Box component="li" key={pair.id}>
                <Typography sx={{ fontWeight: 600 }}>{pair.title}</Typography>
                <Typography variant="body2" color="text.secondary">
                  In {pair.count} of {orders} orders ({percent(pair.support)}). Of those who bought {product.title},{" "}
                  {percent(pair.confidence)} took it along: {pair.lift.toFixed(1)} times as many as by chance.
                </Typography>
                <Box sx={{ height: 6, bgcolor: INK.line, borderRadius: 3, overflow: "hidden", maxWidth: 320, mt: 0.5 }}>
                  <Box sx={{ height: "100%", width: percent(pair.confidence), bgcolor: INK.leaf }} />
                </Box>
              </Box>
            ))}
          </Box>
        ) : (
          <Typography color="text.secondary">
            Nothing yet: something has to be in three orders with it, and more often than by chance.
          </Typography>
        )}
      </Box>
    </Box>
  );
}

/** What sells, what is looked at, and what is bought together; and how that is worked out. */
export function WhatSells({ data }: { data: SellsData }) {
  const pictures = useStudio((s) => s.pictures);
  const [chosen, setChosen] = useState<string | null>(null);
  const ranked = data.products.filter((p) => p.score > 0).slice(0, SHOWN);
  const open = data.products.find((p) => p.id === chosen) ?? ranked[0];
  if (data.orders === 0)
    return (
      <Blank
        title="No orders yet"
        text="Once there are some, this says what sells, what is looked at and left, and what is bought together. The shop uses it for the order “Bestselling” and for goods that go with each other."
      />
    );
  return (
    <Box
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1.1fr) minmax(0,1fr)" },
        minHeight: 0,
      }}
    >
      <Box sx={{ overflowY: "auto", p: 2, borderRight: `1px solid ${INK.line}` }}>
        <Typography variant="h1">What sells</Typography>
        <Typography color="text.secondary" sx={{ mb: 1.5 }}>
          From {data.orders} orders of the last year; what was sold lately counts most.
        </Typography>
        <Box component="ol" aria-label="Bestselling" sx={{ m: 0, p: 0, listStyle: "none" }}>
          {ranked.map((p, i) => {
            const picture = pictures.find((each) => each.id === p.picture);
            return (
              <Box component="li" key={p.id} sx={{ borderTop: `1px solid ${INK.line}` }}>
                <Button
                  onClick={() => setChosen(p.id)}
                  aria-current={open?.id === p.id || undefined}
                  sx={{
                    width: "100%",
                    display: "grid",
                    gridTemplateColumns: "28px 40px minmax(0,1fr) 110px 64px",
                    gap: 1.5,
                    textAlign: "left",
                    px: 1,
                    py: 0.75,
                    borderRadius: 0,
                    bgcolor: open?.id === p.id ? INK.wash : undefined,
                  }}
                >
                  <Typography sx={{ fontVariantNumeric: "tabular-nums", color: INK.soft }}>{i + 1}</Typography>
                  {picture ? (
                    <Box
                      component="img"
                      src={sourceOf(picture, 160)}
                      alt=""
                      sx={{ width: 36, height: 44, objectFit: "cover", borderRadius: 0.5 }}
                    />
                  ) : (
                    <span />
                  )}
                  <Typography noWrap sx={{ fontWeight: 600 }}>
                    {p.title}
                  </Typography>
                  <Weeks values={p.sold} label={`Sold by week: ${p.sold.join(", ")}`} />
                  <Typography sx={{ textAlign: "right", fontVariantNumeric: "tabular-nums" }}>
                    {sum(p.sold)} sold
                  </Typography>
                </Button>
              </Box>
            );
          })}
        </Box>
      </Box>
      <Box sx={{ overflowY: "auto", p: 2.5, bgcolor: INK.raised }}>
        {open ? <Detail product={open} orders={data.orders} /> : null}
      </Box>
    </Box>
  );
}
