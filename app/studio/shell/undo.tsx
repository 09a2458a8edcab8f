import { Box } from "@mui/material";
import { Redo2, Undo2 } from "lucide-react";
import { useEffect, useRef } from "react";
import { useLocation, useNavigate } from "react-router";
import { homeOf } from "~/core/addresses";
import { findNode, entryOf } from "~/core/document";
import type { Transaction } from "~/core/commands";
import { useStudio, useStudioStore, type StudioState, type StudioStore } from "../keeping";
import { pageShowing } from "../shared";
import { IconAction } from "../ui";
import { Steps } from "./steps";

/** Goes back or forward by one step: of the area at hand, where that has steps of its own, or of look and pages. */
export function step(store: StudioStore, direction: "undo" | "redo"): void {
  const { areaSteps, undo, redo } = store.getState();
  if (!areaSteps) return direction === "undo" ? undo() : redo();
  if (areaSteps[direction] !== null) areaSteps.step(direction);
}

/** Undo and redo, by name; there is one pair of them, and it says what it is about to do. */
export function UndoRedo() {
  const store = useStudioStore();
  const area = useStudio((s) => s.areaSteps);
  const past = useStudio((s) => s.history.past.at(-1)?.label);
  const future = useStudio((s) => s.history.future.at(-1)?.label);
  const undo = area ? area.undo : past;
  const redo = area ? area.redo : future;
  const where = area ? ` in ${area.area}` : "";
  return (
    <>
      <IconAction
        label={undo ? `Undo${where}: ${undo}` : `Nothing to undo${where}`}
        keys="Ctrl+Z"
        icon={Undo2}
        onClick={() => step(store, "undo")}
        disabled={!undo}
      />
      {/* On the narrowest phones there is no room for both; the list of steps beside it goes forward as well. */}
      <Box sx={{ "@media (max-width:399.98px)": { display: area ? "block" : "none" } }}>
        <IconAction
          label={redo ? `Redo${where}: ${redo}` : `Nothing to redo${where}`}
          keys="Ctrl+Shift+Z"
          icon={Redo2}
          onClick={() => step(store, "redo")}
          disabled={!redo}
        />
      </Box>
      {area ? null : <Steps />}
    </>
  );
}

type Place = { readonly page: string; readonly part?: string };

/** The pages that a change is about, each with the part of it; none where it is about the look, or about every page. */
function* placesOf({ draft }: StudioState, { operations }: Transaction): Generator<Place> {
  for (const operation of operations) {
    if (operation.type === "setLook") continue;
    if (operation.type === "addDocument" || operation.type === "removeDocument") {
      if (entryOf(draft.documents, operation.added.id)) yield { page: operation.added.id };
      continue;
    }
    const document = entryOf(draft.documents, operation.document);
    const part = "node" in operation ? operation.node : undefined;
    const id = typeof part === "string" ? part : part?.id;
    if (document?.kind === "shared") {
      yield { page: pageShowing(draft.documents, document), ...(id === undefined ? {} : { part: id }) };
      continue;
    }
    // Menus, header and footer stand on every page.
    if (!document || (document.kind !== "page" && document.kind !== "layout")) continue;
    const isOnIt = id !== undefined && id !== document.root.id && findNode(document.root, id) !== undefined;
    yield { page: document.id, ...(isOnIt ? { part: id } : {}) };
  }
}

/** After undo and redo: says what was done, and goes to the page that it was done on, where that is not in view. */
export function useShowSteps(): void {
  const store = useStudioStore();
  const stepped = useStudio((s) => s.stepped);
  const navigate = useNavigate();
  const location = useLocation();
  const here = useRef(location);
  const shown = useRef(0);
  useEffect(() => {
    here.current = location;
  }, [location]);
  useEffect(() => {
    if (!stepped || stepped.key === shown.current) return;
    shown.current = stepped.key;
    const state = store.getState();
    const word = stepped.direction === "undo" ? "Undone" : "Done again";
    const { pathname, search } = here.current;
    const isOnBench = pathname.endsWith("/pages");
    const page = isOnBench ? (new URLSearchParams(search).get("page") ?? homeOf(state.draft.documents)) : undefined;
    // Who looks at one of several pages that it was done on stays there.
    const places = [...placesOf(state, stepped.transaction)];
    const place = places.find((each) => each.page === page) ?? places[0];
    // Where all pages are seen, what is done to a whole page is seen as well.
    const isSeen = pathname.endsWith("/pages/all") && place?.part === undefined;
    const isElsewhere = place !== undefined && place.page !== page && !isSeen;
    const title = place && entryOf(state.draft.documents, place.page)?.title;
    state.say(`${word}: ${stepped.label}${isElsewhere && title ? `, on “${title}”` : ""}`);
    if (!isElsewhere) return;
    void navigate(`/s/${state.shop.id}/pages?page=${place.page}`);
    if (place.part) state.select(place.part);
  }, [stepped, store, navigate]);
}
