import {
  Alert,
  Box,
  Button,
  Chip,
  CircularProgress,
  LinearProgress,
  MenuItem,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Link as MuiLink,
  TextField,
  Typography,
} from "@mui/material";
import { FileArchive, FileUp } from "lucide-react";
import { useRef, useState } from "react";
import { Link } from "react-router";
import {
  AVAILABILITY_WORDS,
  COLUMN_MEANS,
  GOODS_FIELDS,
  type CellFix,
  type ColumnMeaning,
  type GoodsLine,
  type ArchiveDone,
  type ImportPlan,
  type LineDoes,
  type LineProblem,
} from "~/core/goods";
import { formatMoney } from "~/core/money";
import { useStudio, useReload } from "../keeping";
import { FileInput, INK } from "../ui";

type Told =
  | { readonly step: "planned"; readonly plan: ImportPlan; readonly problems: number }
  | { readonly step: "pictures" | "lines"; readonly at: number; readonly of: number }
  | {
      readonly step: "done";
      readonly added: number;
      readonly changed: number;
      readonly same: number;
      readonly pictures?: ArchiveDone;
    }
  | { readonly step: "stopped" }
  | { readonly step: "refused"; readonly why: string };

const DOES: Readonly<Record<LineDoes, string>> = { new: "new", changed: "changed", same: "as it is" };
const count = (n: number, one: string, many: string) => `${n.toLocaleString("en")} ${n === 1 ? one : many}`;
const UNREACHED = "The file did not reach the server. It is still chosen here; try again in a moment.";

/** How each column was understood; what was understood wrongly is put right here, and remembered. */
function Columns({ plan, onChange }: { plan: ImportPlan; onChange: (name: string, means: ColumnMeaning) => void }) {
  const meanings: readonly (readonly [ColumnMeaning, string])[] = [
    ...GOODS_FIELDS.map((f) => [f, COLUMN_MEANS[f]] as const),
    ["attribute", "describes the product"],
    ["none", "leave it out"],
  ];
  return (
    <Box component="section" aria-label="Columns">
      <Typography variant="h3" component="h2" gutterBottom>
        What the columns mean
      </Typography>
      <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(230px, 1fr))", gap: 1, rowGap: 2 }}>
        {plan.columns.map((c, i) => (
          <TextField
            key={`${i} ${c.name}`}
            select
            label={c.name || "(no name)"}
            value={c.means}
            helperText={c.sample ? `like “${c.sample.slice(0, 40)}”` : "empty"}
            onChange={(e) => onChange(c.name, e.target.value as ColumnMeaning)}
            slotProps={{
              formHelperText: { sx: { overflow: "hidden", whiteSpace: "nowrap", textOverflow: "ellipsis" } },
            }}
          >
            {meanings.map(([id, words]) => (
              <MenuItem key={id} value={id}>
                {words}
              </MenuItem>
            ))}
          </TextField>
        ))}
      </Box>
    </Box>
  );
}

/** One cell to write anew, where it was found wrong. */
function FixCell({ problem, onFix }: { problem: LineProblem; onFix: (fix: CellFix) => void }) {
  const [value, setValue] = useState(problem.cell?.written ?? "");
  const { cell } = problem;
  if (!cell) return null;
  const put = () => value !== cell.written && onFix({ line: problem.line, at: cell.at, value });
  return (
    <Box
      component="span"
      sx={{ display: "inline-flex", gap: 0.5, alignItems: "center", ml: 1, verticalAlign: "middle" }}
    >
      <TextField
        value={value}
        onChange={(e) => setValue(e.target.value)}
        onKeyDown={(e) => e.key === "Enter" && put()}
        slotProps={{
          htmlInput: { "aria-label": `Line ${problem.line}, ${problem.column}`, maxLength: 4000 },
          input: { sx: { height: 30, width: 150, bgcolor: INK.raised } },
        }}
      />
      <Button size="small" variant="outlined" disabled={value === cell.written} onClick={put}>
        Use this
      </Button>
    </Box>
  );
}

