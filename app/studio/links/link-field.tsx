import { Autocomplete, Box, TextField, Typography } from "@mui/material";
import { memo, useMemo, useState } from "react";
import { siteOf } from "~/core/addresses";
import { overIn, standingIn, type Draft } from "~/core/document";
import { shortened } from "~/core/live";
import { linkSchema, NO_LINK, OWN_PAGE_NAMES, OWN_PAGES, type Link } from "~/core/schema";
import { chassisOf, nameOf } from "~/kinds";
import { firstWords } from "~/kinds/outline";
import { useStudio, useStudioStore } from "../keeping";
import { FileList } from "../pictures";
import { NarrowList, type ListLink } from "./narrow";
import { readOwnAddress } from "./own-address";

type LinkTarget = { readonly label: string; readonly group: string; readonly link: Link };

/** Not a target itself: behind it, documents are chosen and uploaded. */
const DOCUMENTS: LinkTarget = { label: "A document (PDF) …", group: "Files", link: NO_LINK };

/** What a typed text may mean as a link. */
export function readLink(text: string): Link | string {
  const typed = text.trim();
  if (typed === "") return NO_LINK;
  const link: Link = /^[^\s@]+@[^\s@]+$/.test(typed)
    ? { to: "mail", address: typed }
    : /^\+?[\d\s()-]{5,}$/.test(typed)
      ? { to: "phone", number: typed }
      : { to: "web", address: /^[a-z]+:\/\//i.test(typed) ? typed : `https://${typed}` };
  const parsed = linkSchema.safeParse(link);
  return parsed.success
    ? parsed.data
    : "Choose a product or collection, or write a web address, a mail address or a phone number.";
}

/** Sections that have a name as a place, on every page. */
const placesOf = (documents: Draft["documents"]): readonly LinkTarget[] =>
  Object.values(documents)
    .filter((d) => d.kind === "page")
    .flatMap((page) =>
      standingIn(documents, page, "main").flatMap(({ node: section }): readonly LinkTarget[] => {
        const { anchor } = chassisOf(section);
        return anchor
          ? [
              {
                label: `${page.title} › ${nameOf(section)} (#${anchor})`,
                group: "Places on a page",
                link: { to: "place", page: page.id, name: anchor },
              },
            ]
          : [];
      }),
    );

/** The pages of the shop, each with what it stands beneath: two may have the same name. */
const pagesOf = (documents: Draft["documents"]): readonly LinkTarget[] => {
  const { pages, byId } = siteOf(documents);
  return pages.map(({ document, parent, address, props }) => {
    const above = parent === null ? undefined : byId.get(parent);
    const label = `${above ? `${above.document.title} › ` : ""}${document.title}${props.hidden ? " (not in the shop yet)" : ""}`;
    return { label, group: "Pages", link: address === "/" ? { to: "home" } : { to: "page", id: document.id } };
  });
};

/** What lies over pages, by what it says first. */
const oversOf = (documents: Draft["documents"]): readonly LinkTarget[] =>
  overIn(documents).map((part) => ({
    label: `${nameOf(part)}: ${shortened(firstWords(part)) || "without words"}`,
    group: "What comes over the page",
    link: { to: "over", id: part.id },
  }));

const namesByPages = new WeakMap<object, string>();

/** Everything of the pages that a link's finder shows, as one text that is the same while none of it changes. */
function namesOf(documents: Draft["documents"]): string {
  const known = namesByPages.get(documents);
  if (known !== undefined) return known;
  const text = [
    ...pagesOf(documents).map(({ label, link }) => `${JSON.stringify(link)} ${label}`),
    ...[...placesOf(documents), ...oversOf(documents)].map(({ label, link }) => `${JSON.stringify(link)} ${label}`),
  ].join("\n");
  namesByPages.set(documents, text);
  return text;
}

const sameLink = (a: Link, b: Link) => JSON.stringify(a) === JSON.stringify(b);

function labelOf(link: Link, targets: readonly LinkTarget[]): string {
  if (link.to === "web" || link.to === "mail") return link.address;
  if (link.to === "phone") return link.number;
  if (link.to === "nowhere") return "";
  if (link.to === "document") return link.name;
  return targets.find((t) => sameLink(t.link, link))?.label ?? "";
}

/** Chooses what a link leads to: a thing of the shop by its name, or an address outside. */
export const LinkField = memo(function LinkField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: Link;
  onChange: (link: Link) => void;
}) {
  const goods = useStudio((s) => s.goods);
  const pictures = useStudio((s) => s.pictures);
  const store = useStudioStore();
  // Of the pages, only what they and their places are called: a letter typed somewhere must not draw every link anew.
  const named = useStudio((s) => namesOf(s.draft.documents));
  const [problem, setProblem] = useState<string | null>(null);
  const [isChoosing, setChoosing] = useState(false);
  // What is typed is put back to what the link is when a document was not chosen after all.
  const [round, setRound] = useState(0);
  const targets = useMemo<readonly LinkTarget[]>(() => {
    const { documents } = store.getState().draft;
    return [
      ...pagesOf(documents),
      ...OWN_PAGES.map((page): LinkTarget => ({
        label: OWN_PAGE_NAMES[page],
        group: "Pages that every shop has",
        link: { to: "own", page },
      })),
      ...placesOf(documents),
      ...oversOf(documents),
      ...(goods.products.length
        ? [{ label: "Everything", group: "Collections", link: { to: "list", id: null, query: "" } } as const]
        : []),
      ...goods.collections.map((c): LinkTarget => ({
        label: c.title,
        group: "Collections",
        link: { to: "collection", id: c.id },
      })),
      ...goods.products.map((p): LinkTarget => ({
        label: p.title,
        group: "Products",
        link: { to: "product", id: p.id },
      })),
      DOCUMENTS,
      ...pictures.map((p): LinkTarget => ({ label: p.name, group: "Files", link: { to: "file", id: p.id } })),
    ];
    // `named` says when what is read from the draft has changed.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [goods, pictures, store, named]);
  // A list that is narrowed is called as the whole of it; what narrows it stands beneath.
  const whole: Link =
    value.to !== "list" ? value : value.id === null ? { ...value, query: "" } : { to: "collection", id: value.id };
  const current = targets.find((t) => t !== DOCUMENTS && sameLink(t.link, whole));
  const isDead = ["product", "collection", "list", "page", "place", "over", "file"].includes(value.to) && !current;
  const read = (text: string) =>
    readOwnAddress(text.trim(), store.getState().shop.address, {
      documents: store.getState().draft.documents,
      goods,
    }) ?? readLink(text);
  const take = (next: Link | string) => {
    if (typeof next === "string") return setProblem(next);
    setProblem(null);
    if (!sameLink(next, value)) onChange(next);
  };
  const field = (
    <Autocomplete<LinkTarget, false, false, true>
      key={`${JSON.stringify(value)} ${round}`}
      freeSolo
      size="small"
      options={targets}
      groupBy={(t) => t.group}
      getOptionLabel={(t) => (typeof t === "string" ? t : t.label)}
      getOptionKey={(t) => (typeof t === "string" ? t : JSON.stringify(t.link))}
      defaultValue={current ?? labelOf(value, targets)}
      onChange={(_event, next) => {
        if (next === DOCUMENTS) return setChoosing(true);
        take(next === null ? NO_LINK : typeof next === "string" ? read(next) : next.link);
      }}
      onBlur={(event) => {
        const typed = (event.target as HTMLInputElement).value ?? "";
        if (typed === DOCUMENTS.label) return;
        if (typed !== (current?.label ?? labelOf(value, targets)))
          take(targets.find((t) => t.label.toLowerCase() === typed.toLowerCase())?.link ?? read(typed));
      }}
      renderOption={(props, option) => {
        const { key, ...rest } = props as typeof props & { key: string };
        return (
          <Box component="li" key={key} {...rest}>
            <Typography variant="body2" noWrap>
              {option.label}
            </Typography>
          </Box>
        );
      }}
      renderInput={(params) => (
        <TextField
          {...params}
          label={label}
          error={problem !== null || isDead}
          helperText={
            problem ??
            (isDead
              ? "What this led to is gone. Choose something else."
              : value.to === "nowhere"
                ? "Leads nowhere yet: left out of the shop."
                : undefined)
          }
        />
      )}
    />
  );
  return (
    <Box>
      {field}
      {(value.to === "collection" || value.to === "list") && !isDead ? (
        <NarrowList link={value as ListLink} onChange={take} />
      ) : null}
      {isChoosing ? (
        <FileList
          kinds={["document"]}
          chosen={value.to === "document" ? value.file : null}
          onClose={() => {
            setChoosing(false);
            setRound(round + 1);
          }}
          onChoose={({ file, name }) => {
            setChoosing(false);
            take({ to: "document", file, name });
          }}
        />
      ) : null}
    </Box>
  );
});
