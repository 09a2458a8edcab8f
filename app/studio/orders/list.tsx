import {
  Box,
  Button,
  Chip,
  Link,
  Pagination,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  ToggleButton,
  ToggleButtonGroup,
  Typography,
} from "@mui/material";
import { Download, FlaskConical, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link as RouterLink, useNavigate } from "react-router";
import { formatMoney } from "~/core/money";
import type { ListedOrder, OrderFilter, OrdersAsked } from "~/core/orders";
import { notSelling, sellingOf } from "~/core/selling";
import { useMoment, useStudio } from "../keeping";
import { Blank, ConfirmDialog, FindField, INK } from "../ui";
import { useCounts, useNoSteps, useOrderChange, usePages } from "./data";
import { TryBuying } from "./try-buying";

const FILTERS: readonly (readonly [OrderFilter, string])[] = [
  ["all", "All"],
  ["to-pay", "To be paid"],
  ["to-hand", "To be sent"],
  ["done", "Done"],
  ["cancelled", "Cancelled, refunded"],
];

const DUE = /^To be/;

/** How an order stands: what is still to be done stands out. */
export const Standing = ({ words }: { words: readonly string[] }) => (
  <Box component="span" sx={{ display: "inline-flex", flexWrap: "wrap", gap: 0.5 }}>
    {words.map((each) => (
      <Chip
        key={each}
        size="small"
        label={each}
        variant="outlined"
        sx={{ bgcolor: DUE.test(each) ? INK.lemon : "transparent", color: DUE.test(each) ? "#17241D" : INK.ink }}
      />
    ))}
  </Box>
);

type PageProps = {
  asked: OrdersAsked;
  orders: readonly ListedOrder[];
  total: number;
  pages: number;
};

/** Nothing is there: why, and what to do about it. */
function Nothing({ isFiltered }: { isFiltered: boolean }) {
  const shop = useStudio((s) => s.shop.id);
  const why = useStudio((s) => notSelling(sellingOf(s.draft.documents)));
  if (isFiltered) return <Blank title="No order is like that" text="Look for something else, or show all of them." />;
  if (!why)
    return (
      <Blank
        title="No orders yet"
        text="What shoppers buy comes here. Try it: what you buy yourself from the draft is a test, and can be removed again."
        action={<TryBuying variant="contained" />}
      />
    );
  return (
    <Blank
      title="Nobody can buy yet"
      text={
        why === "delivery"
          ? "Say first where you deliver and what it costs, or where goods can be fetched."
          : "Say first how you are paid."
      }
      action={
        <Button component={RouterLink} to={`/s/${shop}/orders/${why}`} variant="contained">
          {why === "delivery" ? "Set up delivery" : "Set up payment"}
        </Button>
      }
    />
  );
}

