import { crc32, deflateSync } from "node:zlib";
import { text, u16, u32, u32be } from "./bytes";

// Pictures that mean harm: by their size, by what is packed in them, or by being none.

const chunk = (type: string, data: Buffer) => {
  const body = Buffer.concat([Buffer.from(type, "latin1"), data]);
  return Buffer.concat([u32be(data.length), body, u32be(crc32(body))]);
};
const PNG_HEAD = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
const header = (width: number, height: number, depth = 8, colour = 2, interlace = 0) =>
  chunk("IHDR", Buffer.concat([u32be(width), u32be(height), Buffer.from([depth, colour, 0, 0, interlace])]));
const END = chunk("IEND", Buffer.alloc(0));
const BYTES_OF: Readonly<Record<number, number>> = { 0: 1, 2: 3, 3: 1, 4: 2, 6: 4 };

/** A PNG of one colour; large ones are small files. */
export function png(
  width: number,
  height: number,
  { depth = 8, colour = 2, interlace = 0, extra = Buffer.alloc(0) } = {},
) {
  const row = 1 + Math.ceil((width * BYTES_OF[colour]! * depth) / 8);
  const data = deflateSync(Buffer.alloc(row * height), { level: 9 });
  const palette = colour === 3 ? chunk("PLTE", Buffer.alloc(768)) : Buffer.alloc(0);
  return Buffer.concat([
    PNG_HEAD,
    header(width, height, depth, colour, interlace),
    palette,
    extra,
    chunk("IDAT", data),
    END,
  ]);
}
export const claims = (width: number, height: number, depth = 8, colour = 2) =>
  Buffer.concat([PNG_HEAD, header(width, height, depth, colour), chunk("IDAT", deflateSync(Buffer.alloc(1000))), END]);
const packedBomb = (megabytes: number) => deflateSync(Buffer.alloc(megabytes * 1024 * 1024), { level: 9 });
const named = (name: string, ...rest: Buffer[]) => Buffer.concat([Buffer.from(`${name}\0`, "latin1"), ...rest]);

const jpegSegment = (marker: number, body: Buffer) => {
  const head = Buffer.alloc(4);
  head.writeUInt16BE(0xff00 | marker);
  head.writeUInt16BE(body.length + 2, 2);
  return Buffer.concat([head, body]);
};
function jpeg(width: number, height: number, { scans = 1, marker = 0xc0, before = Buffer.alloc(0) } = {}) {
  const frame = Buffer.from([8, height >> 8, height & 255, width >> 8, width & 255, 1, 1, 0x11, 0]);
  const quantization = Buffer.concat([Buffer.from([0]), Buffer.alloc(64, 1)]);
  const huffman = (kind: number) => Buffer.concat([Buffer.from([kind, 1]), Buffer.alloc(15), Buffer.from([0])]);
  const scan = Buffer.concat([jpegSegment(0xda, Buffer.from([1, 1, 0, 0, 63, 0])), Buffer.alloc(64)]);
  return Buffer.concat([
    Buffer.from([0xff, 0xd8]),
    before,
    jpegSegment(0xdb, quantization),
    jpegSegment(marker, frame),
    jpegSegment(0xc4, huffman(0)),
    jpegSegment(0xc4, huffman(0x10)),
    ...Array.from({ length: scans }, () => scan),
    Buffer.from([0xff, 0xd9]),
  ]);
}
const riff = (chunks: Buffer, size = chunks.length + 4) =>
  Buffer.concat([Buffer.from("RIFF"), u32(size), Buffer.from("WEBP"), chunks]);
const webpChunk = (name: string, body: Buffer, size = body.length) =>
  Buffer.concat([Buffer.from(name), u32(size), body, Buffer.alloc(body.length % 2)]);
const extended = (width: number, height: number, flags = 0) =>
  webpChunk(
    "VP8X",
    Buffer.concat([Buffer.from([flags, 0, 0, 0]), u32(width - 1).subarray(0, 3), u32(height - 1).subarray(0, 3)]),
  );

