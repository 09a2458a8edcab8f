import { withoutEnd } from "../document";
import { CURRENCIES } from "../money";

const FIELDS = {
  sku: ["sku", "article", "article number", "article no", "item number", "item no", "product code", "code"],
  title: ["title", "name", "product", "product name", "product title", "item", "item name"],
  variantOf: ["variant of", "parent", "parent sku", "parent code"],
  options: ["options", "variant"],
  description: ["description", "product description", "long description", "text", "details"],
  price: ["price", "sale price", "unit price", "retail price", "selling price", "gross price", "amount"],
  compareAt: [
    "compare-at price",
    "compare at price",
    "compare at",
    "was",
    "old price",
    "list price",
    "price before",
    "regular price",
    "rrp",
  ],
  cost: ["cost", "cost price", "purchase price", "unit cost"],
  taxClass: ["tax class", "tax rate", "tax", "vat", "vat class"],
  collections: ["collection", "collections", "category", "categories", "group", "department"],
  tags: ["tags", "tag", "labels", "keywords"],
  pictures: ["picture", "pictures", "image", "images", "photo", "photos", "picture file", "image file"],
  stock: ["stock", "quantity", "qty", "in stock", "on hand", "inventory", "stock level", "pieces"],
  oversell: ["oversell", "sell when out", "backorder"],
  isGiftCard: ["gift card", "gift voucher", "voucher"],
  barcode: ["barcode", "ean", "ean-13", "ean13", "ean code", "gtin", "gtin-13"],
  weight: ["weight (g)", "weight in grams", "weight in g", "weight", "grams"],
  availability: ["availability", "state", "status"],
  availableFrom: ["available from", "arrives", "date"],
  featured: ["featured"],
  specification: ["specification", "specifications"],
  related: ["goes with", "related", "related goods"],
  searchTitle: ["search title", "meta title"],
  searchDescription: ["search description", "meta description"],
} as const;
/**
 * What the same columns are called in German, French, Spanish, Italian, Dutch and Portuguese (from memory of files of small shops; no source).
 */
const FIELDS_ELSEWHERE: Partial<Record<keyof typeof FIELDS, readonly string[]>> = {
  sku: [
    "artikelnummer",
    "artikel-nr",
    "artikelnr",
    "art.-nr",
    "référence",
    "ref",
    "référence produit",
    "referencia",
    "código",
    "codice",
    "codice articolo",
    "artikelcode",
  ],
  title: [
    "titel",
    "name des artikels",
    "artikelname",
    "bezeichnung",
    "produkt",
    "produktname",
    "titre",
    "nom",
    "nom du produit",
    "produit",
    "article",
    "désignation",
    "título",
    "nombre",
    "nombre del producto",
    "producto",
    "artículo",
    "titolo",
    "nome",
    "nome prodotto",
    "nome del prodotto",
    "prodotto",
    "articolo",
    "productnaam",
    "naam",
    "omschrijving kort",
    "nome do produto",
    "produto",
    "artigo",
  ],
  variantOf: ["variante von", "variante de", "variante di", "variant van", "übergeordneter artikel"],
  options: ["optionen", "opciones", "opzioni", "opties", "opções", "déclinaison"],
  description: [
    "beschreibung",
    "produktbeschreibung",
    "artikelbeschreibung",
    "descriptif",
    "description du produit",
    "descripción",
    "descrizione",
    "omschrijving",
    "beschrijving",
    "descrição",
  ],
  price: [
    "preis",
    "verkaufspreis",
    "vk",
    "bruttopreis",
    "einzelpreis",
    "prix",
    "prix de vente",
    "prix unitaire",
    "prix ttc",
    "precio",
    "precio de venta",
    "prezzo",
    "prezzo di vendita",
    "prijs",
    "verkoopprijs",
    "preço",
    "preço de venda",
  ],
  compareAt: [
    "uvp",
    "streichpreis",
    "alter preis",
    "ursprünglicher preis",
    "prix barré",
    "ancien prix",
    "precio anterior",
    "precio tachado",
    "prezzo pieno",
    "prezzo precedente",
    "van-prijs",
    "oude prijs",
    "adviesprijs",
    "preço anterior",
  ],
  cost: [
    "einkaufspreis",
    "ek",
    "kosten",
    "prix d'achat",
    "coût",
    "coste",
    "precio de compra",
    "costo",
    "prezzo di acquisto",
    "inkoopprijs",
    "custo",
    "preço de custo",
  ],
  taxClass: ["steuerklasse", "mwst", "mehrwertsteuer", "steuersatz", "tva", "taux de tva", "iva", "btw", "btw-tarief"],
  collections: [
    "kategorie",
    "kategorien",
    "kollektion",
    "warengruppe",
    "catégorie",
    "catégories",
    "rayon",
    "categoría",
    "categorías",
    "colección",
    "categoria",
    "categorie",
    "collezione",
    "collectie",
    "categorias",
    "coleção",
  ],
  tags: [
    "schlagwörter",
    "schlagworte",
    "stichwörter",
    "étiquettes",
    "mots-clés",
    "etiquetas",
    "palabras clave",
    "etichette",
    "parole chiave",
    "trefwoorden",
    "palavras-chave",
  ],
  pictures: [
    "bild",
    "bilder",
    "bilddatei",
    "foto",
    "fotos",
    "image principale",
    "photo",
    "imagen",
    "imágenes",
    "immagine",
    "immagini",
    "afbeelding",
    "afbeeldingen",
    "imagem",
    "imagens",
  ],
  stock: [
    "bestand",
    "lagerbestand",
    "lager",
    "menge",
    "anzahl",
    "stück",
    "stock disponible",
    "quantité",
    "en stock",
    "existencias",
    "cantidad",
    "giacenza",
    "quantità",
    "disponibilità",
    "voorraad",
    "aantal",
    "estoque",
    "quantidade",
    "existências",
  ],
  barcode: ["strichcode", "code-barres", "código de barras", "codice a barre", "streepjescode"],
  weight: ["gewicht (g)", "gewicht in g", "gewicht in gramm", "poids (g)", "peso (g)", "gewicht in gram"],
  availability: [
    "verfügbarkeit",
    "zustand",
    "disponibilité",
    "statut",
    "disponibilidad",
    "estado",
    "stato",
    "beschikbaarheid",
    "disponibilidade",
  ],
  availableFrom: [
    "verfügbar ab",
    "lieferbar ab",
    "disponible à partir du",
    "disponible desde",
    "disponibile dal",
    "leverbaar vanaf",
    "disponível a partir de",
  ],
};
export type GoodsField = keyof typeof FIELDS;
export const GOODS_FIELDS = Object.keys(FIELDS) as readonly GoodsField[];

