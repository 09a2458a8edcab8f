import { Box } from "@mui/material";
import { useEffect, useRef, useState } from "react";
import type { Device } from "~/core/document";
import { useStudio, useStudioStore } from "../keeping";
import { BARE_CSS, DraftFrame, useTarget } from "../panes";
import { layoutOf, onPicturesOf, type Finding } from "./findings";
import { createContrastWorker, type AskContrast } from "./on-picture";

const DEVICES = ["phone", "wide"] as const;
/** Parts say which they are only to the studio. */
const STUDIO = { editing: null };

/** A page is measured when it has stood still for two looks at it, or when it has had this long, in ms. */
const LOOK_EVERY = 120;
const AT_MOST = 4000;

/** Waits until a page that is being drawn has come to rest: its fonts are there and it grows no more. */
async function atRest(frame: Document, isOver: () => boolean): Promise<void> {
  const until = performance.now() + AT_MOST;
  const pause = () => new Promise((done) => setTimeout(done, LOOK_EVERY));
  await Promise.race([frame.fonts.ready, pause().then(pause).then(pause)]);
  let before = "";
  for (let still = 0; still < 2 && performance.now() < until && !isOver();) {
    await pause();
    const now = `${frame.querySelectorAll("[data-level=section]").length} ${frame.documentElement.scrollHeight}`;
    still = now === before && !now.startsWith("0 ") ? still + 1 : 0;
    before = now;
  }
}

type SightProps = {
  page: string;
  device: Device;
  ask: AskContrast;
  onFound: (found: readonly Finding[]) => void;
};

/** One page at one width, drawn where nobody sees it, measured once. */
function MeasuredSight({ page, device, ask, onFound }: SightProps) {
  const store = useStudioStore();
  const draft = useStudio((s) => s.draft);
  const target = useTarget(page);
  const [frame, setFrame] = useState<Document | null>(null);
  const found = useRef(onFound);
  useEffect(() => {
    found.current = onFound;
  });
  useEffect(() => {
    if (!frame) return;
    let isOver = false;
    void (async () => {
      await atRest(frame, () => isOver);
      if (isOver) return;
      const now = store.getState();
      const layout = layoutOf(frame, device);
      const onPictures = await onPicturesOf(frame, device, now.draft, now.pictures, ask);
      if (!isOver) found.current([...layout, ...onPictures]);
    })();
    return () => {
      isOver = true;
    };
  }, [frame, device, store, ask]);
  return (
    <DraftFrame
      inert
      title=""
      draft={draft}
      target={target}
      device={device}
      scale={1}
      height={800}
      extra={BARE_CSS}
      studio={STUDIO}
      onDocument={setFrame}
    />
  );
}

export type PageFindings = { readonly page: string; readonly findings: readonly Finding[] };

/**
 * Draws pages one after another where nobody sees them, on a phone and on a wide screen, and says what there is to look at
 * on each. `onPage` is called once for each page; `pages` must stay the same array while they are looked through.
 */
export function PageSurvey({ pages, onPage }: { pages: readonly string[]; onPage: (found: PageFindings) => void }) {
  const [worker] = useState(createContrastWorker);
  useEffect(() => worker.end, [worker]);
  const [at, setAt] = useState(0);
  const gathered = useRef<Finding[]>([]);
  const page = pages[Math.floor(at / DEVICES.length)];
  const device = DEVICES[at % DEVICES.length]!;
  if (page === undefined) return null;
  return (
    <Box aria-hidden sx={{ position: "fixed", left: -20_000, top: 0, pointerEvents: "none" }}>
      <MeasuredSight
        key={at}
        page={page}
        device={device}
        ask={worker.ask}
        onFound={(found) => {
          gathered.current.push(...found);
          if (at % DEVICES.length === DEVICES.length - 1) {
            onPage({ page, findings: gathered.current });
            gathered.current = [];
          }
          setAt(at + 1);
        }}
      />
    </Box>
  );
}
