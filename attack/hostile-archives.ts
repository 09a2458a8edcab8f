import { crc32, deflateRawSync } from "node:zlib";
import { text, u16, u32 } from "./bytes";
import { useTower } from "./hostile-drawings";
import { claims, png } from "./hostile-pictures";

// Archives (ZIP) that mean harm: by what they say of themselves, or by what is in them.

export type Packed = {
  readonly name: string;
  readonly data: Buffer;
  readonly method?: number;
  /** What the archive says of it, where that is not true. */
  readonly says?: {
    readonly size?: number;
    readonly packed?: number;
    readonly offset?: number;
    readonly flags?: number;
  };
};

/** A ZIP archive (APPNOTE 6.3.9, from memory) that says of its entries what it is told to say. */
export function zip(
  files: readonly Packed[],
  { count, at, comment = "" }: { count?: number; at?: number; comment?: string } = {},
) {
  const parts: Buffer[] = [];
  const directory: Buffer[] = [];
  let offset = 0;
  for (const { name, data, method = 8, says = {} } of files) {
    const packed = method === 8 ? deflateRawSync(data, { level: 9 }) : data;
    const bytes = Buffer.from(name, "utf8");
    const common = Buffer.concat([
      u16(20),
      u16(says.flags ?? 0),
      u16(method),
      u32(0),
      u32(crc32(data)),
      u32(says.packed ?? packed.length),
      u32(says.size ?? data.length),
      u16(bytes.length),
      u16(0),
    ]);
    const local = Buffer.concat([Buffer.from("PK\x03\x04", "latin1"), common, bytes, packed]);
    directory.push(
      Buffer.concat([
        Buffer.from("PK\x01\x02", "latin1"),
        u16(20),
        common,
        Buffer.alloc(10),
        u32(says.offset ?? offset),
        bytes,
      ]),
    );
    parts.push(local);
    offset += local.length;
  }
  const central = Buffer.concat(directory);
  return Buffer.concat([
    ...parts,
    central,
    Buffer.from("PK\x05\x06", "latin1"),
    u16(0),
    u16(0),
    u16(count ?? files.length),
    u16(count ?? files.length),
    u32(central.length),
    u32(at ?? offset),
    u16(comment.length),
    Buffer.from(comment, "latin1"),
  ]);
}
export const zeros = (megabytes: number) => Buffer.alloc(megabytes * 1024 * 1024);

/** Many entries that all lead to the same packed bytes: what is unpacked is many times what is there. */
export const overlapping = (count: number, megabytes: number) => {
  const packed = deflateRawSync(zeros(megabytes), { level: 9 });
  return zip([
    { name: "a0.png", data: zeros(megabytes) },
    ...Array.from({ length: count }, (_, i) => ({
      name: `a${i + 1}.png`,
      data: Buffer.alloc(0),
      method: 0,
      says: { offset: 0, size: megabytes * 1024 * 1024, packed: packed.length },
    })),
  ]);
};

const drawings = (count: number): Buffer =>
  zip(Array.from({ length: count }, (_, i) => ({ name: `${i}.svg`, data: text(`<svg><path d="M0 ${i}h9"/></svg>`) })));

export const ARCHIVES: readonly (readonly [string, () => Buffer])[] = [
  ["nothing but a head", () => Buffer.from("PK\x03\x04 and no more")],
  ["an empty archive", () => zip([])],
  ["400 entries that share 14 MB of bytes", () => overlapping(400, 14)],
  ["4,000 entries that share 1 MB of bytes", () => overlapping(4_000, 1)],
  ["an entry of 1 GB", () => zip([{ name: "a.png", data: zeros(1), says: { size: 1024 ** 3 } }])],
  ["an entry that says less than it is", () => zip([{ name: "a.png", data: zeros(200), says: { size: 1000 } }])],
  [
    "an entry that says more than it is",
    () => zip([{ name: "a.png", data: Buffer.alloc(10), says: { size: 14_000_000 } }]),
  ],
  [
    "entries of 3 GB in all",
    () =>
      zip(
        Array.from({ length: 220 }, (_, i) => ({
          name: `${i}.png`,
          data: Buffer.alloc(10),
          says: { size: 14_000_000 },
        })),
      ),
  ],
  ["an entry beyond the end", () => zip([{ name: "a.png", data: Buffer.alloc(10), says: { offset: 0x7fffffff } }])],
  ["an entry inside of the directory", () => zip([{ name: "a.png", data: Buffer.alloc(10), says: { offset: 60 } }])],
  ["an entry with a password", () => zip([{ name: "a.png", data: png(9, 9), says: { flags: 1 } }])],
  ["an entry packed in a way that nobody knows", () => zip([{ name: "a.png", data: png(9, 9), method: 99 }])],
  ["a directory that says 65,535 entries", () => zip([{ name: "a.png", data: png(9, 9) }], { count: 65_534 })],
  ["a directory beyond the end", () => zip([{ name: "a.png", data: png(9, 9) }], { at: 0x7fffff00 })],
  [
    "30,000 entries",
    () => zip(Array.from({ length: 30_000 }, (_, i) => ({ name: `${i}.txt`, data: Buffer.alloc(1), method: 0 }))),
  ],
  ["200 drawings", () => drawings(200)],
  [
    "names that lead out",
    () =>
      zip(
        ["../up.png", "/etc/x.png", "..\\..\\up.png", "a\0b.png", "C:\\x.png"].map((name) => ({
          name,
          data: png(9, 9),
        })),
      ),
  ],
  ["a name of 60,000 letters", () => zip([{ name: `${"a".repeat(60_000)}.png`, data: png(9, 9) }])],
  [
    "two entries of one name",
    () =>
      zip([
        { name: "a.png", data: png(9, 9) },
        { name: "a.png", data: png(8, 8) },
      ]),
  ],
  [
    "an archive in its own comment",
    () => zip([{ name: "a.png", data: png(9, 9) }], { comment: "PK\x05\x06".repeat(5_000) }),
  ],
  [
    "an archive that is cut off",
    () => {
      const b = zip([{ name: "a.png", data: png(900, 900) }]);
      return b.subarray(0, b.length - 40);
    },
  ],
  [
    "pictures that claim 65,535 × 65,535",
    () => zip(Array.from({ length: 30 }, (_, i) => ({ name: `${i}.png`, data: claims(65_535, 65_535 - i) }))),
  ],
  [
    "drawings of empty comments",
    () => zip(Array.from({ length: 20 }, (_, i) => ({ name: `${i}.svg`, data: text("<!---->".repeat(60 + i)) }))),
  ],
  [
    "drawings that use themselves a billion times",
    () => zip(Array.from({ length: 10 }, (_, i) => ({ name: `${i}.svg`, data: useTower(9 + i) }))),
  ],
  ["an archive in an archive", () => zip([{ name: "a.png", data: zip([{ name: "b.png", data: zeros(10) }]) }])],
];

export const SLOW_ARCHIVES: typeof ARCHIVES = [["2,500 drawings", () => drawings(2_500)]];
