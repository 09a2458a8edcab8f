// The stand-in for card payments takes test numbers only. They begin with a 9, which ISO/IEC 7812-1 leaves to national bodies, so that none of
// them is somebody's card.

/** What a payment comes to. `asked`: the bank wants to know whether it is really them. `late`: no answer came in time. */
export const CARD_RESULTS = ["paid", "declined", "asked", "late"] as const;
export type CardResult = (typeof CARD_RESULTS)[number];

export const TEST_CARDS: Readonly<Record<CardResult, string>> = {
  paid: "9000100000000009",
  declined: "9000200000000007",
  asked: "9000300000000005",
  late: "9000400000000003",
};

/** Whether the last digit of a number is the check digit of the others (Luhn's formula; ISO/IEC 7812-1, annex B). */
export function isLuhn(digits: string): boolean {
  if (!/^\d{2,}$/.test(digits)) return false;
  let sum = 0;
  for (let i = 0; i < digits.length; i++) {
    const digit = Number(digits[digits.length - 1 - i]);
    const doubled = i % 2 === 1 ? digit * 2 : digit;
    sum += doubled > 9 ? doubled - 9 : doubled;
  }
  return sum % 10 === 0;
}

export type Card = { readonly number: string; readonly expires: string; readonly code: string };

/** What is wrong with a card as it was typed, by field; nothing where it can be tried. `month`: now, “2026-12”. */
export function cardProblems({ number, expires, code }: Card, month: string): ReadonlyMap<keyof Card, string> {
  const problems = new Map<keyof Card, string>();
  const digits = number.replace(/[\s-]/g, "");
  if (digits === "") problems.set("number", "Please write the number of the card.");
  else if (!/^\d{12,19}$/.test(digits) || !isLuhn(digits))
    problems.set("number", "That is not the number of a card. Please check it.");
  else if (!Object.values(TEST_CARDS).includes(digits))
    problems.set("number", "Only test cards are taken here; no real card is charged.");
  const until = /^(0[1-9]|1[0-2])\s*\/\s*(?:20)?(\d\d)$/.exec(expires.trim());
  if (!until) problems.set("expires", "Write month and year, like 08/29.");
  else if (`20${until[2]}-${until[1]}` < month) problems.set("expires", "This card has expired.");
  if (!/^\d{3,4}$/.test(code.trim())) problems.set("code", "Three or four digits, from the back of the card.");
  return problems;
}

/** What the stand-in answers to a test card. */
export function chargeTestCard(number: string): CardResult {
  const digits = number.replace(/\D/g, "");
  return CARD_RESULTS.find((result) => TEST_CARDS[result] === digits) ?? "declined";
}
