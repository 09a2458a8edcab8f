import { LRUCache } from "lru-cache";
import type { ServedPage } from "./pages";

/** The most that all kept pages take, and those of one shop, in bytes. */
const MOST_BYTES = 256 * 1024 * 1024;
const MOST_OF_A_SHOP = 32 * 1024 * 1024;
/** Beside its bytes a page may come to hold them packed, in two ways. */
const WITH_PACKED = 1.6;

const sizeOf = (page: ServedPage) => Math.ceil(page.bytes("identity").length * WITH_PACKED);

type Pages = LRUCache<string, ServedPage>;

/**
 * Pages that were drawn, by shop. A shop can only push out pages of its own, until all shops together hold too much: then the
 * one that was not asked for the longest goes.
 */
export class PageCache {
  readonly #shops: LRUCache<string, Pages>;
  readonly #ofAShop: number;

  constructor(most = MOST_BYTES, ofAShop = MOST_OF_A_SHOP) {
    this.#ofAShop = ofAShop;
    this.#shops = new LRUCache({ maxSize: most, sizeCalculation: (pages) => Math.max(1, pages.calculatedSize) });
  }

  get(shop: string, key: string): ServedPage | undefined {
    return this.#shops.get(shop)?.get(key);
  }

  set(shop: string, key: string, page: ServedPage): void {
    const pages = this.#shops.get(shop) ?? new LRUCache({ maxSize: this.#ofAShop, sizeCalculation: sizeOf });
    pages.set(key, page);
    // Put anew, so that its size is that of now.
    this.#shops.set(shop, pages);
  }

  /** What is held, in bytes. */
  get bytes(): number {
    return this.#shops.calculatedSize;
  }
}
