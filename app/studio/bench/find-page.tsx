import { Autocomplete, Box, createFilterOptions, Dialog, DialogContent, TextField, Typography } from "@mui/material";

export type PageToFind = {
  readonly id: string;
  readonly name: string;
  /** Where shoppers reach it; null for a layout. */
  readonly address: string | null;
  readonly isHidden: boolean;
};

type FindPageProps = {
  readonly choices: readonly PageToFind[];
  readonly onClose: () => void;
  readonly onChoose: (id: string) => void;
};

/** As many are shown at once; whoever types on has fewer. */
const MOST_SHOWN = 40;
const filter = createFilterOptions<PageToFind>({
  limit: MOST_SHOWN,
  trim: true,
  stringify: ({ name, address }) => `${name} ${address ?? ""}`,
});

/** One of very many pages and layouts, found by its name or its address. */
export const FindPage = ({ choices, onClose, onChoose }: FindPageProps) => (
  <Dialog
    open
    onClose={onClose}
    fullWidth
    maxWidth="xs"
    aria-label="Find a page"
    sx={{ "& .MuiDialog-container": { alignItems: "start" } }}
  >
    <DialogContent sx={{ minHeight: 120 }}>
      <Autocomplete
        options={choices}
        filterOptions={filter}
        autoHighlight
        openOnFocus
        forcePopupIcon={false}
        getOptionKey={({ id }) => id}
        getOptionLabel={({ name }) => name}
        noOptionsText="No page or layout is called so."
        onChange={(_event, chosen) => chosen && onChoose(chosen.id)}
        renderInput={(given) => <TextField {...given} autoFocus label="Name or address of a page" />}
        renderOption={({ key, ...given }, { name, address, isHidden }) => (
          <Box component="li" key={key} {...given} sx={{ display: "block !important" }}>
            <Typography noWrap>{name}</Typography>
            <Typography variant="caption" color="text.secondary" noWrap component="p">
              {address ?? "Layout, for many pages at once"}
              {isHidden ? ", not in the shop yet" : ""}
            </Typography>
          </Box>
        )}
      />
    </DialogContent>
  </Dialog>
);
