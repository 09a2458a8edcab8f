import { describe, expect, it } from "vitest";
import { dropped } from "./gather";

const file = (name: string) => new File(["x"], name);
const fileEntry = (name: string) => ({
  isDirectory: false,
  file: (done: (file: File) => void) => done(file(name)),
});
const folder = (...entries: object[]) => ({
  isDirectory: true,
  createReader: () => {
    // Browsers give what is in a folder in portions, and an empty one at the end.
    const portions = [entries.slice(0, 1), entries.slice(1), []];
    return { readEntries: (done: (entries: object[]) => void) => done(portions.shift() ?? []) };
  },
});
const drop = (entries: (object | null)[], files: File[] = []) =>
  dropped({ items: entries.map((entry) => ({ webkitGetAsEntry: () => entry })), files } as unknown as DataTransfer);
const namesOf = async (given: Promise<readonly File[]>) => (await given).map(({ name }) => name);

describe("what is dropped", () => {
  it("is the files, when there is no folder among them", async () => {
    expect(await namesOf(drop([fileEntry("a.png")], [file("a.png"), file("b.txt")]))).toEqual(["a.png", "b.txt"]);
  });
  it("is all pictures in a folder and in those within it, and none of what lies beside them", async () => {
    const within = folder(fileEntry("c.webp"), fileEntry(".d.png"));
    const dropping = drop([
      folder(fileEntry("a.png"), fileEntry("notes.txt"), within, fileEntry("b.jpg")),
      fileEntry("e.png"),
      null,
    ]);
    expect(await namesOf(dropping)).toEqual(["a.png", "c.webp", "b.jpg", "e.png"]);
  });
});
