import { crc32, deflateRawSync, deflateSync } from "node:zlib";

// Files that mean harm, made when they are asked for; none is stored. Each is what somebody could upload: a picture, a goods file
// or an archive of pictures.

export type HostileFile = {
  readonly name: string;
  readonly as: "picture" | "table" | "archive";
  readonly make: () => Buffer;
  /** It is read until the reader's time or memory is over. */
  readonly slow?: true;
};

const text = (content: string) => Buffer.from(content, "utf8");
const u16 = (n: number) => {
  const b = Buffer.alloc(2);
  b.writeUInt16LE(n);
  return b;
};
const u32 = (n: number) => {
  const b = Buffer.alloc(4);
  b.writeUInt32LE(n >>> 0);
  return b;
};
const u32be = (n: number) => {
  const b = Buffer.alloc(4);
  b.writeUInt32BE(n >>> 0);
  return b;
};

// --- drawings ---

const svg = (inner: string, head = "") =>
  text(`${head}<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 9 9">${inner}</svg>`);
const SHAPE = '<path d="M0 0h9v9z"/>';

/** Each level uses the one before it ten times. */
const useTower = (levels: number, width = 10) => {
  let defs = `<g id="l0">${SHAPE}</g>`;
  for (let level = 1; level <= levels; level++)
    defs += `<g id="l${level}">${`<use href="#l${level - 1}"/>`.repeat(width)}</g>`;
  return svg(`<defs>${defs}</defs><use href="#l${levels}"/>`);
};
const referenceTower = (levels: number, element: "mask" | "clipPath", attribute: "mask" | "clip-path") => {
  let defs = `<${element} id="l0">${SHAPE}</${element}>`;
  for (let level = 1; level <= levels; level++)
    defs += `<${element} id="l${level}">${`<rect width="9" height="9" ${attribute}="url(#l${level - 1})"/>`.repeat(8)}</${element}>`;
  return svg(`<defs>${defs}</defs><rect width="9" height="9" ${attribute}="url(#l${levels})"/>`);
};
const laughs = (levels: number) => {
  let entities = '<!ENTITY a0 "ha">';
  for (let i = 1; i <= levels; i++) entities += `<!ENTITY a${i} "${`&a${i - 1};`.repeat(10)}">`;
  return `<!DOCTYPE svg [${entities}]>`;
};

const DRAWINGS: readonly (readonly [string, () => Buffer])[] = [
  ...[50, 60, 500].map((n) => [`${n} empty comments and no drawing`, () => text("<!---->".repeat(n))] as const),
  ["421 bytes of empty comments", () => text(`${"<!---->".repeat(60)} `)],
  ["comments and blanks in turn", () => text(`${"<!-- --> \n".repeat(400)}<sv`)],
  ["a comment that never ends", () => text(`<!--${"-".repeat(4000)}`)],
  ["a doctype that never ends", () => text(`<!DOCTYPE svg [${"[".repeat(4000)}`)],
  ["doctypes in a row", () => text("<!DOCTYPE [".repeat(400))],
  ["blanks and no drawing", () => text(" ".repeat(400_000))],
  ["declarations in a row", () => text("<?xml ?>".repeat(500))],
  ...[4, 6, 9, 20].map((n) => [`uses ${n} levels deep, ten times each`, () => useTower(n)] as const),
  ["uses 60 levels deep, twice each", () => useTower(60, 2)],
  ["a use of itself", () => svg('<g id="a"><use href="#a"/></g><path d="M0 0h9"/>')],
  ["uses of each other", () => svg('<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g><path d="M0 0h9"/>')],
  ...[4, 8, 16].flatMap((n) => [
    [`masks ${n} levels deep`, () => referenceTower(n, "mask", "mask")] as const,
    [`clip paths ${n} levels deep`, () => referenceTower(n, "clipPath", "clip-path")] as const,
  ]),
  ...[1_000, 60_000].map(
    (n) => [`groups ${n} deep`, () => svg(`${"<g>".repeat(n)}${SHAPE}${"</g>".repeat(n)}`)] as const,
  ),
  ["groups that never end", () => text(`<svg>${"<g>".repeat(120_000)}`)],
  ["elements that never end", () => text(`<svg ${"<g ".repeat(120_000)}`)],
  ["ends without beginnings", () => svg("</g>".repeat(100_000) + SHAPE)],
  ["a quote that never ends", () => text(`<svg a="${"x".repeat(400_000)}`)],
  [
    "60,000 attributes",
    () => svg(`<path d="M0 0" ${Array.from({ length: 60_000 }, (_, i) => `a${i}=""`).join(" ")}/>`),
  ],
  ["60,000 shapes", () => svg('<path d="M0 0h9"/>'.repeat(28_000))],
  ["a path of 490 KB", () => svg(`<path d="M0 0${"l1 1".repeat(122_000)}"/>`)],
  ["a path of more than that", () => svg(`<path d="M0 0${"l1 1".repeat(200_000)}"/>`)],
  ...[3, 9, 30].map(
    (n) => [`entities ${n} levels deep`, () => svg(`<text>&a${n};</text>${SHAPE}`, laughs(n))] as const,
  ),
  [
    "an entity that is a file",
    () => svg(`<text>&x;</text>${SHAPE}`, "<!DOCTYPE svg [<!ENTITY x SYSTEM 'file:///etc/passwd'>]>"),
  ],
  [
    "a size of a billion",
    () => text(`<svg xmlns="http://www.w3.org/2000/svg" width="999999999" height="999999999">${SHAPE}</svg>`),
  ],
  [
    "a size of nothing",
    () => text(`<svg xmlns="http://www.w3.org/2000/svg" width="0" height="0" viewBox="0 0 0 0">${SHAPE}</svg>`),
  ],
  ["dashes without end", () => svg('<path d="M0 0H99999999" stroke="red" stroke-dasharray="0.00001"/>')],
  ["a script", () => svg(`<script>alert(1)</script>${SHAPE}`)],
  ["a drawing in UTF-16", () => Buffer.from(`\ufeff<svg>${SHAPE}</svg>`, "utf16le")],
];