/** All orders: found, narrowed, looked at one by one. */
export function OrdersPage({ asked, orders, total, pages }: PageProps) {
  useNoSteps();
  const counts = useCounts();
  const { id: shop, moneyFormat } = useStudio((s) => s.shop);
  const moment = useMoment();
  const navigate = useNavigate();
  const { find, setFind, go } = usePages(asked, { filter: "all" });
  const [isRemoving, setRemoving] = useState(false);
  const { send, isBusy } = useOrderChange();
  const sells = useStudio((s) => notSelling(sellingOf(s.draft.documents)) === undefined);
  const isFiltered = asked.find !== "" || asked.filter !== "all";
  const filters = counts.test ? [...FILTERS, ["test", "Tests"] as const] : FILTERS;
  return (
    <Box sx={{ display: "grid", gridTemplateRows: "auto minmax(0,1fr)", minHeight: 0 }}>
      <Box sx={{ display: "grid", gap: 1.25, p: 2, borderBottom: `1px solid ${INK.line}`, bgcolor: INK.raised }}>
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 1 }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            Orders
          </Typography>
          {asked.filter === "test" && counts.test ? (
            <Button
              size="small"
              color="error"
              startIcon={<Trash2 size={15} aria-hidden />}
              disabled={isBusy}
              onClick={() => setRemoving(true)}
            >
              Remove all tests
            </Button>
          ) : null}
          {sells ? <TryBuying /> : null}
          <Button
            size="small"
            component="a"
            href={`/s/${shop}/orders.csv`}
            startIcon={<Download size={15} aria-hidden />}
            disabled={counts.all === 0}
          >
            As a CSV file
          </Button>
        </Box>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={asked.filter}
            aria-label="Which orders"
            onChange={(_e, filter: OrderFilter | null) => filter && go({ filter })}
            sx={{ flexWrap: "wrap" }}
          >
            {filters.map(([value, words]) => (
              <ToggleButton key={value} value={value} sx={{ whiteSpace: "nowrap" }}>
                {words} ({counts[value]})
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Box sx={{ flex: 1, minWidth: 220, maxWidth: 380 }}>
            <FindField label="Find by number, name, mail or product" value={find} onChange={setFind} width="100%" />
          </Box>
        </Box>
      </Box>
      <Box sx={{ overflow: "auto", minHeight: 0 }}>
        {orders.length === 0 ? (
          <Nothing isFiltered={isFiltered} />
        ) : (
          <>
            <Table size="small" stickyHeader aria-label="Orders" sx={{ minWidth: 640, "& td,& th": { px: 2 } }}>
              <TableHead>
                <TableRow>
                  <TableCell>Order</TableCell>
                  <TableCell>When</TableCell>
                  <TableCell>Who</TableCell>
                  <TableCell align="right">Pieces</TableCell>
                  <TableCell align="right">Total</TableCell>
                  <TableCell>How it stands</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {orders.map((order) => (
                  <TableRow
                    key={order.id}
                    hover
                    // The link in it is for the keyboard; a row is easier to hit.
                    onClick={() => void navigate(`/s/${shop}/orders/o/${order.id}`)}
                    sx={{ cursor: "pointer" }}
                  >
                    <TableCell>
                      <Link component={RouterLink} to={`/s/${shop}/orders/o/${order.id}`} sx={{ fontWeight: 700 }}>
                        {order.isTest ? "T" : ""}
                        {order.number}
                      </Link>
                      {order.isTest ? <FlaskConical size={14} aria-label="A test" style={{ marginLeft: 6 }} /> : null}
                    </TableCell>
                    <TableCell sx={{ whiteSpace: "nowrap" }}>{moment(order.at)}</TableCell>
                    <TableCell sx={{ maxWidth: 280 }}>
                      <Typography variant="body2" noWrap>
                        {order.buyer || order.mail}
                      </Typography>
                    </TableCell>
                    <TableCell align="right">{order.count}</TableCell>
                    <TableCell align="right" sx={{ whiteSpace: "nowrap" }}>
                      {formatMoney(order.total, order.currency, moneyFormat)}
                    </TableCell>
                    <TableCell>
                      <Standing words={order.standing} />
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
            <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2, p: 2 }}>
              <Typography variant="body2" color="text.secondary" role="status">
                {total === 1 ? "1 order" : `${total.toLocaleString("en")} orders`}
              </Typography>
              {pages > 1 ? (
                <Pagination count={pages} page={asked.page} onChange={(_e, page) => go({ page })} size="small" />
              ) : null}
            </Box>
          </>
        )}
      </Box>
      <ConfirmDialog
        open={isRemoving}
        title={counts.test === 1 ? "Remove the test order?" : `Remove ${counts.test} test orders?`}
        confirm="Remove"
        onClose={() => setRemoving(false)}
        onConfirm={async () => {
          setRemoving(false);
          if (!(await send({ do: "remove-tests" }, "The test orders are gone, and their goods are back in stock.")))
            go({ filter: "all" });
        }}
      >
        They are deleted for good. What they had taken goes back into stock.
      </ConfirmDialog>
    </Box>
  );
}
