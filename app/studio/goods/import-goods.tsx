import {
  Alert,
  Box,
  Button,
  Chip,
  CircularProgress,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from "@mui/material";
import { FileUp } from "lucide-react";
import { useRef, useState } from "react";
import { Link, useFetcher } from "react-router";
import type { GoodsLine, LineProblem } from "~/core/goods";
import { AVAILABILITY_WORDS } from "~/core/goods";
import { formatMoney } from "~/core/money";
import { useStudio } from "../keeping";
import { INK } from "../ui";

export type Plan = {
  readonly lines: readonly (GoodsLine & { readonly does: "new" | "changed" | "same" })[];
  readonly problems: readonly LineProblem[];
  readonly columns: readonly { readonly name: string; readonly means: string }[];
  readonly newCollections: readonly string[];
  readonly missingPictures: readonly string[];
};
export type ImportAnswer =
  | { readonly step: "planned"; readonly plan: Plan }
  | { readonly step: "done"; readonly added: number; readonly changed: number; readonly same: number }
  | { readonly step: "refused"; readonly why: string };

const MOST = 5_000_000;
const DOES = { new: "new", changed: "changed", same: "as it is" } as const;
const SHOWN = 200;

const count = (n: number, one: string, many: string) => `${n} ${n === 1 ? one : many}`;

function PlanView({ plan, currency, locale }: { plan: Plan; currency: string; locale: string }) {
  return (
    <Box sx={{ display: "grid", gap: 2.5 }}>
      {plan.problems.length ? (
        <Alert severity="warning" sx={{ alignItems: "flex-start" }}>
          <Typography sx={{ fontWeight: 600 }}>
            {count(plan.problems.length, "problem", "problems")}. These lines are left out; the others can be brought
            in.
          </Typography>
          <Box component="ul" aria-label="Problems" sx={{ m: 0, mt: 0.5, pl: 2.5, maxHeight: 180, overflowY: "auto" }}>
            {plan.problems.slice(0, 100).map((p, i) => (
              <li key={i}>
                Line {p.line}
                {p.column ? `, ${p.column}` : ""}: {p.why}
              </li>
            ))}
            {plan.problems.length > 100 ? <li>and {plan.problems.length - 100} more</li> : null}
          </Box>
        </Alert>
      ) : null}
      {plan.missingPictures.length ? (
        <Alert severity="info">
          {count(plan.missingPictures.length, "picture is", "pictures are")} not in your library yet:{" "}
          {plan.missingPictures.slice(0, 6).join(", ")}
          {plan.missingPictures.length > 6 ? " …" : ""}. Upload them under Pictures and bring the same file in again;
          nothing will be doubled.
        </Alert>
      ) : null}
      <Box>
        <Typography variant="h3" component="h2" gutterBottom>
          How the columns were understood
        </Typography>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 0.75 }}>
          {plan.columns.map((c, i) => (
            <Chip
              key={i}
              size="small"
              variant="outlined"
              label={
                c.means === "attribute"
                  ? `${c.name}: describes the product`
                  : c.name.toLowerCase() === c.means.toLowerCase()
                    ? c.name
                    : `${c.name || "(no name)"}: ${c.means}`
              }
            />
          ))}
        </Box>
        {plan.newCollections.length ? (
          <Typography sx={{ mt: 1.25 }}>New collections: {plan.newCollections.join(", ")}</Typography>
        ) : null}
      </Box>
      {plan.lines.length ? (
        <Table
          size="small"
          aria-label="What was understood"
          sx={{ bgcolor: INK.raised, border: `1px solid ${INK.line}`, "& th": { fontWeight: 650, bgcolor: INK.paper } }}
        >
          <TableHead>
            <TableRow>
              <TableCell>Line</TableCell>
              <TableCell>Title</TableCell>
              <TableCell>SKU</TableCell>
              <TableCell>Collections</TableCell>
              <TableCell>State</TableCell>
              <TableCell align="right">Price</TableCell>
              <TableCell />
            </TableRow>
          </TableHead>
          <TableBody>
            {plan.lines.slice(0, SHOWN).map((line) => (
              <TableRow key={line.line}>
                <TableCell>{line.line}</TableCell>
                <TableCell sx={{ fontWeight: 600 }}>{line.title}</TableCell>
                <TableCell>{line.sku}</TableCell>
                <TableCell>{line.collections.join(", ")}</TableCell>
                <TableCell>{AVAILABILITY_WORDS[line.availability]}</TableCell>
                <TableCell align="right">{formatMoney(line.price, currency, locale)}</TableCell>
                <TableCell
                  sx={{
                    color: line.does === "same" ? INK.soft : INK.leaf,
                    fontWeight: line.does === "same" ? 400 : 600,
                  }}
                >
                  {DOES[line.does]}
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      ) : null}
      {plan.lines.length > SHOWN ? (
        <Typography color="text.secondary">and {plan.lines.length - SHOWN} more lines</Typography>
      ) : null}
    </Box>
  );
}

/** Brings goods in from a file: first shows what was understood, stores only when asked. */
export function ImportGoods() {
  const shop = useStudio((s) => s.shop);
  const fetcher = useFetcher<ImportAnswer>();
  const input = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<{ name: string; text: string } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const busy = fetcher.state !== "idle";
  const send = (intent: "plan" | "import", text: string) => void fetcher.submit({ intent, text }, { method: "post" });
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    setProblem(null);
    if (chosen.size > MOST) return setProblem(`“${chosen.name}” is larger than 5 MB. Split it into several files.`);
    const bytes = new Uint8Array(await chosen.arrayBuffer());
    let text: string;
    try {
      text = new TextDecoder("utf-8", { fatal: true }).decode(bytes);
    } catch {
      // Spreadsheets on some systems still write the old Western European code page.
      text = new TextDecoder("windows-1252").decode(bytes);
    }
    if (text.includes("\u0000"))
      return setProblem(`“${chosen.name}” is not a text file. Save your table as CSV and choose that.`);
    setFile({ name: chosen.name, text });
    send("plan", text);
    if (input.current) input.current.value = "";
  };
  const answer = busy && fetcher.formData?.get("intent") === "plan" ? undefined : fetcher.data;
  const plan = answer?.step === "planned" ? answer.plan : undefined;
  const todo = plan?.lines.filter((l) => l.does !== "same").length ?? 0;
  return (
    <Box sx={{ height: "100%", overflowY: "auto", p: 3 }}>
      <Box sx={{ maxWidth: 1080, mx: "auto", display: "grid", gap: 2.5 }}>
        <Box>
          <Typography variant="h1">Bring in goods</Typography>
          <Typography color="text.secondary" sx={{ maxWidth: "70ch", mt: 0.5 }}>
            From a CSV file, as every spreadsheet can save it. The first line names the columns. Needed are title and
            price; understood are description, compare-at price, collection, tags, pictures, stock, availability,
            available from and SKU. Any other column describes the product.
          </Typography>
        </Box>
        <Box
          onDragOver={(event) => event.preventDefault()}
          onDrop={(event) => {
            event.preventDefault();
            void take(event.dataTransfer.files[0]);
          }}
          sx={{
            border: `1.5px dashed ${INK.soft}`,
            borderRadius: 1,
            p: 2.5,
            display: "flex",
            gap: 2,
            alignItems: "center",
            flexWrap: "wrap",
          }}
        >
          <Button
            variant={plan ? "outlined" : "contained"}
            startIcon={<FileUp size={17} aria-hidden />}
            onClick={() => input.current?.click()}
            disabled={busy}
          >
            {file ? "Choose another file" : "Choose a CSV file"}
          </Button>
          <Typography color="text.secondary">{file ? file.name : "or drop it here"}</Typography>
          <input
            ref={input}
            hidden
            type="file"
            accept=".csv,text/csv,text/plain"
            aria-label="CSV file"
            onChange={(event) => void take(event.target.files?.[0])}
          />
        </Box>
        {problem ? <Alert severity="error">{problem}</Alert> : null}
        {busy ? (
          <Box sx={{ display: "flex", gap: 1.5, alignItems: "center" }} role="status">
            <CircularProgress size={20} aria-label="Working" />{" "}
            {fetcher.formData?.get("intent") === "import" ? "Bringing them in …" : "Reading the file …"}
          </Box>
        ) : null}
        {answer?.step === "refused" ? <Alert severity="error">{answer.why}</Alert> : null}
        {answer?.step === "done" ? (
          <Alert
            severity="success"
            action={
              <Button component={Link} to={`/s/${shop.id}/goods`}>
                See the goods
              </Button>
            }
          >
            {count(answer.added, "product", "products")} added, {answer.changed} changed, {answer.same} left as they
            were.
          </Alert>
        ) : null}
        {plan && file ? (
          <>
            <Box
              sx={{
                display: "flex",
                gap: 2,
                alignItems: "center",
                position: "sticky",
                top: -24,
                bgcolor: INK.paper,
                py: 1.5,
                zIndex: 1,
                borderBottom: `1px solid ${INK.line}`,
              }}
            >
              <Typography sx={{ flex: 1, fontWeight: 600 }}>
                {count(plan.lines.length, "product", "products")} understood:{" "}
                {plan.lines.filter((l) => l.does === "new").length} new,{" "}
                {plan.lines.filter((l) => l.does === "changed").length} changed,{" "}
                {plan.lines.filter((l) => l.does === "same").length} as they are. Nothing is stored yet.
              </Typography>
              <Button variant="contained" disabled={todo === 0 || busy} onClick={() => send("import", file.text)}>
                {todo === 0 ? "Nothing to bring in" : `Bring in ${count(todo, "product", "products")}`}
              </Button>
            </Box>
            <PlanView plan={plan} currency={shop.currency} locale={shop.locale} />
          </>
        ) : null}
      </Box>
    </Box>
  );
}
