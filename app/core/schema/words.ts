import type { z } from "zod";

/**
 * What is said of a value that a schema refuses and has no words of its own for. A validator's own sentences are for whoever writes
 * programs; these are for whoever typed something.
 */
export function plainWords(issue: Pick<z.core.$ZodRawIssue, "code" | "input">): string {
  switch (issue.code) {
    case "invalid_type":
      return issue.input === undefined || issue.input === null ? "This is missing." : "This can’t be read.";
    case "too_big":
      return "This is too much.";
    case "too_small":
      return "This is too little.";
    case "invalid_value":
      return "Choose one of those that there are.";
    case "invalid_format":
      return "This is not written as it should be.";
    case "unrecognized_keys":
      return "There is something in it that nobody knows.";
    default:
      return "This can’t be used.";
  }
}
