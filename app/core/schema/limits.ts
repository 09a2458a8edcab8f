// The limits of what can be stored. The studio and the server read the same constants, so that nothing can be made that
// could not be saved.

/** The most characters that any single value may hold. */
export const MOST_CHARACTERS = 20_000;
/** The most entries of a list inside a value; a layout names its goods in one. */
export const MOST_ENTRIES = 5_000;
/** The most operations of one transaction. */
export const MOST_OPERATIONS = 500;
/** The longest label of a transaction, in characters. */
export const LONGEST_LABEL = 200;
/** The longest title of a page, in characters. */
export const LONGEST_TITLE = 200;
/** The most parts that stand in one slot: the sections of a page among them. */
export const MOST_IN_SLOT = 200;
/** As many of them are still read, so that a page that came to hold too many opens and can be repaired. */
export const MOST_READ_IN_SLOT = 20_000;
/** The most pages and layouts of one shop. */
export const MOST_DOCUMENTS = 2_000;
/** The most transactions that are sent at once. */
export const MOST_SENT = 100;
/** The most characters that are sent at once; a single transaction that is longer can't be kept. */
export const MOST_SENT_CHARACTERS = 4_000_000;