/** What a column of a goods file can mean. */
export const COLUMN_MEANS: Readonly<Record<GoodsField, string>> = {
  sku: "SKU",
  title: "title",
  variantOf: "variant of (SKU)",
  options: "options",
  description: "description",
  price: "price",
  compareAt: "compare-at price",
  cost: "cost",
  taxClass: "tax class",
  collections: "collection",
  tags: "tags",
  pictures: "pictures",
  stock: "stock",
  oversell: "sell when out",
  isGiftCard: "gift card",
  barcode: "barcode",
  weight: "weight in grams",
  availability: "availability",
  availableFrom: "available from",
  featured: "featured",
  specification: "specification",
  related: "goes with (SKUs)",
  searchTitle: "search title",
  searchDescription: "search description",
};

export const COLUMN_MEANINGS = [...GOODS_FIELDS, "attribute", "none"] as const;
export type ColumnMeaning = (typeof COLUMN_MEANINGS)[number];
/** What the seller said that columns mean, by their names; what is not in it is guessed. */
export type ColumnChoice = Readonly<Record<string, ColumnMeaning>>;
export const isMeaning = (word: string | undefined): word is ColumnMeaning =>
  (COLUMN_MEANINGS as readonly (string | undefined)[]).includes(word);

const plainName = (column: string) =>
  column
    .toLowerCase()
    // Accents are often lost on the way.
    .normalize("NFKD")
    .replace(/[\u0300-\u036f]/g, "")
    .replaceAll("’", "'")
    .replace(/[_\s]+/g, " ")
    .trim();

/** What is often written after the name of a column without changing what stands in it: signs, a currency, tax in it or not. */
const ASIDE =
  /\s[([]?(?:in )?([a-z]{3}|[€$£¥])[)\]]?$|\s[([]?(?:incl|inc|including|excl|excluding|with|without)\.?\s[\w.]+[)\]]?$/;
// "Stock min" is no stock in a currency.
const isWord = (code: string | undefined) =>
  code?.length === 3 && !(CURRENCIES as readonly string[]).includes(code.toUpperCase());
const withoutAside = (name: string) =>
  withoutEnd(name, " .,:#*/").replace(ASIDE, (found: string, code: string | undefined) => (isWord(code) ? found : ""));

const NAMES: ReadonlyMap<string, GoodsField> = new Map(
  GOODS_FIELDS.toReversed().flatMap((field) =>
    [...(FIELDS_ELSEWHERE[field] ?? []), ...FIELDS[field]].map((name) => [plainName(name), field] as const),
  ),
);

/** What a column is taken to mean by its name alone. */
export const guessColumn = (column: string): ColumnMeaning => {
  const whole = plainName(column);
  for (let plain = whole, last = ""; plain !== last; last = plain, plain = withoutAside(plain)) {
    const field = NAMES.get(plain);
    // A weight without its unit would be read as grams.
    if (field && (field !== "weight" || plain === whole)) return field;
  }
  return column ? "attribute" : "none";
};
