import { Box, Button, TextField, Typography } from "@mui/material";
import { Film, ImagePlus } from "lucide-react";
import { useState } from "react";
import { sourceOf, type Picture } from "~/core/pictures";
import { useStudio } from "../keeping";
import { FileList, PicturePicker, useDescribe } from "../pictures";
import { INK } from "../ui";
import { Group, type FormPart } from "./product-form";
import { Sorting, SortTile } from "./sorting";

const FILM = "film";

/** What is said of a picture to those who don't see it; kept with the picture, wherever it stands. */
function AltText({ picture }: { picture: Picture }) {
  const { describe, isBusy, problem } = useDescribe();
  const [text, setText] = useState(picture.alt);
  const keep = () => {
    if (text.trim() === picture.alt) return;
    void describe({ ...picture, alt: text });
  };
  return (
    <TextField
      key={picture.id}
      label={`What “${picture.name}” shows, for those who don’t see it`}
      value={text}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      error={problem !== null}
      helperText={
        problem ??
        (isBusy ? "Saving …" : text ? "Saved with the picture, wherever it stands." : "Describe it in a few words.")
      }
      slotProps={{ htmlInput: { maxLength: 300 } }}
    />
  );
}

/** Pictures and a film, in the order in which the shop shows them. */
export function ProductPictures({ product, set }: FormPart) {
  const pictures = useStudio((s) => s.pictures);
  const [choosing, setChoosing] = useState(false);
  const [open, setOpen] = useState<string | null>(null);
  const [isFilms, setFilms] = useState(false);
  const { video } = product;
  const order: string[] = [...product.pictures];
  if (video) order.splice(Math.min(video.after, order.length), 0, FILM);
  const keep = (next: readonly string[]) => {
    const at = next.indexOf(FILM);
    set({
      pictures: next.filter((id) => id !== FILM),
      video: at >= 0 && video ? { ...video, after: at } : null,
    });
  };
  const chosen = pictures.find((p) => p.id === open);
  return (
    <Group
      title="Pictures"
      about="The first one stands on cards. Drag them into order; press one to say what it shows."
    >
      <Sorting order={order} onOrder={keep}>
        <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.25 }}>
          <Box role="list" aria-label="Pictures in order" sx={{ display: "contents" }}>
            {order.map((id, index) => {
              const picture = pictures.find((p) => p.id === id);
              return (
                <SortTile
                  key={id}
                  id={id}
                  index={index}
                  name={id === FILM ? video?.alt || "Film" : picture?.alt || picture?.name || "A picture that is gone"}
                  picture={picture && sourceOf(picture, 320)}
                  blank={id === FILM ? <Film size={30} aria-hidden /> : <Typography variant="caption">gone</Typography>}
                  isOpen={open === id}
                  onOpen={() => setOpen(open === id ? null : id)}
                  onTake={() => keep(order.filter((each) => each !== id))}
                >
                  {id === product.pictures[0] ? (
                    <Typography
                      variant="caption"
                      sx={{
                        position: "absolute",
                        left: 5,
                        bottom: 5,
                        px: 0.75,
                        bgcolor: INK.ink,
                        color: INK.paper,
                        borderRadius: 0.5,
                      }}
                    >
                      first
                    </Typography>
                  ) : null}
                </SortTile>
              );
            })}
          </Box>
          <Button
            variant="outlined"
            onClick={() => setChoosing(true)}
            sx={{ width: 104, height: 120, flexDirection: "column", gap: 0.5, borderStyle: "dashed" }}
          >
            <ImagePlus size={22} aria-hidden />
            Add
          </Button>
          {video ? null : (
            <Button
              variant="outlined"
              onClick={() => setFilms(true)}
              sx={{ width: 104, height: 120, flexDirection: "column", gap: 0.5, borderStyle: "dashed" }}
            >
              <Film size={22} aria-hidden />
              Film
            </Button>
          )}
        </Box>
      </Sorting>
      {isFilms ? (
        <FileList
          kinds={["film"]}
          onClose={() => setFilms(false)}
          onChoose={({ file }) => {
            setFilms(false);
            set({ video: { file, after: Math.min(1, product.pictures.length) } });
          }}
        />
      ) : null}
      {open === FILM && video ? (
        <TextField
          label="What the film shows, for those who don’t see it"
          value={video.alt ?? ""}
          onChange={(e) => set({ video: { ...video, alt: e.target.value } })}
          helperText={video.alt ? undefined : "Describe it in a few words."}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
      ) : null}
      {chosen ? <AltText key={chosen.id} picture={chosen} /> : null}
      <PicturePicker
        open={choosing}
        onClose={() => setChoosing(false)}
        own={[...product.pictures, ...product.variants.flatMap((v) => v.picture ?? [])]}
        onSeveral={(ids) => {
          keep([...order.filter((each) => !ids.includes(each)), ...ids]);
          setChoosing(false);
        }}
        onChoose={(id) => {
          keep([...order.filter((each) => each !== id), id]);
          setChoosing(false);
        }}
      />
    </Group>
  );
}
