/**
 * The check digit of a GTIN from the digits before it: weights 3 and 1 in turn from the right, and what is missing to the
 * next ten (GS1 General Specifications, 7.9).
 */
export function checkDigit(digits: string): number {
  const sum = [...digits].reverse().reduce((total, digit, i) => total + Number(digit) * (i % 2 === 0 ? 3 : 1), 0);
  return (10 - (sum % 10)) % 10;
}

/** Why a text is no EAN-13 (GTIN-13); undefined where it is one, or empty. Spaces and hyphens don't count. */
export function barcodeProblem(text: string): string | undefined {
  const digits = text.replace(/[\s-]/g, "");
  if (digits === "") return undefined;
  if (!/^\d{13}$/.test(digits)) return "A barcode number (EAN-13) has 13 digits.";
  const right = checkDigit(digits.slice(0, 12));
  return Number(digits[12]) === right
    ? undefined
    : `The last digit would be ${right}, not ${digits[12]}. One of the digits may be mistyped.`;
}
