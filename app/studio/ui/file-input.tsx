import type { Ref } from "react";

type FileInputProps = {
  ref: Ref<HTMLInputElement>;
  /** What is to be chosen, in words. */
  label: string;
  accept: string;
  multiple?: boolean;
  onFiles: (files: readonly [File, ...File[]]) => void;
};

/** A file input behind a button of ours: what is to open it calls `click()` on the ref. The same file can be chosen twice. */
export function FileInput({ ref, label, accept, multiple = false, onFiles }: FileInputProps) {
  return (
    <input
      ref={ref}
      type="file"
      hidden
      aria-label={label}
      accept={accept}
      multiple={multiple}
      onChange={(event) => {
        const [first, ...others] = [...(event.target.files ?? [])];
        event.target.value = "";
        if (first) onFiles([first, ...others]);
      }}
    />
  );
}
