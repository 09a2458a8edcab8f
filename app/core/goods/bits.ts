/** A set of small whole numbers (places in a list), one bit each. */
export type Bits = Uint32Array;

export const bitsFor = (size: number): Bits => new Uint32Array((size + 31) >>> 5);
export const put = (bits: Bits, at: number): void => {
  bits[at >>> 5]! |= 1 << (at & 31);
};
export const has = (bits: Bits, at: number): boolean => ((bits[at >>> 5]! >>> (at & 31)) & 1) === 1;

export function full(size: number): Bits {
  const bits = bitsFor(size).fill(0xffffffff);
  if (size & 31) bits[bits.length - 1] = 2 ** (size & 31) - 1;
  return bits;
}

/** What is in every one of the sets; `all` where there is none. */
export function both(all: Bits, ...sets: readonly (Bits | undefined)[]): Bits {
  const result = all.slice();
  for (const set of sets) if (set) for (let i = 0; i < result.length; i++) result[i]! &= set[i]!;
  return result;
}

export function either(size: number, sets: readonly Bits[]): Bits {
  const result = bitsFor(size);
  for (const set of sets) for (let i = 0; i < result.length; i++) result[i]! |= set[i]!;
  return result;
}

/** Ones in a 32-bit word (Warren, Hacker's Delight, figure 5-2). */
function ones(word: number): number {
  let x = word - ((word >>> 1) & 0x55555555);
  x = (x & 0x33333333) + ((x >>> 2) & 0x33333333);
  return (((x + (x >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}

export function countOf(bits: Bits): number {
  let total = 0;
  for (const word of bits) total += ones(word);
  return total;
}

/** How many are in both sets, without making a third. */
export function countBoth(a: Bits, b: Bits): number {
  let total = 0;
  for (let i = 0; i < a.length; i++) total += ones(a[i]! & b[i]!);
  return total;
}
