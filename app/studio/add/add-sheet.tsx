import { Box, ButtonBase, Drawer, Typography } from "@mui/material";
import { X } from "lucide-react";
import { useEffect, useMemo, useRef, useState } from "react";
import { addSection } from "~/core/commands";
import { KINDS, PURPOSES, type Definition } from "~/kinds";
import { fillSection } from "~/kinds/fill";
import { EnvProvider } from "~/kinds/parts";
import { envOf, Section } from "~/render";
import { themeById } from "~/themes";
import { useStudio, useStudioStore } from "../keeping";
import { ShopFrame, usePageSheets } from "../panes";
import { FindField, IconAction, INK } from "../ui";
import type { Draft } from "~/core/document";
import { DOCUMENT_VERSION } from "~/core/schema";

type Choice = { readonly definition: Definition; readonly arrangement: string; readonly name: string };

const CHOICES: readonly Choice[] = [...KINDS.values()].flatMap(({ definition }) =>
  definition.slots.includes("main") || definition.kind === "notice"
    ? definition.arrangements.map((a) => ({ definition, arrangement: a.id, name: a.name }))
    : [],
);

const TILE = { width: 224, height: 138, page: 1180 };

/** A section as it would look here, small and live. Drawn only once it comes into view. */
function Miniature({ choice }: { choice: Choice }) {
  const draft = useStudio((s) => s.draft);
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const { currency, locale } = useStudio((s) => s.shop);
  const holder = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(false);
  useEffect(() => {
    if (!holder.current) return;
    const observer = new IntersectionObserver(([entry]) => entry!.isIntersecting && setSeen(true), {
      rootMargin: "200px",
    });
    observer.observe(holder.current);
    return () => observer.disconnect();
  }, []);
  const node = useMemo(
    () => fillSection(choice.definition.kind, goods, pictures, choice.arrangement),
    [choice, goods, pictures],
  );
  const alone = useMemo<Draft>(
    () => ({
      look: draft.look,
      documents: {
        one: {
          schemaVersion: DOCUMENT_VERSION,
          id: "one",
          kind: "page",
          title: "",
          root: { id: "r", kind: "root", props: {}, style: {}, conditions: [], shown: true, slots: { main: [node] } },
        },
      },
    }),
    [draft.look, node],
  );
  const sheets = usePageSheets(alone, pictures);
  const env = useMemo(
    () => envOf({ goods, pictures, currency, locale }, draft),
    [goods, pictures, currency, locale, draft],
  );
  return (
    <Box ref={holder} sx={{ width: TILE.width, height: TILE.height, overflow: "hidden", bgcolor: "#fff" }}>
      {seen ? (
        <ShopFrame
          inert
          title={`${choice.definition.name}, ${choice.name}`}
          width={TILE.page}
          scale={TILE.width / TILE.page}
          height={TILE.height}
          sheets={sheets}
          extra="body{overflow:hidden}"
        >
          <EnvProvider value={env}>
            <Section node={node} theme={themeById(draft.look.theme)} look={draft.look} first />
          </EnvProvider>
        </ShopFrame>
      ) : null}
    </Box>
  );
}

type AddSheetProps = {
  page: string;
  /** Before which section of the page; closed when null. */ at: number | null;
  onClose: () => void;
};

/** Everything that can be put on the page, shown in the shop's own look and with its own goods. */
export function AddSheet({ page, at, onClose }: AddSheetProps) {
  const store = useStudioStore();
  const [sought, setSought] = useState("");
  const words = sought.trim().toLowerCase();
  const found = CHOICES.filter(
    ({ definition: d, name }) => !words || `${d.name} ${d.about} ${d.purpose} ${name}`.toLowerCase().includes(words),
  );
  const add = ({ definition, arrangement }: Choice) => {
    const { draft, goods, pictures, run } = store.getState();
    const isForPage = definition.slots.includes("main");
    const document = isForPage ? page : "frame";
    const root = draft.documents[document]!.root;
    const node = fillSection(definition.kind, goods, pictures, arrangement);
    run(
      addSection(
        draft,
        document,
        { parent: root.id, slot: definition.slots[0]!, index: isForPage ? (at ?? 0) : 0 },
        node,
        definition.name,
      ),
    );
    setSought("");
    onClose();
  };
  return (
    <Drawer
      anchor="bottom"
      open={at !== null}
      onClose={onClose}
      slotProps={{
        paper: {
          "aria-label": "Add a section",
          role: "dialog",
          sx: { height: "58vh", borderTop: `2px solid ${INK.ink}`, bgcolor: INK.paper },
        },
      }}
    >
      <Box
        sx={{ display: "flex", alignItems: "center", gap: 2, px: 3, py: 1.5, borderBottom: `1px solid ${INK.line}` }}
      >
        <Typography variant="h2" sx={{ flex: 1 }}>
          What should be there?
        </Typography>
        <FindField label="Find" value={sought} onChange={setSought} width={280} autoFocus />
        <IconAction label="Close" keys="Esc" icon={X} onClick={onClose} />
      </Box>
      <Box sx={{ overflowY: "auto", px: 3, py: 2, display: "grid", gap: 3 }}>
        {PURPOSES.map((purpose) => {
          const inside = found.filter((c) => c.definition.purpose === purpose);
          if (inside.length === 0) return null;
          return (
            <Box component="section" key={purpose} aria-label={purpose}>
              <Typography variant="h3" component="h3" sx={{ mb: 1 }}>
                {purpose}
              </Typography>
              <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2 }}>
                {inside.map((choice) => (
                  <ButtonBase
                    key={`${choice.definition.kind} ${choice.arrangement}`}
                    onClick={() => add(choice)}
                    aria-label={`Add ${choice.definition.name}: ${choice.name}`}
                    sx={{
                      display: "block",
                      textAlign: "left",
                      border: `1px solid ${INK.line}`,
                      borderRadius: 1,
                      overflow: "hidden",
                      bgcolor: INK.raised,
                      "&:hover, &.Mui-focusVisible": { borderColor: INK.ink, boxShadow: `0 3px 0 ${INK.lemon}` },
                    }}
                  >
                    <Miniature choice={choice} />
                    <Box sx={{ px: 1.25, py: 0.75, borderTop: `1px solid ${INK.line}`, width: TILE.width }}>
                      <Typography variant="subtitle2">{choice.definition.name}</Typography>
                      <Typography variant="caption" color="text.secondary" noWrap component="p">
                        {choice.name}
                      </Typography>
                    </Box>
                  </ButtonBase>
                ))}
              </Box>
            </Box>
          );
        })}
        {found.length === 0 ? (
          <Typography color="text.secondary">
            Nothing here is called “{sought}”. Try what it should do: welcome, goods, story, sign-up.
          </Typography>
        ) : null}
      </Box>
    </Drawer>
  );
}
