import {
  Box,
  Button,
  MenuItem,
  TextField,
  ToggleButton,
  ToggleButtonGroup,
  Tooltip,
  Typography,
  type TextFieldProps,
} from "@mui/material";
import { Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import type { z } from "zod";
import { setContact, type ContactKey } from "~/core/commands";
import {
  DAY_NAMES,
  daysWords,
  hoursProblem,
  SOCIAL_SORTS,
  SOCIAL_WORDS,
  socialName,
  WEEK,
  type Look,
  type OpeningHours,
  type SocialLink,
  type SocialSort,
} from "~/core/document";
import { mailAddress, MOST_HOURS, MOST_SOCIAL, phoneNumber, postalAddress, webAddress } from "~/core/schema";
import { SocialSign } from "~/kinds/parts";
import { useStudio, useStudioStore } from "../../keeping";
import { IconAction, INK, TreeRows, type TreePlace } from "../../ui";

type Identity = Look["identity"];

/** Sets one of the contact facts. Gives the reason where it can't be. */
function useSet() {
  const store = useStudioStore();
  return <K extends ContactKey>(key: K, value: Identity[K]) => {
    const now = store.getState();
    const outcome = setContact(now.draft, key, value);
    const why = outcome.ok ? now.run(outcome) : undefined;
    if (why) now.say(why, "problem");
  };
}

type CheckedFieldProps = Omit<TextFieldProps, "value" | "onChange" | "error" | "variant"> & {
  kept: string;
  schema: z.ZodType<string>;
  /** May it be empty? */
  isOptional?: boolean;
  most: number;
  onValue: (value: string) => void;
};

/** A field that keeps what can be kept, while it is written, and says what is wrong with the rest when it is left. */
function CheckedField({ kept, schema, isOptional = false, most, onValue, helperText, ...rest }: CheckedFieldProps) {
  const [written, setWritten] = useState<{ readonly text: string; readonly from: string } | null>(null);
  const [isLeft, setLeft] = useState(false);
  // What was changed elsewhere meanwhile, or undone, is shown.
  const text = written?.from === kept ? written.text : kept;
  const parsed = schema.safeParse(text.trim());
  const why = parsed.success || (isOptional && text.trim() === "") ? undefined : parsed.error.issues[0]!.message;
  return (
    <TextField
      size="small"
      {...rest}
      value={text}
      error={isLeft && why !== undefined}
      helperText={isLeft && why !== undefined ? `${why} ${kept ? "The last one is kept until then." : ""}` : helperText}
      onChange={(event) => {
        const next = event.target.value;
        const trimmed = next.trim();
        const can = schema.safeParse(trimmed).success || (isOptional && trimmed === "");
        setWritten({ text: next, from: can ? trimmed : kept });
        if (can && trimmed !== kept) onValue(trimmed);
        if (can) setLeft(false);
      }}
      onBlur={() => setLeft(true)}
      slotProps={{ htmlInput: { maxLength: most } }}
    />
  );
}

function Hours() {
  const hours = useStudio((s) => s.draft.look.identity.hours) ?? [];
  const set = useSet();
  const [problem, setProblem] = useState<string | null>(null);
  const put = (index: number, change: Partial<OpeningHours>) => {
    const next = hours.map((each, i) => (i === index ? { ...each, ...change } : each));
    const why = hoursProblem(next[index]!);
    setProblem(why ?? null);
    if (!why) set("hours", next);
  };
  const add = () => {
    const taken = new Set(hours.flatMap((each) => each.days));
    const free = WEEK.filter((day) => !taken.has(day));
    const last = hours.at(-1);
    set("hours", [
      ...hours,
      { days: free.length ? free : [...WEEK], from: last?.from ?? "10:00", to: last?.to ?? "17:00" },
    ]);
  };
  return (
    <Box role="group" aria-label="Opening hours" sx={{ display: "grid", gap: 1.25 }}>
      <Typography variant="subtitle2">Opening hours</Typography>
      {hours.map((each, i) => (
        <Box
          key={i}
          role="group"
          aria-label={`Opening hours ${i + 1}`}
          sx={{ display: "grid", gap: 1, p: 1, border: `1px solid ${INK.line}`, borderRadius: 1 }}
        >
          <ToggleButtonGroup
            fullWidth
            size="small"
            value={[...each.days]}
            aria-label="Days"
            onChange={(_e, days: number[]) => put(i, { days: days.toSorted((a, b) => a - b) })}
          >
            {WEEK.map((day) => (
              <ToggleButton key={day} value={day} aria-label={DAY_NAMES[day]![1]} sx={{ px: 0 }}>
                {DAY_NAMES[day]![0].slice(0, 2)}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Box sx={{ display: "flex", gap: 1, alignItems: "center" }}>
            {(["from", "to"] as const).map((end) => (
              <TextField
                key={end}
                size="small"
                type="time"
                label={end === "from" ? "Opens" : "Closes"}
                value={each[end]}
                onChange={(e) => e.target.value && put(i, { [end]: e.target.value })}
                sx={{ flex: 1, minWidth: 0 }}
                slotProps={{ inputLabel: { shrink: true } }}
              />
            ))}
            <IconAction
              label={`Remove ${daysWords(each.days)}`}
              icon={Trash2}
              size={16}
              onClick={() =>
                set(
                  "hours",
                  hours.filter((_h, at) => at !== i),
                )
              }
            />
          </Box>
        </Box>
      ))}
      {problem ? (
        <Typography variant="caption" role="alert" sx={{ color: INK.brick }}>
          {problem}
        </Typography>
      ) : null}
      <Button
        size="small"
        startIcon={<Plus size={15} aria-hidden />}
        disabled={hours.length >= MOST_HOURS}
        onClick={add}
        sx={{ justifySelf: "start" }}
      >
        {hours.length ? "Add other hours" : "Add opening hours"}
      </Button>
    </Box>
  );
}

function Elsewhere() {
  const social = useStudio((s) => s.draft.look.identity.social) ?? [];
  const set = useSet();
  const [chosen, setChosen] = useState<number | null>(null);
  const [fresh, setFresh] = useState<string | null>(null);
  const rows = social.map((link, i) => ({ id: String(i), parent: null, depth: 0, link }));
  const move = (id: string, { before }: TreePlace) => {
    const from = Number(id);
    const rest = social.filter((_l, i) => i !== from);
    const at = before === undefined ? rest.length : rest.indexOf(social[Number(before)]!);
    set("social", rest.toSpliced(at, 0, social[from]!));
    setChosen(at);
  };
  const put = (index: number, change: Partial<SocialLink>) =>
    set(
      "social",
      social.map((link, i) => (i === index ? { ...link, ...change } : link)),
    );
  const remove = (index: number) => {
    set(
      "social",
      social.filter((_l, i) => i !== index),
    );
    setChosen(null);
  };
  const link = chosen === null ? undefined : social[chosen];
  return (
    <Box role="group" aria-label="Where else you are" sx={{ display: "grid", gap: 1.25 }}>
      <Typography variant="subtitle2">Where else you are</Typography>
      {rows.length ? (
        <Box sx={{ border: `1px solid ${INK.line}`, borderRadius: 1, bgcolor: INK.paper, overflow: "hidden" }}>
          <TreeRows
            rows={rows}
            label="Where else you are"
            rowHeight={38}
            indent={0}
            levels={1}
            current={chosen === null ? null : String(chosen)}
            onCurrent={(id) => setChosen(Number(id))}
            onRemove={(id) => remove(Number(id))}
            onMove={move}
            nameOf={(row) => socialName(row.link)}
          >
            {(row) => (
              <Box sx={{ display: "flex", alignItems: "center", gap: 1, flex: 1, minWidth: 0 }}>
                <Box sx={{ display: "flex", color: INK.soft }}>
                  <SocialSign sort={row.link.sort} />
                </Box>
                <Typography noWrap sx={{ fontSize: 13.5, minWidth: 0 }}>
                  {socialName(row.link)}
                </Typography>
              </Box>
            )}
          </TreeRows>
        </Box>
      ) : null}
      {link && chosen !== null ? (
        <Box
          role="group"
          aria-label={socialName(link)}
          key={chosen}
          sx={{ display: "grid", gap: 1.25, p: 1.25, border: `1px solid ${INK.line}`, borderRadius: 1 }}
        >
          <CheckedField
            label="Address"
            kept={link.address}
            schema={webAddress}
            most={300}
            onValue={(address) => put(chosen, { address })}
          />
          <TextField
            size="small"
            label="Name"
            value={link.name}
            placeholder={socialName({ ...link, name: "" })}
            onChange={(e) => put(chosen, { name: e.target.value })}
            slotProps={{ htmlInput: { maxLength: 40 }, inputLabel: { shrink: true } }}
          />
          <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
            <TextField
              select
              size="small"
              label="Sign"
              value={link.sort}
              onChange={(e) => put(chosen, { sort: e.target.value as SocialSort })}
              sx={{ flex: 1 }}
            >
              {SOCIAL_SORTS.map((sort) => (
                <MenuItem key={sort} value={sort}>
                  <Box sx={{ display: "flex", alignItems: "center", gap: 1 }}>
                    <SocialSign sort={sort} /> {SOCIAL_WORDS[sort]}
                  </Box>
                </MenuItem>
              ))}
            </TextField>
            <IconAction
              label="Remove this link"
              icon={Trash2}
              tone={INK.brick}
              size={16}
              onClick={() => remove(chosen)}
            />
          </Box>
        </Box>
      ) : null}
      {fresh === null ? (
        <Tooltip title={social.length >= MOST_SOCIAL ? `There can be ${MOST_SOCIAL} of them` : ""}>
          <span>
            <Button
              size="small"
              startIcon={<Plus size={15} aria-hidden />}
              disabled={social.length >= MOST_SOCIAL}
              onClick={() => setFresh("https://")}
            >
              Add a link
            </Button>
          </span>
        </Tooltip>
      ) : (
        <NewLink
          onCancel={() => setFresh(null)}
          onAdd={(address) => {
            set("social", [...social, { sort: "web", address, name: "" }]);
            setChosen(social.length);
            setFresh(null);
          }}
        />
      )}
    </Box>
  );
}

/** Asks for the address of a place elsewhere; nothing is kept before it is one. */
function NewLink({ onAdd, onCancel }: { onAdd: (address: string) => void; onCancel: () => void }) {
  const [text, setText] = useState("https://");
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <Box
      component="form"
      sx={{ display: "grid", gap: 1 }}
      onSubmit={(event) => {
        event.preventDefault();
        const parsed = webAddress.safeParse(text.trim());
        if (parsed.success) onAdd(parsed.data);
        else setProblem(parsed.error.issues[0]!.message);
      }}
    >
      <TextField
        autoFocus
        size="small"
        label="Address of your page there"
        value={text}
        error={problem !== null}
        helperText={problem}
        onChange={(e) => {
          setText(e.target.value);
          setProblem(null);
        }}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <Box sx={{ display: "flex", gap: 1 }}>
        <Button size="small" type="submit" variant="outlined">
          Add it
        </Button>
        <Button size="small" onClick={onCancel}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}

const FACTS = [
  { key: "mail", label: "Mail address", type: "email", schema: mailAddress, most: 120 },
  { key: "phone", label: "Phone number", type: "tel", schema: phoneNumber, most: 40 },
  { key: "address", label: "Address", multiline: true, minRows: 2, schema: postalAddress, most: 300 },
] as const;

/** How the shop is reached, when it is open, and where else it is. Everything that shows any of it draws from here. */
export function ContactGroup() {
  const identity = useStudio((s) => s.draft.look.identity);
  const set = useSet();
  return (
    <>
      <Typography variant="caption" color="text.secondary">
        Written once. “Contact facts” and “Links elsewhere” show it wherever you add them, search engines read it too.
      </Typography>
      {FACTS.map(({ key, schema, ...field }) => (
        <CheckedField
          key={key}
          kept={identity[key] ?? ""}
          schema={schema}
          isOptional
          onValue={(value) => set(key, value || undefined)}
          {...field}
        />
      ))}
      <Hours />
      <Elsewhere />
    </>
  );
}