function Problems({
  problems,
  total,
  onFix,
}: {
  problems: readonly LineProblem[];
  total: number;
  onFix: (fix: CellFix) => void;
}) {
  if (total === 0) return null;
  const whole = problems.filter((p) => p.line === 0);
  if (whole.length) {
    return (
      <Alert severity="warning">
        {whole.map((p) => (
          <Typography key={p.why} sx={{ fontWeight: 600 }}>
            {p.why}
          </Typography>
        ))}
      </Alert>
    );
  }
  return (
    <Alert severity="warning" sx={{ alignItems: "flex-start" }}>
      <Typography sx={{ fontWeight: 600 }}>
        {count(total, "problem", "problems")}. Put them right here, or these lines are left out; the others can be
        imported.
      </Typography>
      <Box component="ul" aria-label="Problems" sx={{ m: 0, mt: 0.5, pl: 2.5, maxHeight: 220, overflowY: "auto" }}>
        {problems.map((p, i) => (
          <li key={i}>
            Line {p.line}
            {p.column ? `, ${p.column}` : ""}: {p.why}
            <FixCell key={`${p.line} ${p.column} ${p.cell?.written}`} problem={p} onFix={onFix} />
          </li>
        ))}
        {total > problems.length ? <li>and {total - problems.length} more</li> : null}
      </Box>
    </Alert>
  );
}

/** What a line will be in the shop: what is counted and is none is sold out, whatever else it says. */
const stateWord = ({ availability, stock, oversell }: GoodsLine): string =>
  AVAILABILITY_WORDS[availability === "in-stock" && stock === 0 && !oversell ? "sold-out" : availability];