export const PICTURES: readonly (readonly [string, () => Buffer])[] = [
  ["nothing", () => Buffer.alloc(0)],
  ["one byte", () => Buffer.from([0x89])],
  ["a head and no picture", () => PNG_HEAD],
  ...(
    [
      [65_535, 65_535],
      [100_000, 100_000],
      [2_147_483_647, 2_147_483_647],
      [1, 2_147_483_647],
      [2_147_483_647, 1],
      [0, 0],
      [7_072, 7_072],
    ] as const
  ).map(([w, h]) => [`a PNG that claims ${w} × ${h}`, () => claims(w, h)] as const),
  ["a PNG that claims 16 bits and 7,000 × 7,000", () => claims(7_000, 7_000, 16, 6)],
  ["a PNG of 49 megapixels in 1 bit", () => png(7_000, 7_000, { depth: 1, colour: 0 })],
  ["a PNG of 49 megapixels, interlaced", () => png(7_000, 7_000, { depth: 8, colour: 0, interlace: 1 })],
  ["a PNG of 49 megapixels in four channels of 16 bits", () => png(7_000, 7_000, { depth: 16, colour: 6 })],
  ["a PNG of 1 × 49,000,000", () => png(1, 49_000_000, { depth: 8, colour: 0 })],
  ["a PNG of 49,000,000 × 1", () => png(49_000_000, 1, { depth: 8, colour: 0 })],
  [
    "a PNG without its palette",
    () => Buffer.concat([PNG_HEAD, header(9, 9, 8, 3), chunk("IDAT", deflateSync(Buffer.alloc(90))), END]),
  ],
  [
    "a PNG with a packed profile of 300 MB",
    () => png(9, 9, { extra: chunk("iCCP", named("p", Buffer.from([0]), packedBomb(300))) }),
  ],
  [
    "a PNG with a packed text of 300 MB",
    () => png(9, 9, { extra: chunk("zTXt", named("t", Buffer.from([0]), packedBomb(300))) }),
  ],
  [
    "a PNG with 50,000 texts",
    () =>
      png(9, 9, {
        extra: Buffer.concat(Array.from({ length: 50_000 }, (_, i) => chunk("tEXt", named(`k${i}`, Buffer.from("v"))))),
      }),
  ],
  ["a PNG whose picture is another PNG", () => Buffer.concat([PNG_HEAD, header(9, 9), chunk("IDAT", png(9, 9)), END])],
  [
    "a PNG with a wrong check sum",
    () => Buffer.concat([png(9, 9).subarray(0, 29), Buffer.alloc(4), png(9, 9).subarray(33)]),
  ],
  ...[40, 60, 90].map(
    (n) =>
      [
        `a PNG cut off at ${n} %`,
        () => {
          const b = png(900, 900);
          return b.subarray(0, Math.floor((b.length * n) / 100));
        },
      ] as const,
  ),
  [
    "an animated PNG that claims a billion frames",
    () => png(9, 9, { extra: chunk("acTL", Buffer.concat([u32be(1_000_000_000), u32be(0)])) }),
  ],
  ...(
    [
      [65_500, 65_500],
      [7_000, 7_000],
      [1, 65_500],
    ] as const
  ).map(([w, h]) => [`a JPEG that claims ${w} × ${h}`, () => jpeg(w, h)] as const),
  ["a JPEG of 4,000 progressive scans", () => jpeg(6_000, 6_000, { scans: 4_000, marker: 0xc2 })],
  [
    "a JPEG with 200 blocks of camera notes",
    () =>
      jpeg(9, 9, {
        before: Buffer.concat(
          Array.from({ length: 200 }, () =>
            jpegSegment(0xe1, Buffer.concat([Buffer.from("Exif\0\0II*\0"), Buffer.alloc(60_000, 8)])),
          ),
        ),
      }),
  ],
  ["a JPEG of markers alone", () => Buffer.concat([Buffer.from([0xff, 0xd8]), Buffer.alloc(1_000_000, 0xff)])],
  ["a JPEG head and noise", () => Buffer.concat([jpeg(900, 900).subarray(0, 200), Buffer.alloc(200_000, 0x5a)])],
  [
    "a WebP that claims 16,384 × 16,384",
    () =>
      riff(Buffer.concat([extended(16_384, 16_384), webpChunk("VP8L", Buffer.from([0x2f, 0xff, 0xff, 0xff, 0x0f]))])),
  ],
  ["a WebP that is longer than it is", () => riff(webpChunk("VP8 ", Buffer.alloc(10), 0xffffff00), 0xfffffff0)],
  [
    "an animated WebP of 20,000 frames",
    () =>
      riff(
        Buffer.concat([
          extended(4_000, 4_000, 2),
          webpChunk("ANIM", Buffer.alloc(6)),
          ...Array.from({ length: 20_000 }, () => webpChunk("ANMF", Buffer.alloc(24))),
        ]),
      ),
  ],
  ["a GIF", () => Buffer.concat([Buffer.from("GIF89a"), u16(60_000), u16(60_000), Buffer.alloc(100)])],
  [
    "a TIFF that leads to itself",
    () => Buffer.concat([Buffer.from("II*\0"), u32(8), u16(1), Buffer.alloc(12), u32(8)]),
  ],
  ["a PDF", () => text("%PDF-1.7\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>")],
  [
    "a BMP of 30,000 × 30,000",
    () =>
      Buffer.concat([
        Buffer.from("BM"),
        u32(100),
        u32(0),
        u32(54),
        u32(40),
        u32(30_000),
        u32(30_000),
        u16(1),
        u16(24),
        Buffer.alloc(24),
      ]),
  ],
  [
    "an AVIF of boxes in boxes",
    () =>
      Buffer.concat([
        u32be(24),
        Buffer.from("ftypavif"),
        Buffer.alloc(12),
        ...Array.from({ length: 2_000 }, () => Buffer.concat([u32be(8), Buffer.from("meta")])),
      ]),
  ],
  ["a web page called a picture", () => text("<!doctype html><script>alert(1)</script>")],
  ["a program that begins like a PNG", () => Buffer.concat([PNG_HEAD, Buffer.from("\x7fELF"), Buffer.alloc(2000, 1)])],
  ["a PNG of no channels", () => claims(9, 9, 8, 7)],
  ["a program", () => Buffer.concat([Buffer.from("\x7fELF"), Buffer.alloc(2000, 1)])],
];
