import { pictureType } from "~/workers/images-in";
import type { ArchiveAnswer } from "~/workers/archive.worker";

const isArchive = ({ name, type }: File) => /\.zip$/i.test(name) || type === "application/zip";

/** As large as an archive is opened in a browser. */
const MOST_ARCHIVE = 400 * 1024 * 1024;

export type Gathered = { readonly files: readonly File[]; readonly problems: readonly string[] };

function unpack(file: File): Promise<ArchiveAnswer> {
  const worker = new Worker(new URL("../../workers/archive.worker.ts", import.meta.url), { type: "module" });
  return new Promise<ArchiveAnswer>((done) => {
    worker.addEventListener("message", ({ data }: MessageEvent<ArchiveAnswer>) => done(data), { once: true });
    worker.addEventListener("error", () => done(null), { once: true });
    worker.postMessage(file);
  }).finally(() => worker.terminate());
}

/** The files that were given, with the pictures of archives in place of these. */
export async function unpacked(given: readonly File[]): Promise<Gathered> {
  const files: File[] = [];
  const problems: string[] = [];
  for (const file of given) {
    if (!isArchive(file)) {
      files.push(file);
      continue;
    }
    const found = file.size > MOST_ARCHIVE ? "large" : await unpack(file);
    if (found === "large")
      problems.push(`“${file.name}” is larger than 400 MB. Split it, or take the pictures out of it.`);
    else if (found === null) problems.push(`“${file.name}” can’t be opened as a ZIP.`);
    else {
      if (found.files.length === 0) problems.push(`There are no pictures in “${file.name}”.`);
      if (found.left.length)
        problems.push(
          `Left out of “${file.name}”, as too large or too many: ${found.left.slice(0, 3).join(", ")}${found.left.length > 3 ? ` and ${found.left.length - 3} more` : ""}.`,
        );
      for (const { name, bytes } of found.files) files.push(new File([bytes], name, { type: pictureType(name) ?? "" }));
    }
  }
  return { files, problems };
}

/** All that is in a folder, and in those within it. */
async function inFolder(folder: FileSystemDirectoryEntry): Promise<File[]> {
  const reader = folder.createReader();
  const files: File[] = [];
  // It is read in portions, until there are no more.
  for (;;) {
    const entries = await new Promise<FileSystemEntry[]>((done, fail) => reader.readEntries(done, fail));
    if (entries.length === 0) return files;
    for (const entry of entries) files.push(...(await fromEntry(entry, true)));
  }
}

async function fromEntry(entry: FileSystemEntry, isWithin: boolean): Promise<File[]> {
  if (entry.isDirectory) return inFolder(entry as FileSystemDirectoryEntry);
  const file = await new Promise<File>((done, fail) => (entry as FileSystemFileEntry).file(done, fail));
  // What lies beside pictures in a folder was not meant.
  return isWithin && !pictureType(file.name) ? [] : [file];
}

/** The files that were dropped, with those of folders. To be called while the event is handled: later there is nothing to be read. */
export async function dropped(transfer: DataTransfer): Promise<readonly File[]> {
  const entries = [...transfer.items].map((item) => item.webkitGetAsEntry());
  const plain = [...transfer.files];
  if (!entries.some((entry) => entry?.isDirectory)) return plain;
  const files: File[] = [];
  for (const entry of entries) if (entry) files.push(...(await fromEntry(entry, false)));
  return files;
}
