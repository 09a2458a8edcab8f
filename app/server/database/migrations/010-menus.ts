import { QueryTypes, type QueryInterface } from "sequelize";

export const name = "010-menus";

type Item = { label?: string; link?: unknown };
type Node = {
  id: string;
  kind: string;
  version?: number;
  props: Record<string, unknown>;
  slots?: Record<string, Node[]>;
};
type Stored = { kind?: string; root?: Node };

/** What this step wrote down is what the kinds understood then; later steps of theirs lift it further. */
const item = (id: string, { label = "", link }: Item): Node & Record<string, unknown> => ({
  id,
  kind: "menu-item",
  props: { label, link: link ?? { to: "nowhere" }, shows: "words", picture: null },
  style: {},
  conditions: [],
  shown: true,
  slots: {},
});

const menu = (id: string, title: string, items: readonly Item[]) => ({
  schemaVersion: 2,
  id,
  kind: "menu",
  title,
  root: {
    id: `empty-${id}`,
    kind: "root",
    props: {},
    style: {},
    conditions: [],
    shown: true,
    slots: { items: items.map((each, i) => item(`${id.slice(0, 28)}-${i + 1}`, each)) },
  },
});

/** Takes what headers and footers led to out of them, into menus. Gives the menus; undefined where there was nothing to take. */
export function takeMenusOut(frame: Stored): Record<string, object> | undefined {
  const menus = new Map<string, object>();
  for (const part of Object.values(frame.root?.slots ?? {}).flat()) {
    if (part.kind === "header" && Array.isArray(part.props.menu)) {
      const id = menus.has("main-menu") ? `menu-${part.id}` : "main-menu";
      menus.set(id, menu(id, id === "main-menu" ? "Main menu" : "Menu of another header", part.props.menu as Item[]));
      part.props = { ...part.props, menu: id };
      part.version = 2;
    }
    if (part.kind === "footer" && Array.isArray(part.props.links)) {
      const id = menus.has("footer-menu") ? `menu-${part.id}` : "footer-menu";
      const { links, ...props } = part.props;
      menus.set(id, menu(id, id === "footer-menu" ? "Footer menu" : "Menu of another footer", links as Item[]));
      part.props = { ...props, menus: [{ heading: "", menu: id }] };
      part.version = 2;
    }
  }
  return menus.size ? Object.fromEntries(menus) : undefined;
}

const parsed = (body: string): unknown => {
  try {
    return JSON.parse(body) as unknown;
  } catch {
    // What can't be read stays as it is.
    return undefined;
  }
};

/**
 * Menus are documents of their own, in drafts and in what is published. An address that a page had is kept, so that whoever has it is
 * led on. Each step can be taken again: a frame whose menus are out has none to take.
 */
export async function up(q: QueryInterface): Promise<void> {
  const { sequelize } = q;
  await sequelize.query(
    `CREATE TABLE IF NOT EXISTS formerAddresses (
       shopId VARCHAR(40) NOT NULL,
       address VARCHAR(500) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NOT NULL,
       page VARCHAR(40) NOT NULL,
       createdAt DATETIME NOT NULL,
       PRIMARY KEY (shopId, address),
       FOREIGN KEY (shopId) REFERENCES shops (id) ON DELETE CASCADE
     )`,
  );
  const frames = await sequelize.query<{ shopId: string; body: string }>(
    "SELECT shopId, body FROM draftParts WHERE part = 'frame'",
    { type: QueryTypes.SELECT },
  );
  for (const { shopId, body } of frames) {
    const frame = parsed(body) as Stored | undefined;
    const menus = frame && takeMenusOut(frame);
    if (!menus) continue;
    for (const [part, document] of Object.entries(menus))
      await sequelize.query("INSERT IGNORE INTO draftParts (shopId, part, body) VALUES (?, ?, ?)", {
        replacements: [shopId, part, JSON.stringify(document)],
      });
    await sequelize.query("UPDATE draftParts SET body = ? WHERE shopId = ? AND part = 'frame'", {
      replacements: [JSON.stringify(frame), shopId],
    });
  }
  const ids = await sequelize.query<{ id: string }>("SELECT id FROM publications", { type: QueryTypes.SELECT });
  for (const { id } of ids) {
    const [row] = await sequelize.query<{ body: string }>("SELECT body FROM publications WHERE id = ?", {
      replacements: [id],
      type: QueryTypes.SELECT,
    });
    const stored = row && (parsed(row.body) as { documents?: Record<string, Stored> } | undefined);
    const menus = stored?.documents?.frame && takeMenusOut(stored.documents.frame);
    if (!stored || !menus) continue;
    await sequelize.query("UPDATE publications SET body = ? WHERE id = ?", {
      replacements: [JSON.stringify({ ...stored, documents: { ...stored.documents, ...menus } }), id],
    });
  }
}
