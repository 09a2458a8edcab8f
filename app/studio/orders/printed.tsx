import { Box, Button, Typography } from "@mui/material";
import { Printer } from "lucide-react";
import { goesBy, type Order } from "~/core/orders";
import { addressLines, countryName } from "~/core/selling";
import { goesTo, OrderTable } from "./one";

type PrintedProps = {
  order: Order;
  shop: { readonly name: string; readonly address: string; readonly mail: string };
  timeZone: string;
  isSlip: boolean;
};

/** An order on paper: with what it cost, or as a slip that goes into the parcel. */
export function PrintedOrder({ order, shop, timeZone, isSlip }: PrintedProps) {
  const { body } = order;
  const by = goesBy(body);
  const to = [...goesTo(body, undefined), ...(by === "parcel" ? [] : [by === "mail" ? "By mail" : "Collected"])];
  return (
    <Box
      component="main"
      sx={{
        maxWidth: 760,
        mx: "auto",
        p: 4,
        bgcolor: "#fff",
        color: "#111",
        display: "grid",
        gap: 3,
        "@media print": { p: 0, maxWidth: "none" },
      }}
    >
      <Button
        onClick={() => window.print()}
        variant="contained"
        startIcon={<Printer size={16} aria-hidden />}
        sx={{ justifySelf: "start", "@media print": { display: "none" } }}
      >
        Print
      </Button>
      <Box sx={{ display: "flex", justifyContent: "space-between", gap: 3 }}>
        <Box>
          <Typography variant="h2" component="p">
            {shop.name}
          </Typography>
          <Typography variant="body2" sx={{ whiteSpace: "pre-line" }}>
            {[shop.address, shop.mail].filter(Boolean).join("\n")}
          </Typography>
        </Box>
        <Box sx={{ textAlign: "right" }}>
          <Typography variant="h2" component="h1">
            {isSlip ? "Packing slip" : "Order"} {order.isTest ? "T" : ""}
            {order.number}
          </Typography>
          <Typography variant="body2">
            {new Date(order.at).toLocaleDateString("en-GB", {
              day: "numeric",
              month: "long",
              year: "numeric",
              timeZone,
            })}
          </Typography>
        </Box>
      </Box>
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 4 }}>
        <Typography sx={{ whiteSpace: "pre-line", fontSize: 16 }}>{to.join("\n")}</Typography>
        {body.bill && !isSlip ? (
          <Typography sx={{ whiteSpace: "pre-line", fontSize: 16 }}>
            {["Bill to:", ...addressLines(body.bill, countryName)].join("\n")}
          </Typography>
        ) : null}
      </Box>
      <OrderTable body={body} withPrices={!isSlip} />
      {isSlip && body.giftMessage ? (
        <Typography sx={{ whiteSpace: "pre-line", fontStyle: "italic" }}>{body.giftMessage}</Typography>
      ) : null}
      {isSlip || !body.note ? null : (
        <Typography variant="body2" sx={{ whiteSpace: "pre-line" }}>
          Note: {body.note}
        </Typography>
      )}
    </Box>
  );
}
