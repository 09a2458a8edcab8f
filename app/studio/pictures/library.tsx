import { Alert, Box, Button, Drawer, Typography, useMediaQuery } from "@mui/material";
import { FileText, Images, LayoutGrid, ListChecks, X } from "lucide-react";
import { useMemo, useState } from "react";
import { isLogo } from "~/core/document";
import type { ColourName, Picture } from "~/core/pictures";
import { removePictures } from "~/core/protocol";
import { useReload, useStudio, useStudioStore } from "../keeping";
import { Blank, FindField, IconAction } from "../ui";
import { FileList } from "./file-list";
import { Describe, RemoveDialog, Several } from "./describe";
import { belongs, coloursIn, NARROWED, picturesNamed, withTag, type Narrowed } from "./find";
import { inPortions } from "./in-portions";
import { Narrow } from "./narrow";
import { PicturePicker } from "./picker";
import { PictureGrid } from "./picture-grid";
import { replaceEverywhere } from "./replace";
import { AlikeDialog, ReworkDialog } from "./rework";
import { Uploader } from "./uploader";
import { usedIn } from "./uses";

/** The shop's pictures. */
export function Library() {
  const store = useStudioStore();
  const reload = useReload();
  const pictures = useStudio((s) => s.pictures);
  const identity = useStudio((s) => s.draft.look.identity);
  const isNarrow = useMediaQuery("(max-width:899.98px)");
  const [chosen, setChosen] = useState<string | null>(null);
  const [sought, setSought] = useState("");
  const [asking, setAsking] = useState<readonly Picture[] | null>(null);
  const [gone, setGone] = useState<readonly Picture[] | null>(null);
  /** Those that are chosen where several are; null where one is. */
  const [taken, setTaken] = useState<readonly string[] | null>(null);
  const [tag, setTag] = useState<string | null>(null);
  const [reworking, setReworking] = useState<Picture | null>(null);
  /** The one that was replaced last, and by which. */
  const [replaced, setReplaced] = useState<readonly [old: Picture, next: Picture] | null>(null);
  const [isAliking, setAliking] = useState(false);
  const hasGoods = useStudio((s) => s.stored.products.some(({ pictures: own }) => own.length > 0));
  const say = useStudio((s) => s.say);
  const [replacing, setReplacing] = useState<Picture | null>(null);
  const [isStock, setStock] = useState(false);
  const [isFiles, setFiles] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [narrowed, setNarrowed] = useState<Narrowed>("all");
  const [colour, setColour] = useState<ColourName | null>(null);
  const draft = useStudio((s) => s.draft);
  const stored = useStudio((s) => s.stored);
  const used = useMemo(() => usedIn(draft, stored, pictures), [draft, stored, pictures]);
  const worded = picturesNamed(pictures, sought);
  const named = withTag(worded, pictures, tag);
  const inShape = named.filter((p) => belongs(p, narrowed, used));
  const found = colour ? inShape.filter((p) => coloursIn(p).has(colour)) : inShape;
  const choices = (Object.keys(NARROWED) as Narrowed[]).map(
    (each) => [each, named.filter((p) => belongs(p, each, used)).length] as const,
  );
  // On a narrow screen the details lie over the pictures, and only when they are asked for.
  const picture = pictures.find((p) => p.id === chosen) ?? (isNarrow ? undefined : found[0]);
  const change = async (which: readonly Picture[], restore: boolean) => {
    setProblem(null);
    const { client } = store.getState();
    const all = which.map((p) => p.id);
    const why = await inPortions(all, (ids) => client.ask(removePictures, { ids, restore }));
    await reload();
    if (why !== undefined) return setProblem(why);
    setGone(restore ? null : which);
    setTaken((before) => before && []);
    setChosen(restore ? which[0]!.id : null);
  };
  const replace = async (old: Picture, next: Picture, isBack = false) => {
    setProblem(null);
    setReplaced(null);
    // One that stood elsewhere before can't be told from itself afterwards: then the way back is Undo, in Pages and in Goods.
    const canGoBack = !isBack && old.id !== next.id && !used.has(next.id);
    const why = await replaceEverywhere(store, old, next);
    await reload();
    if (why) return setProblem(why);
    if (canGoBack) setReplaced([old, next]);
    else say(isBack ? "The old picture is back." : "The picture is replaced wherever it stood. Undo takes it back.");
    setChosen(next.id);
  };
  const several = useMemo(() => {
    const ids = taken && new Set(taken);
    return ids && pictures.filter((p) => ids.has(p.id));
  }, [taken, pictures]);
  const details = several ? (
    <Several
      chosen={several}
      count={found.length}
      onAll={() => setTaken(found.map((p) => p.id))}
      onRemove={() => setAsking(several)}
      onDone={() => setTaken(null)}
    />
  ) : picture ? (
    <Describe
      picture={picture}
      onReplace={used.has(picture.id) ? () => setReplacing(picture) : null}
      onRemove={() => setAsking([picture])}
      onRework={() => setReworking(picture)}
      onSaved={() => {
        // Whoever goes through those that lack a description comes to the next.
        if (narrowed === "bare") setChosen(found[found.findIndex((p) => p.id === picture.id) + 1]?.id ?? null);
      }}
    />
  ) : null;
  return (
    <Box sx={{ height: "100%", p: { xs: 1.5, md: 3 }, pb: { xs: 0, md: 0 } }}>
      <Box
        sx={{
          maxWidth: 1480,
          height: "100%",
          mx: "auto",
          display: "grid",
          gap: 2,
          gridTemplateRows: "auto auto auto minmax(0,1fr)",
          gridTemplateColumns: "minmax(0,1fr)",
        }}
      >
        <Box sx={{ display: "flex", alignItems: "center", gap: 2, flexWrap: "wrap" }}>
          <Box sx={{ flex: 1, minWidth: 140 }}>
            <Typography variant="h1">Pictures</Typography>
            <Typography color="text.secondary">
              {pictures.length === 1 ? "1 picture" : `${pictures.length} pictures`}
            </Typography>
          </Box>
          {pictures.length ? <FindField label="Find by words" value={sought} onChange={setSought} width={220} /> : null}
          {pictures.length > 1 && !taken ? (
            <Button
              variant="outlined"
              startIcon={<ListChecks size={16} aria-hidden />}
              onClick={() => {
                setTaken([]);
                setChosen(null);
              }}
            >
              Choose several
            </Button>
          ) : null}
          {hasGoods && !(isNarrow && taken) ? (
            <Button
              variant="outlined"
              startIcon={<LayoutGrid size={16} aria-hidden />}
              onClick={() => setAliking(true)}
            >
              Make product pictures alike …
            </Button>
          ) : null}
          {isNarrow && taken ? null : (
            <Button variant="outlined" startIcon={<Images size={16} aria-hidden />} onClick={() => setStock(true)}>
              Stock room
            </Button>
          )}
          {isNarrow && taken ? null : (
            <Button variant="outlined" startIcon={<FileText size={16} aria-hidden />} onClick={() => setFiles(true)}>
              Films and documents
            </Button>
          )}
          {isNarrow && taken ? null : (
            <Uploader several label="Upload pictures" onAdded={(added) => setChosen(isNarrow ? null : added.id)} />
          )}
        </Box>
        <Narrow
          choices={choices}
          value={narrowed}
          onChange={setNarrowed}
          pictures={inShape}
          colour={colour}
          onColour={setColour}
          tag={tag}
          onTag={setTag}
          all={pictures}
        />
        <Box role="status" sx={{ display: "grid", gap: 1 }}>
          {gone ? (
            <Alert
              severity="success"
              onClose={() => setGone(null)}
              action={
                <Button color="inherit" onClick={() => void change(gone, true)}>
                  Undo
                </Button>
              }
            >
              {gone.length === 1
                ? `“${gone[0]!.alt || gone[0]!.name}” is removed.`
                : `${gone.length} pictures are removed.`}
            </Alert>
          ) : null}
          {replaced ? (
            <Alert
              severity="success"
              onClose={() => setReplaced(null)}
              action={
                <Button color="inherit" onClick={() => void replace(replaced[1], replaced[0], true)}>
                  Put the old one back
                </Button>
              }
            >
              The new picture stands wherever “{replaced[0].alt || replaced[0].name}” stood.
            </Alert>
          ) : null}
          {problem ? <Alert severity="error">{problem}</Alert> : null}
        </Box>
        {pictures.length === 0 ? (
          <Box>
            <Blank
              title="No pictures yet"
              text="Upload photos of your goods, and of what is behind them. They are turned upright, and made in the right size for every screen, by themselves. Until you have some, the stock room has scenes that any shop can use."
            />
          </Box>
        ) : (
          <Box
            sx={{
              display: "grid",
              gridTemplateColumns: { xs: "minmax(0,1fr)", md: "minmax(0,1fr) 300px" },
              gridTemplateRows: { xs: "minmax(0,1fr) auto", md: "minmax(0,1fr)" },
              gap: { xs: 1, md: 3 },
              minHeight: 0,
            }}
          >
            {found.length ? (
              <PictureGrid
                label={`Pictures, ${found.length}`}
                pictures={found}
                {...(taken ? { taken } : { chosen: picture?.id ?? null })}
                onChoose={({ id }) =>
                  taken
                    ? setTaken(taken.includes(id) ? taken.filter((each) => each !== id) : [...taken, id])
                    : setChosen(id)
                }
                note={(each) => (isLogo(identity, each.id) ? "logo" : each.alt ? undefined : "not described")}
              />
            ) : (
              <Typography color="text.secondary">
                {sought ? `No picture here is described by “${sought}”.` : "There is none of these."}
              </Typography>
            )}
            {isNarrow && taken ? (
              // Beside the pictures there is no room: what can be done with them stays below them while they are chosen.
              <Box sx={{ pb: 1.5 }}>{details}</Box>
            ) : isNarrow ? (
              <Drawer
                anchor="bottom"
                open={picture !== undefined}
                onClose={() => setChosen(null)}
                slotProps={{ paper: { sx: { maxHeight: "86dvh", p: 2 } } }}
              >
                <Box sx={{ display: "flex", justifyContent: "flex-end" }}>
                  <IconAction label="Close" icon={X} onClick={() => setChosen(null)} />
                </Box>
                {details}
              </Drawer>
            ) : (
              <Box sx={{ overflowY: "auto", pb: 3 }}>{details}</Box>
            )}
          </Box>
        )}
      </Box>
      {isAliking ? (
        <AlikeDialog
          onClose={() => setAliking(false)}
          onMade={(count) => {
            setAliking(false);
            say(
              `New pictures stand in ${count === 1 ? "1 place" : `${count} places`} of your goods. Undo in Goods takes them back.`,
            );
          }}
        />
      ) : null}
      {isFiles ? <FileList kinds={["film", "document"]} onClose={() => setFiles(false)} /> : null}
      <PicturePicker
        open={isStock}
        fromStock
        onClose={() => setStock(false)}
        onSeveral={(ids) => {
          setStock(false);
          setTaken(null);
          setChosen(isNarrow ? null : (ids[0] ?? null));
          say(ids.length === 1 ? "It is in your pictures now." : `${ids.length} pictures are in your pictures now.`);
        }}
      />
      {replacing ? (
        <PicturePicker
          open
          onClose={() => setReplacing(null)}
          onChoose={(id) => {
            setReplacing(null);
            // One that was uploaded just now is known to the store alone.
            const next = store.getState().pictures.find((p) => p.id === id);
            if (next) void replace(replacing, next);
          }}
        />
      ) : null}
      {reworking ? (
        <ReworkDialog
          picture={reworking}
          onClose={() => setReworking(null)}
          onMade={(made, goal) => {
            setReworking(null);
            setChosen(made.id);
            setReplaced(goal === "everywhere" ? [reworking, made] : null);
          }}
        />
      ) : null}
      {asking ? (
        <RemoveDialog
          pictures={asking}
          onClose={() => setAsking(null)}
          onGo={() => {
            setAsking(null);
            void change(asking, false);
          }}
        />
      ) : null}
    </Box>
  );
}