function Lines({ plan }: { plan: ImportPlan }) {
  const { currency, moneyFormat } = useStudio((s) => s.shop);
  const total = plan.counts.new + plan.counts.changed + plan.counts.same;
  if (plan.lines.length === 0) return null;
  return (
    <Box component="section" aria-label="Lines" sx={{ overflowX: "auto" }}>
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
          {plan.lines.map(({ line, variants, does }) => (
            <TableRow key={line.line} sx={does === "same" ? { "& td": { color: INK.soft } } : {}}>
              <TableCell>{line.line}</TableCell>
              <TableCell sx={{ fontWeight: 600 }}>
                {line.title}
                {variants ? (
                  <Typography component="span" variant="caption" color="text.secondary">
                    {" "}
                    {count(variants, "variant", "variants")}
                  </Typography>
                ) : null}
              </TableCell>
              <TableCell>{line.sku}</TableCell>
              <TableCell>{line.collections.join(", ")}</TableCell>
              <TableCell>{stateWord(line)}</TableCell>
              <TableCell align="right">
                {line.price === null ? "" : formatMoney(line.price, currency, moneyFormat)}
              </TableCell>
              <TableCell>
                <Chip size="small" variant={does === "same" ? "outlined" : "filled"} label={DOES[does]} />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {total > plan.lines.length ? (
        <Typography variant="caption" color="text.secondary">
          The first {plan.lines.length} of {total.toLocaleString("en")} are shown.
        </Typography>
      ) : null}
    </Box>
  );
}

/** Brings goods in from a CSV file or a workbook: what was understood, put right, and then all of it in one step. */
export function BringIn() {
  const shop = useStudio((s) => s.shop.id);
  const client = useStudio((s) => s.client);
  const reload = useReload();
  const input = useRef<HTMLInputElement>(null);
  const zip = useRef<HTMLInputElement>(null);
  const [file, setFile] = useState<File | null>(null);
  const [archive, setArchive] = useState<File | null>(null);
  const [columns, setColumns] = useState<Readonly<Record<string, ColumnMeaning>>>({});
  const [fixes, setFixes] = useState<readonly CellFix[]>([]);
  const [told, setTold] = useState<Told | null>(null);
  const [plan, setPlan] = useState<{ plan: ImportPlan; problems: number } | null>(null);
  const [reading, setReading] = useState(false);
  const [over, setOver] = useState(false);
  const stop = useRef<AbortController | null>(null);
  const asked = useRef(0);

  const bodyFor = (intent: string, chosen: File, choice: object, cells: readonly CellFix[]) => {
    const body = new FormData();
    body.append("intent", intent);
    body.append("file", chosen, chosen.name);
    body.append("columns", JSON.stringify(choice));
    body.append("fixes", JSON.stringify(cells));
    if (intent === "import" && archive) body.append("archive", archive, archive.name);
    return body;
  };
  const look = async (chosen: File, choice: Readonly<Record<string, ColumnMeaning>>, cells: readonly CellFix[]) => {
    const mine = ++asked.current;
    setReading(true);
    setTold(null);
    const reply = await client.upload("goods/bring-in", bodyFor("plan", chosen, choice, cells));
    // Another file, or another meaning of a column, has been chosen since.
    if (mine !== asked.current) return;
    setReading(false);
    const said: Told = reply.ok ? (reply.value as Told) : { step: "refused", why: reply.why };
    setPlan(said.step === "planned" ? said : null);
    if (said.step !== "planned") setTold(said);
  };
  const choose = (chosen: File) => {
    setFile(chosen);
    setColumns({});
    setFixes([]);
    setPlan(null);
    void look(chosen, {}, []);
  };
  const bringIn = async () => {
    if (!file) return;
    const abort = new AbortController();
    stop.current = abort;
    setTold({ step: "lines", at: 0, of: 0 });
    const heard: { last: Told } = { last: { step: "refused", why: UNREACHED } };
    const hear = (line: unknown) => setTold((heard.last = line as Told));
    const reply = await client.follow("goods/bring-in", bodyFor("import", file, columns, fixes), hear, {
      signal: abort.signal,
    });
    if (!reply.ok) heard.last = reply.code === "stopped" ? { step: "stopped" } : { step: "refused", why: reply.why };
    stop.current = null;
    setTold(heard.last);
    if (heard.last.step === "done") {
      setPlan(null);
      setFile(null);
      setArchive(null);
      await reload();
    }
  };
  const busy = told && (told.step === "pictures" || told.step === "lines");
  const changes = plan ? plan.plan.counts.new + plan.plan.counts.changed : 0;
  return (
    <Box sx={{ overflowY: "auto", p: 2 }}>
      <Box sx={{ maxWidth: 1080, mx: "auto", display: "grid", gridTemplateColumns: "minmax(0,1fr)", gap: 2 }}>
        <Box>
          <Typography variant="h1">Import goods</Typography>
          <Typography color="text.secondary">
            A CSV file or an XLSX workbook, with a line for each product and, below it, one for each of its variants.
            You see what was understood before anything is stored, and one undo takes all of it back.{" "}
            <MuiLink href="/sample-goods.csv" download>
              A sample file
            </MuiLink>{" "}
            shows every column that can be in it.
          </Typography>
        </Box>
        {told?.step === "done" ? (
          <Alert
            severity="success"
            action={
              <Button size="small" component={Link} to={`/s/${shop}/goods`}>
                Look at them
              </Button>
            }
          >
            {count(told.added, "product", "products")} added, {told.changed} changed, {told.same} as they were.
            {told.pictures
              ? ` ${count(told.pictures.added, "picture", "pictures")} added${told.pictures.known ? `, ${told.pictures.known} known already` : ""}.`
              : ""}
            {told.pictures?.problems.length ? (
              <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                {told.pictures.problems.slice(0, 20).map((p, i) => (
                  <li key={i}>
                    {p.file}: {p.why}
                  </li>
                ))}
              </Box>
            ) : null}
          </Alert>
        ) : null}
        {told?.step === "refused" ? <Alert severity="error">{told.why}</Alert> : null}
        {told?.step === "stopped" ? <Alert severity="info">Stopped. Nothing of the goods was stored.</Alert> : null}
        <Box
          onDragOver={(e) => {
            e.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(e) => {
            e.preventDefault();
            setOver(false);
            for (const each of e.dataTransfer.files) {
              if (/\.zip$/i.test(each.name)) setArchive(each);
              else choose(each);
            }
          }}
          sx={{
            display: "flex",
            gap: 2,
            alignItems: "center",
            flexWrap: "wrap",
            p: 2,
            border: `1.5px dashed ${over ? INK.ink : INK.soft}`,
            borderRadius: 1,
            bgcolor: over ? INK.wash : INK.raised,
          }}
        >
          <Button
            variant="contained"
            disabled={Boolean(busy)}
            startIcon={<FileUp size={17} aria-hidden />}
            onClick={() => input.current?.click()}
          >
            Choose a file
          </Button>
          <Button
            variant="outlined"
            disabled={Boolean(busy)}
            startIcon={<FileArchive size={17} aria-hidden />}
            onClick={() => zip.current?.click()}
          >
            {archive ? "Another ZIP of pictures" : "Pictures as a ZIP"}
          </Button>
          <Typography sx={{ flex: 1 }}>
            {file ? (
              <>
                <strong>{file.name}</strong>
                {archive ? ` with the pictures of ${archive.name}` : ""}
              </>
            ) : archive ? (
              `The pictures of ${archive.name} go with it; choose the file with the goods.`
            ) : (
              "or drop them here"
            )}
          </Typography>
          {reading ? <CircularProgress size={22} aria-label="Reading the file" /> : null}
          <FileInput
            ref={input}
            label="File with goods"
            accept=".csv,.tsv,.txt,.xlsx,text/csv"
            onFiles={([chosen]) => choose(chosen)}
          />
          <FileInput
            ref={zip}
            label="ZIP of pictures"
            accept=".zip,application/zip"
            onFiles={([chosen]) => setArchive(chosen)}
          />
        </Box>
        {busy ? (
          <Box role="status" sx={{ display: "flex", gap: 2, alignItems: "center" }}>
            <Box sx={{ flex: 1 }}>
              <Typography gutterBottom>
                {told.step === "pictures" ? "Pictures" : "Goods"}: {told.at.toLocaleString("en")} of{" "}
                {told.of.toLocaleString("en")}
              </Typography>
              <LinearProgress
                variant={told.of ? "determinate" : "indeterminate"}
                value={told.of ? (100 * told.at) / told.of : 0}
              />
            </Box>
            <Button variant="outlined" onClick={() => stop.current?.abort()}>
              Stop
            </Button>
          </Box>
        ) : null}
        {plan && !busy ? (
          <>
            <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
              <Typography sx={{ flex: 1, fontWeight: 600 }} role="status">
                {count(plan.plan.counts.new, "new product", "new products")}, {plan.plan.counts.changed} changed,{" "}
                {plan.plan.counts.same} as they are
              </Typography>
              <Button
                variant="contained"
                disabled={(changes === 0 && !archive) || reading}
                onClick={() => void bringIn()}
              >
                {changes === 0 && !archive ? "Nothing to import" : `Import ${count(changes, "product", "products")}`}
              </Button>
            </Box>
            <Problems
              problems={plan.plan.problems}
              total={plan.problems}
              onFix={(fix) => {
                const next = [...fixes.filter((f) => f.line !== fix.line || f.at !== fix.at), fix];
                setFixes(next);
                if (file) void look(file, columns, next);
              }}
            />
            {plan.plan.missingPictures.length && !archive ? (
              <Alert severity="info">
                {count(plan.plan.missingPictures.length, "picture is", "pictures are")} not in your library yet:{" "}
                {plan.plan.missingPictures.slice(0, 6).join(", ")}
                {plan.plan.missingPictures.length > 6 ? " …" : ""}. Add them as a ZIP here, or upload them under
                Pictures and import the same file again; nothing will be doubled.
              </Alert>
            ) : null}
            {plan.plan.newCollections.length ? (
              <Typography>New collections: {plan.plan.newCollections.join(", ")}</Typography>
            ) : null}
            <Columns
              plan={plan.plan}
              onChange={(name, means) => {
                const next = { ...columns, [name]: means };
                setColumns(next);
                if (file) void look(file, next, fixes);
              }}
            />
            <Lines plan={plan.plan} />
          </>
        ) : null}
      </Box>
    </Box>
  );
}
