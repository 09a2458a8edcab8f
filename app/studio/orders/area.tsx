import { Box } from "@mui/material";
import { Outlet } from "react-router";
import type { OrderFilter } from "~/core/orders";
import { useStudio } from "../keeping";
import { AreaParts } from "../ui";

/** The Orders area: what was bought, and how the shop delivers, is taxed and paid. */
export function OrdersArea({ counts }: { counts: Readonly<Record<OrderFilter, number>> }) {
  const shop = useStudio((s) => s.shop.id);
  return (
    <Box sx={{ display: "grid", gridTemplate: "auto minmax(0,1fr) / minmax(0,1fr)", height: "100%", minHeight: 0 }}>
      <AreaParts
        label="Parts of Orders"
        at={`/s/${shop}/orders`}
        parts={[
          { label: "Orders", path: "", count: [counts["to-hand"], "to be handed over"] },
          { label: "Gift cards", path: "/cards" },
          { label: "Delivery", path: "/delivery" },
          { label: "Tax", path: "/tax" },
          { label: "Payment", path: "/payment" },
          { label: "Accounts", path: "/accounts" },
          { label: "Walk-through", path: "/walk" },
        ]}
      />
      <Outlet context={counts} />
    </Box>
  );
}
