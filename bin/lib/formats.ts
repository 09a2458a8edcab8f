import { z } from "zod";
import { KINDS } from "../../app/kinds";
import { lookFileSchema } from "../../app/render/look-file";
import { pieceFile } from "../../app/studio/add/piece-file";

const jsonSchema = (schema: z.ZodType, title: string, description: string): object => {
  const { $schema, ...rest } = z.toJSONSchema(schema, { io: "input", unrepresentable: "any" });
  return { $schema, title, description, ...rest };
};

/** What every kind of section and widget says of itself (`props` of a part), by its kind. */
function kindsSchema(): object {
  const kinds = [...KINDS.values()].map(({ definition }) => definition);
  const all = z.object(Object.fromEntries(kinds.map(({ kind, props }) => [kind, props])));
  // What many kinds have in common (links, running text) is written once.
  const schema = z.toJSONSchema(all, { io: "input", unrepresentable: "any", reused: "ref" }) as {
    $schema: string;
    $defs: object;
    properties: Readonly<Record<string, object>>;
  };
  const properties = kinds.map(({ kind, name, about, arrangements }) => {
    const ways = arrangements.map((each) => `${each.id} (${each.name})`).join(", ");
    const description = `${about}${ways ? ` Arrangements: ${ways}.` : ""}`;
    return [kind, { title: name, description, ...schema.properties[kind] }] as const;
  });
  return {
    $schema: schema.$schema,
    title: "Kinds of sections and widgets",
    description: "What “props” of a part holds: the property that is called as its “kind” says.",
    type: "object",
    properties: Object.fromEntries(properties),
    $defs: schema.$defs,
  };
}

/** The schemas of the files that the studio saves and reads, by their names. */
export const FORMATS: Readonly<Record<string, () => object>> = {
  look: () => jsonSchema(lookFileSchema, "A look", "look.json in the archive of a look."),
  piece: () => jsonSchema(pieceFile, "A piece", "A section, or all sections of a page, kept under a name."),
  kinds: kindsSchema,
};
