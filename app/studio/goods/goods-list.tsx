import { Box, Button, Chip, Table, TableBody, TableCell, TableHead, TableRow, Typography } from "@mui/material";
import { FileUp } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { AVAILABILITY_WORDS, badgeOf } from "~/core/goods";
import { formatMoney } from "~/core/money";
import { sourceOf } from "~/core/pictures";
import { useStudio } from "../keeping";
import { FindField, Blank, INK } from "../ui";

/** What the shop sells. */
export function GoodsList() {
  const { products, collections } = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const shop = useStudio((s) => s.shop);
  const [sought, setSought] = useState("");
  const words = sought.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const titles = new Map(collections.map((c) => [c.id, c.title]));
  const found = products.filter((p) => {
    const text =
      `${p.title} ${p.sku} ${p.tags.join(" ")} ${p.collections.map((c) => titles.get(c)).join(" ")} ${AVAILABILITY_WORDS[p.availability]}`.toLowerCase();
    return words.every((w) => text.includes(w));
  });
  const bringIn = (
    <Button
      variant="contained"
      component={Link}
      to={`/s/${shop.id}/goods/import`}
      startIcon={<FileUp size={17} aria-hidden />}
    >
      Bring in goods
    </Button>
  );
  return (
    <Box sx={{ height: "100%", overflowY: "auto", p: 3 }}>
      <Box sx={{ maxWidth: 1240, mx: "auto" }}>
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, mb: 2, flexWrap: "wrap" }}>
          <Box sx={{ flex: 1 }}>
            <Typography variant="h1">Goods</Typography>
            <Typography color="text.secondary">
              {products.length === 1 ? "1 product" : `${products.length} products`} in{" "}
              {collections.length === 1 ? "1 collection" : `${collections.length} collections`}
            </Typography>
          </Box>
          {products.length ? (
            <>
              <FindField label="Find" value={sought} onChange={setSought} width={240} />
              <Button variant="outlined" component="a" href={`/s/${shop.id}/goods.csv`} download>
                Save as a file
              </Button>
              {bringIn}
            </>
          ) : null}
        </Box>
        {products.length === 0 ? (
          <Blank
            title="No goods yet"
            text="Bring in a file with a line for each product: title, price, and whatever else you know. You see what was understood before anything is stored."
            action={bringIn}
          />
        ) : found.length === 0 ? (
          <Blank
            title="Nothing found"
            text={`No product has “${sought}” in its title, SKU, tags or collection.`}
            action={<Button onClick={() => setSought("")}>Show all</Button>}
          />
        ) : (
          <Table
            size="small"
            aria-label="Goods"
            sx={{
              bgcolor: INK.raised,
              border: `1px solid ${INK.line}`,
              "& th": { fontWeight: 650, bgcolor: INK.paper },
            }}
          >
            <TableHead>
              <TableRow>
                <TableCell sx={{ width: 56 }}>
                  <span style={{ position: "absolute", width: 1, height: 1, overflow: "hidden" }}>Picture</span>
                </TableCell>
                <TableCell>Title</TableCell>
                <TableCell>SKU</TableCell>
                <TableCell>Collections</TableCell>
                <TableCell>State</TableCell>
                <TableCell align="right">Stock</TableCell>
                <TableCell align="right">Price</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {found.map((product) => {
                const picture = pictures.find((p) => p.id === product.pictures[0]);
                const badge =
                  product.availability === "coming-soon" ? badgeOf(product) : AVAILABILITY_WORDS[product.availability];
                return (
                  <TableRow key={product.id} hover>
                    <TableCell sx={{ py: 0.5 }}>
                      {picture ? (
                        <Box
                          component="img"
                          loading="lazy"
                          src={sourceOf(picture, 160)}
                          alt=""
                          sx={{ width: 40, height: 50, objectFit: "cover", borderRadius: 0.5, display: "block" }}
                        />
                      ) : (
                        <Box sx={{ width: 40, height: 50, border: `1px dashed ${INK.soft}` }} />
                      )}
                    </TableCell>
                    <TableCell sx={{ fontWeight: 600 }}>{product.title}</TableCell>
                    <TableCell>{product.sku}</TableCell>
                    <TableCell>{product.collections.map((c) => titles.get(c)).join(", ")}</TableCell>
                    <TableCell>
                      {product.availability === "in-stock" ? (
                        badge
                      ) : (
                        <Chip size="small" label={badge} variant="outlined" />
                      )}
                    </TableCell>
                    <TableCell align="right">{product.stock ?? "–"}</TableCell>
                    <TableCell align="right" sx={{ whiteSpace: "nowrap" }}>
                      {formatMoney(product.price, shop.currency, shop.locale)}
                    </TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        )}
      </Box>
    </Box>
  );
}
