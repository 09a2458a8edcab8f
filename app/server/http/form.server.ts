/** The most fields that a form may have: more than any of ours, and few enough to be read at once. */
const MOST_FIELDS = 200;
/** The shortest boundary between parts that is believed; browsers make longer ones. */
const SHORTEST_BOUNDARY = 8;

const refuse = (status: number, text: string): Response => new Response(text, { status });

/** How often `part` stands in `bytes`; stops counting beyond `most`. */
function occurrences(bytes: Buffer, part: string, most: number): number {
  let count = 0;
  for (let at = bytes.indexOf(part); at >= 0 && count <= most; at = bytes.indexOf(part, at + part.length)) count++;
  return count;
}

/**
 * The form that a request carries. How many fields it has is counted before it is taken apart: a hundred thousand of them would
 * hold up everybody else.
 * @throws a response that says no: 400 for what is no form, 413 for one of too many fields
 */
export const formOf = async (request: Request): Promise<FormData> =>
  formIn(Buffer.from(await request.arrayBuffer()), request.headers.get("Content-Type") ?? "");

/** The form in these bytes, sent as this type. @throws like `formOf` */
export async function formIn(bytes: Buffer, type: string): Promise<FormData> {
  const isMultipart = type.toLowerCase().startsWith("multipart/form-data");
  const boundary = isMultipart ? (type.split(/boundary=/i)[1] ?? "").split(";")[0]!.replaceAll('"', "").trim() : "&";
  if (isMultipart && boundary.length < SHORTEST_BOUNDARY) throw refuse(400, "This form can’t be read.");
  if (occurrences(bytes, isMultipart ? `--${boundary}` : "&", MOST_FIELDS + 1) > MOST_FIELDS + 1)
    throw refuse(413, "This form has too many fields.");
  try {
    return await new Response(new Uint8Array(bytes), { headers: { "Content-Type": type } }).formData();
  } catch {
    throw refuse(400, "This form can’t be read.");
  }
}