// --- pictures ---

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
function png(width: number, height: number, { depth = 8, colour = 2, interlace = 0, extra = Buffer.alloc(0) } = {}) {
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
const claims = (width: number, height: number, depth = 8, colour = 2) =>
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

const PICTURES: readonly (readonly [string, () => Buffer])[] = [
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

// --- archives ---

type Packed = {
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
const zeros = (megabytes: number) => Buffer.alloc(megabytes * 1024 * 1024);

/** Many entries that all lead to the same packed bytes: what is unpacked is many times what is there. */
const overlapping = (count: number, megabytes: number) => {
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

const ARCHIVES: readonly (readonly [string, () => Buffer])[] = [
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
  [
    "2,500 drawings",
    () =>
      zip(
        Array.from({ length: 2_500 }, (_, i) => ({ name: `${i}.svg`, data: text(`<svg><path d="M0 ${i}h9"/></svg>`) })),
      ),
  ],
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

// --- goods files ---

const CONTENT_TYPES =
  '<?xml version="1.0"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/><Override PartName="/xl/worksheets/sheet1.xml" ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>';
const RELATIONS =
  '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="xl/workbook.xml"/></Relationships>';
const WORKBOOK =
  '<?xml version="1.0"?><workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="Goods" sheetId="1" r:id="rId1"/></sheets></workbook>';
const WORKBOOK_RELATIONS =
  '<?xml version="1.0"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="rId1" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/worksheet" Target="worksheets/sheet1.xml"/></Relationships>';
const sheet = (rows: string, head = "") =>
  `${head}<worksheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main">${rows}</worksheet>`;
const cell = (at: string, value = "x") => `<c r="${at}" t="inlineStr"><is><t>${value}</t></is></c>`;
const rowsOf = (...cells: string[]) => `<sheetData><row r="1">${cells.join("")}</row></sheetData>`;

/** An XLSX workbook of one sheet (ECMA-376, the least that readers want; from memory). */
const workbook = (sheetXml: string | Buffer, more: readonly Packed[] = [], without: readonly string[] = []) =>
  zip(
    [
      { name: "[Content_Types].xml", data: text(CONTENT_TYPES) },
      { name: "_rels/.rels", data: text(RELATIONS) },
      { name: "xl/workbook.xml", data: text(WORKBOOK) },
      { name: "xl/_rels/workbook.xml.rels", data: text(WORKBOOK_RELATIONS) },
      { name: "xl/worksheets/sheet1.xml", data: Buffer.from(sheetXml) },
      ...more,
    ].filter((f) => !without.includes(f.name)),
  );

const TABLES: readonly (readonly [string, () => Buffer])[] = [
  ["a workbook with a cell at ZZZ20000", () => workbook(sheet(rowsOf(cell("A1"), cell("ZZZ20000"))))],
  ["a workbook with a cell at XFD1048576", () => workbook(sheet(rowsOf(cell("A1"), cell("XFD1048576"))))],
  ["a workbook with a cell in row 999,999,999", () => workbook(sheet(rowsOf(cell("A1"), cell("A999999999"))))],
  ["a workbook with a cell written in code", () => workbook(sheet(rowsOf(cell("A1"), cell("&#90;ZZ20000"))))],
  ["a workbook whose size is not true", () => workbook(sheet(`<dimension ref="A1:ZZZ9999999"/>${rowsOf(cell("A1"))}`))],
  ["a workbook of 700,000 rows", () => workbook(sheet(`<sheetData>${"<row/>".repeat(700_000)}</sheetData>`))],
  [
    "a workbook of 2,000,000 cells",
    () => workbook(sheet(`<sheetData>${`<row>${"<c><v>1</v></c>".repeat(400)}</row>`.repeat(5_000)}</sheetData>`)),
  ],
  [
    "a workbook of 200 MB",
    () => workbook(Buffer.concat([text(sheet(rowsOf(cell("A1")))), Buffer.alloc(200_000_000, 32)])),
  ],
  [
    "a workbook that says less than it is",
    () => zip([{ name: "xl/worksheets/sheet1.xml", data: Buffer.alloc(100_000_000, 32), says: { size: 10 } }]),
  ],
  ["a workbook of entities", () => workbook(sheet(rowsOf(cell("A1", "&a9;")), laughs(9).replace("svg", "worksheet")))],
  ["a workbook of elements in elements", () => workbook(sheet("<a>".repeat(500_000)))],
  ["a workbook that is no XML", () => workbook("<<<>>>&&&")],
  ["a workbook without a sheet", () => workbook("", [], ["xl/worksheets/sheet1.xml"])],
  ["a workbook without a book", () => workbook(sheet(rowsOf(cell("A1"))), [], ["xl/workbook.xml"])],
  [
    "a workbook whose sheet is elsewhere",
    () => workbook(sheet(rowsOf(cell("A1"))), [], ["xl/_rels/workbook.xml.rels"]),
  ],
  [
    "a workbook with 400,000 shared strings",
    () =>
      workbook(sheet(rowsOf('<c r="A1" t="s"><v>399999</v></c>')), [
        { name: "xl/sharedStrings.xml", data: text(`<sst>${"<si><t>x</t></si>".repeat(400_000)}</sst>`) },
      ]),
  ],
  ["a workbook with a string that is not there", () => workbook(sheet(rowsOf('<c r="A1" t="s"><v>99999999</v></c>')))],
  ["a workbook whose entries share bytes", () => overlapping(400, 14)],
  ["an archive called a workbook", () => zip([{ name: "a.png", data: png(9, 9) }])],
  ["9,000,000 short lines", () => text("a\n".repeat(9_000_000))],
  ["19 MB in one line", () => Buffer.alloc(19_000_000, 97)],
  ["9,000,000 values in one line", () => text(`SKU,Title\n${"a,".repeat(9_000_000)}`)],
  ["110,000 columns", () => text(`${"a,".repeat(110_000)}\n${"1,".repeat(110_000)}\n`)],
  ["a quote that never ends", () => text(`SKU,Title\nA,"${"x\n".repeat(4_000_000)}`)],
  ["lines that end in returns alone", () => text("SKU,Title\r".repeat(30_000))],
  ["semicolons, tabs and commas in turn", () => text("a;b\tc,d\n".repeat(30_000))],
  [
    "headings that every object has",
    () => text("SKU,Title,Price,constructor,__proto__,toString,hasOwnProperty\nA,Kite,1.00,x,y,z,w\n"),
  ],
  [
    "cells that are formulas",
    () => text('SKU,Title,Price\n=1+1,"=HYPERLINK(""x"")",1.00\n+1,-1+cmd|x,1.00\n@a,\t=1,1.00\n'),
  ],
  ["bytes that are no text", () => Buffer.from(Array.from({ length: 200_000 }, (_, i) => 128 + (i % 127)))],
  ["zeros", () => Buffer.alloc(2_000_000)],
  ["text in UTF-16", () => Buffer.from("SKU,Title\nA,Kite\n".repeat(1_000), "utf16le")],
  ["half a letter", () => Buffer.from([0x53, 0x4b, 0x55, 0x2c, 0xf0, 0x9f])],
  ["a variant of itself", () => text("SKU,Title,Price,Variant of,Options\nA,Kite,1.00,A,Size: S\n")],
  [
    "20,000 variants of one",
    () =>
      text(
        `SKU,Title,Price,Variant of,Options\nA,Kite,1.00,,\n${Array.from({ length: 19_000 }, (_, i) => `A${i},,1.00,A,Size: ${i}`).join("\n")}`,
      ),
  ],
  [
    "prices without end",
    () => text(`SKU,Title,Price\nA,Kite,${"9".repeat(400_000)}\nB,Kite,1e999\nC,Kite,-1\nD,Kite,NaN\n`),
  ],
  ["a heading of a million letters", () => text(`SKU,Title,${"x ".repeat(500_000)}\nA,B,C\n`)],
];

const SLOW_TABLES: readonly (readonly [string, () => Buffer])[] = [
  ["a workbook of 75 MB in one cell", () => workbook(sheet(rowsOf(cell("A1", "x".repeat(75_000_000)))))],
  ["19,000,000 quotes", () => Buffer.alloc(19_000_000, 0x22)],
  ["9,000,000 quoted nothings", () => text(`SKU,Title\n${'"",'.repeat(6_000_000)}`)],
];

/** Every hostile file there is, by what it would be uploaded as. */
export const HOSTILE_FILES: readonly HostileFile[] = [
  ...DRAWINGS.map(([name, make]) => ({ name, as: "picture" as const, make })),
  ...PICTURES.map(([name, make]) => ({ name, as: "picture" as const, make })),
  ...ARCHIVES.map(([name, make]) => ({ name, as: "archive" as const, make })),
  ...TABLES.map(([name, make]) => ({ name, as: "table" as const, make })),
  ...SLOW_TABLES.map(([name, make]) => ({ name, as: "table" as const, make, slow: true as const })),
];
