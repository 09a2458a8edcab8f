import {
  Alert,
  Box,
  Divider,
  FormControlLabel,
  Link,
  ListSubheader,
  Menu,
  MenuItem,
  Switch,
  TextField,
  Typography,
} from "@mui/material";
import { Files, LogOut, Trash2 } from "lucide-react";
import { useMemo, useState } from "react";
import { useNavigate } from "react-router";
import {
  copySeason,
  joinSeason,
  removeSeason,
  renameSeason,
  setSeasonDates,
  setSeasonLook,
  switchSeason,
  type Outcome,
} from "~/core/commands";
import type { Draft } from "~/core/document";
import { LONGEST_SEASON_NAME, membersOf, seasonWith, type Member, type Season, type SeasonDates } from "~/core/seasons";
import { relinked, seasonTrouble, type SeasonTrouble } from "~/kinds/seasons";
import { clockNow, useStudio, useStudioStore } from "../keeping";
import { pageShowing } from "../shared";
import { IconAction, INK, MenuButton, useWhenChanged } from "../ui";
import { DatesWords, Word } from "../when";
import { calledOf, datesWords, troubleWords } from "./words";

/** A name, kept as it is typed; one that can't be kept says why and stays to be mended. */
function Name({ season }: { season: Season }) {
  const store = useStudioStore();
  const [text, setText] = useState(season.name);
  const [why, setWhy] = useState<string>();
  useWhenChanged(season.name, (name) => name !== text.trim() && (setText(name), setWhy(undefined)));
  return (
    <TextField
      label="Name of the season"
      value={text}
      error={why !== undefined}
      helperText={why ?? "Only you see it."}
      onChange={(e) => {
        const next = e.target.value;
        setText(next);
        if (next.trim() === season.name) return setWhy(undefined);
        const outcome = renameSeason(store.getState().draft, season.id, next);
        setWhy(outcome.ok ? store.getState().run(outcome) : outcome.why);
      }}
      slotProps={{ htmlInput: { maxLength: LONGEST_SEASON_NAME } }}
      fullWidth
    />
  );
}

/** Which look is worn for that time: one that was put aside in Brand. */
function LookEditor({ season, onSet }: { season: Season; onSet: (look: Season["look"]) => void }) {
  const versions = useStudio((s) => s.draft.look.versions);
  const shop = useStudio((s) => s.shop.id);
  const navigate = useNavigate();
  const list = Object.entries(versions).toSorted(([, a], [, b]) => (a.at < b.at ? 1 : -1));
  return (
    <>
      <MenuItem selected={season.look === undefined} onClick={() => onSet(undefined)}>
        The shop’s own look
      </MenuItem>
      {list.map(([id, { name, theme, brand }]) => (
        <MenuItem key={id} selected={season.look?.name === name} onClick={() => onSet({ name, theme, brand })}>
          {name}
        </MenuItem>
      ))}
      <Typography variant="caption" color="text.secondary" component="p">
        Looks are those that you keep under a name in Brand, “Versions”. The season keeps the one you choose as it is
        now.{" "}
        <Link component="button" type="button" onClick={() => void navigate(`/s/${shop}/brand`)}>
          To Brand
        </Link>
      </Typography>
    </>
  );
}

type MembersProps = {
  season: Season;
  members: readonly Member[];
  trouble: readonly SeasonTrouble[];
  onLeave: (member: Member) => void;
};

