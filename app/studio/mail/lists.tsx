import { Box, Button, FormControlLabel, Switch, ToggleButton, ToggleButtonGroup, Typography } from "@mui/material";
import { useVirtualizer } from "@tanstack/react-virtual";
import { Download, Trash2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import type { Subscriber } from "~/core/mail";
import { readPeople } from "~/core/protocol";
import { useMoment, useStudio } from "../keeping";
import { Blank, ConfirmDialog, FindField, IconAction, INK } from "../ui";
import { useMail, useMailChange } from "./data";

const STATE_WORDS = { on: "On the list", asked: "Asked by mail", off: "Has left" } as const;
type State = keyof typeof STATE_WORDS;
const ROW = 44;

function People({ people, onForget }: { people: readonly Subscriber[]; onForget: (address: string) => void }) {
  const moment = useMoment();
  const box = useRef<HTMLDivElement>(null);
  // oxlint-disable-next-line react/incompatible-library -- its object changes in place; its rows are asked for anew at each drawing
  const rows = useVirtualizer({
    count: people.length,
    getScrollElement: () => box.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  return (
    <Box
      ref={box}
      sx={{
        overflowY: "auto",
        minHeight: 0,
        maxHeight: "100%",
        alignSelf: "start",
        border: `1px solid ${INK.line}`,
        borderBottom: 0,
        borderRadius: 1,
      }}
    >
      <Box
        component="ul"
        aria-label="People"
        sx={{ m: 0, p: 0, position: "relative" }}
        style={{ height: rows.getTotalSize() }}
      >
        {rows.getVirtualItems().map(({ index, start }) => {
          const each = people[index]!;
          const since = each.state === "on" ? each.onAt : each.state === "off" ? each.offAt : each.at;
          return (
            <Box
              component="li"
              key={each.address}
              aria-setsize={people.length}
              aria-posinset={index + 1}
              sx={{
                listStyle: "none",
                position: "absolute",
                insetInline: 0,
                height: ROW,
                display: "flex",
                alignItems: "center",
                gap: 1.5,
                px: 1.5,
                borderBottom: `1px solid ${INK.line}`,
                bgcolor: INK.raised,
              }}
              style={{ transform: `translateY(${start}px)` }}
            >
              <Typography noWrap sx={{ flex: 1, minWidth: 0 }}>
                {each.address}
              </Typography>
              <Typography variant="caption" color="text.secondary" noWrap sx={{ display: { xs: "none", sm: "block" } }}>
                {STATE_WORDS[each.state]} {since === null ? "" : `since ${moment(since, false)}`}
              </Typography>
              <IconAction
                label={`Forget ${each.address}`}
                icon={Trash2}
                size={16}
                onClick={() => onForget(each.address)}
              />
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** Who has signed up for what. */
export function ListsPage() {
  const { lists, confirmsByMail } = useMail();
  const client = useStudio((s) => s.client);
  const { id: shop } = useStudio((s) => s.shop);
  const { send, isBusy } = useMailChange();
  const [chosen, setChosen] = useState("");
  const list = lists.find(({ name }) => name === chosen) ?? lists[0];
  const [read, setRead] = useState<{ list: string; people: readonly Subscriber[] } | null>(null);
  const [why, setWhy] = useState("");
  const [state, setState] = useState<State>("on");
  const [find, setFind] = useState("");
  const [forgetting, setForgetting] = useState<string | null>(null);
  const name = list?.name;
  const counts = JSON.stringify(list);
  useEffect(() => {
    if (name === undefined) return;
    let isOver = false;
    void client.ask(readPeople, { list: name }).then((reply) => {
      if (isOver) return;
      setWhy(reply.ok ? "" : reply.why);
      if (reply.ok) setRead({ list: name, people: reply.value.people });
    });
    return () => {
      isOver = true;
    };
  }, [client, name, counts]);
  const sought = find.trim().toLowerCase();
  const people =
    read && read.list === name ? read.people.filter((p) => p.state === state && p.address.includes(sought)) : [];
  return (
    <Box sx={{ overflowY: "auto", p: 2, minHeight: 0 }}>
      <Box
        sx={{
          maxWidth: 980,
          mx: "auto",
          height: "100%",
          display: "grid",
          gridTemplateRows: "auto auto auto minmax(200px,1fr)",
          gridTemplateColumns: "minmax(0,1fr)",
          gap: 2,
        }}
      >
        <Box sx={{ display: "flex", flexWrap: "wrap", alignItems: "center", gap: 2 }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            Lists
          </Typography>
          {list ? (
            <Button
              size="small"
              component="a"
              href={`/s/${shop}/mail/people.csv?list=${encodeURIComponent(list.name)}`}
              startIcon={<Download size={15} aria-hidden />}
            >
              As a CSV file
            </Button>
          ) : null}
        </Box>
        <Box>
          <FormControlLabel
            control={
              <Switch
                checked={confirmsByMail}
                disabled={isBusy}
                onChange={(_e, on) =>
                  void send(
                    { intent: "confirms", on },
                    on ? "New sign-ups are asked by mail first." : "New sign-ups are on the list at once.",
                  )
                }
              />
            }
            label="Ask by mail whether it was them, before somebody is on a list"
          />
          <Typography variant="body2" color="text.secondary" sx={{ maxWidth: 720 }}>
            So nobody can sign up somebody else. In some countries you have to do this (double opt-in).
          </Typography>
        </Box>
        {list ? (
          <>
            <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1, alignItems: "center" }}>
              {lists.length > 1 ? (
                <ToggleButtonGroup
                  exclusive
                  size="small"
                  value={list.name}
                  aria-label="Which list"
                  onChange={(_e, next: string | null) => next && setChosen(next)}
                >
                  {lists.map((each) => (
                    <ToggleButton key={each.name} value={each.name}>
                      {each.name} ({each.on})
                    </ToggleButton>
                  ))}
                </ToggleButtonGroup>
              ) : (
                <Typography variant="h2">{list.name}</Typography>
              )}
              <Box sx={{ flex: 1 }} />
              <ToggleButtonGroup
                exclusive
                size="small"
                value={state}
                aria-label="Which people"
                onChange={(_e, next: State | null) => next && setState(next)}
              >
                {(["on", "asked", "off"] as const).map((each) => (
                  <ToggleButton key={each} value={each}>
                    {STATE_WORDS[each]} ({list[each]})
                  </ToggleButton>
                ))}
              </ToggleButtonGroup>
              <FindField label="Find an address" value={find} onChange={setFind} width={220} />
            </Box>
            {why ? (
              <Typography role="alert">{why}</Typography>
            ) : people.length ? (
              <People people={people} onForget={setForgetting} />
            ) : (
              <Blank
                title={sought ? "Nobody with this address" : "Nobody here"}
                text={sought ? "Look among the others as well." : `${STATE_WORDS[state]}: nobody on “${list.name}”.`}
              />
            )}
          </>
        ) : (
          <Blank
            title="Nobody has signed up yet"
            text="Put a sign-up onto a page: Pages, Add, “Sign-up”. Whoever leaves an address there stands here."
          />
        )}
      </Box>
      <ConfirmDialog
        open={forgetting !== null}
        title={`Forget ${forgetting ?? ""}?`}
        confirm="Forget"
        onClose={() => setForgetting(null)}
        onConfirm={() => {
          if (forgetting !== null && name !== undefined)
            void send({ intent: "forget", list: name, addresses: [forgetting] }, "Forgotten.");
          setForgetting(null);
        }}
      >
        The address is deleted from this list, as if it had never been there. They can sign up again.
      </ConfirmDialog>
    </Box>
  );
}