/** What belongs to the season: where it is, its own dates where they are others, and what is wrong with it. */
function Members({ season, members, trouble, onLeave }: MembersProps) {
  const store = useStudioStore();
  const navigate = useNavigate();
  const shop = useStudio((s) => s.shop.id);
  const go = ({ document, part }: Member) => {
    if (document.kind === "offer") return void navigate(`/s/${shop}/offers?offer=${document.id}`);
    const { draft: now, select } = store.getState();
    select(part.id);
    void navigate(`/s/${shop}/pages?page=${pageShowing(now.documents, document)}`);
  };
  return (
    <Box component="ul" aria-label="What belongs to it" sx={{ m: 0, p: 0, listStyle: "none" }}>
      {members.map((member) => {
        const { name, where } = calledOf(member);
        const isOther = member.dates.from !== season.dates.from || member.dates.until !== season.dates.until;
        const wrong = trouble.filter((each) => each.what !== "look" && each.member.part === member.part);
        return (
          <Box
            component="li"
            key={member.part.id}
            sx={{ display: "flex", alignItems: "center", gap: 1, py: 0.5, borderTop: `1px solid ${INK.line}` }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Link
                component="button"
                type="button"
                variant="body2"
                onClick={() => go(member)}
                sx={{ color: INK.ink, fontWeight: 600, textAlign: "start", overflowWrap: "anywhere" }}
              >
                {name}
              </Link>
              <Typography variant="caption" component="p" color="text.secondary">
                {where}
                {isOther ? ` · ${datesWords(member.dates)}` : ""}
              </Typography>
              {wrong.map((each) => (
                <Typography key={troubleWords(each)} variant="caption" component="p" color="error">
                  {troubleWords(each)}
                </Typography>
              ))}
            </Box>
            <IconAction label={`Take out ${name}`} icon={LogOut} size={16} onClick={() => onLeave(member)} />
          </Box>
        );
      })}
    </Box>
  );
}

/** Offers that belong to no season yet, by the ids of their roots. */
function useFree(draft: Draft): readonly { readonly id: string; readonly name: string }[] {
  return useMemo(
    () =>
      Object.values(draft.documents)
        .filter(({ kind, root }) => kind === "offer" && !seasonWith(draft.documents, root.id))
        .map(({ root, title }) => ({ id: root.id, name: `“${title}”` }))
        .toSorted((a, b) => (a.name < b.name ? -1 : 1)),
    [draft],
  );
}

type SlipProps = { season: Season; onGone: () => void; onCopied: (id: string) => void };

/** One season: its dates, its look, and what belongs to it. */
export function SeasonSlip({ season, onGone, onCopied }: SlipProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const clock = useStudio(clockNow);
  const shop = useStudio((s) => s.shop.id);
  const navigate = useNavigate();
  const [why, setWhy] = useState<string>();
  const [removing, setRemoving] = useState<HTMLElement | null>(null);
  useWhenChanged(season, () => setWhy(undefined));
  const members = membersOf(draft.documents, season);
  const free = useFree(draft);
  const trouble = useMemo(() => seasonTrouble(draft, season, clock), [draft, season, clock]);
  const clash = trouble.filter(({ what }) => what === "look");
  const go = (outcome: Outcome): string | undefined => {
    const problem = outcome.ok ? store.getState().run(outcome) : outcome.why;
    setWhy(problem);
    return problem;
  };
  const now = () => store.getState().draft;
  const remove = (withAll: boolean) => {
    setRemoving(null);
    if (go(removeSeason(now(), season.id, withAll)) === undefined) onGone();
  };
  return (
    <Box sx={{ display: "grid", gap: 2, alignContent: "start", gridTemplateColumns: "minmax(0,1fr)" }}>
      <Box sx={{ display: "flex", alignItems: "center", gap: 0.5 }}>
        <FormControlLabel
          sx={{ flex: 1 }}
          control={
            <Switch checked={!season.isOff} onChange={(_e, on) => void go(switchSeason(now(), season.id, on))} />
          }
          label={
            <Typography component="span" variant="body2" sx={{ fontWeight: 600 }}>
              {season.isOff ? "Off: nothing of it is seen" : "On, once it is published"}
            </Typography>
          }
        />
        <IconAction
          label="Copy to the next year"
          icon={Files}
          onClick={() => {
            const outcome = copySeason(now(), season.id, clock, relinked);
            if (go(outcome) !== undefined || !outcome.ok) return;
            const [added] = outcome.transaction.operations;
            if (added?.type === "addDocument") onCopied(added.added.id);
          }}
        />
        <IconAction label="Remove this season" icon={Trash2} onClick={(event) => setRemoving(event.currentTarget)} />
        <Menu anchorEl={removing} open={removing !== null} onClose={() => setRemoving(null)}>
          <MenuItem onClick={() => remove(false)}>Take it apart: what belongs to it stays</MenuItem>
          <MenuItem onClick={() => remove(true)}>Remove it with all that belongs to it</MenuItem>
        </Menu>
      </Box>
      <Name key={season.id} season={season} />
      <Box sx={{ borderLeft: `4px solid ${INK.lemon}`, pl: 2 }}>
        <Typography component="p" sx={{ lineHeight: 2 }}>
          Lasts{" "}
          <DatesWords
            isBoth
            dates={season.dates}
            today={clock.slice(0, 10)}
            why={why}
            onSet={(change) => void go(setSeasonDates(now(), season.id, { ...season.dates, ...change } as SeasonDates))}
          />
          . The shop wears{" "}
          <Word said={season.look ? `“${season.look.name}”` : "its own look"} label="What look is worn" why={why}>
            <LookEditor season={season} onSet={(look) => void go(setSeasonLook(now(), season.id, look))} />
          </Word>{" "}
          then.
        </Typography>
        <Typography variant="caption" component="p" color="text.secondary">
          What belongs to it moves along when you change the dates.
        </Typography>
      </Box>
      {why ? (
        <Typography variant="body2" color="error" role="alert">
          {why}
        </Typography>
      ) : null}
      {clash.map((each) => (
        <Alert key={troubleWords(each)} severity="warning">
          {troubleWords(each)}
        </Alert>
      ))}
      <Box>
        <Box sx={{ display: "flex", alignItems: "center", gap: 1, mb: 0.5 }}>
          <Typography variant="h3" sx={{ flex: 1 }}>
            What belongs to it
          </Typography>
          <MenuButton label="Put in" dense>
            {(then) => [
              <ListSubheader key="offers" sx={{ bgcolor: "transparent", lineHeight: "32px" }}>
                Offers of no season
              </ListSubheader>,
              free.length === 0 ? (
                <MenuItem key="none" disabled>
                  There is none
                </MenuItem>
              ) : null,
              ...free.map(({ id, name }) => (
                <MenuItem key={id} onClick={then(() => void go(joinSeason(now(), [id], season.id, name)))}>
                  {name}
                </MenuItem>
              )),
              <Divider key="rest" component="li" />,
              <MenuItem key="page" onClick={then(() => void navigate(`/s/${shop}/pages`))}>
                Something on a page: choose it there …
              </MenuItem>,
            ]}
          </MenuButton>
        </Box>
        <Members
          season={season}
          members={members}
          trouble={trouble}
          onLeave={(member) => void go(joinSeason(now(), [member.part.id], undefined, calledOf(member).name))}
        />
        {members.length === 0 ? (
          <Typography variant="body2" color="text.secondary">
            Nothing yet. Put an offer in, or choose any section, notice or pop-up on a page and let it belong to this
            season under “When it shows”.
          </Typography>
        ) : null}
      </Box>
    </Box>
  );
}
