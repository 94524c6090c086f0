import { z } from "zod";

const KINDS: Readonly<Record<string, string>> = {
  string: "a text",
  number: "a number",
  int: "a whole number",
  boolean: "yes or no",
  array: "a list",
  tuple: "a list",
  object: "a record",
  record: "a record",
  date: "a day",
};
const FORMATS: Readonly<Record<string, string>> = {
  datetime: "a moment such as 2026-11-23T08:30:00Z",
  base64: "base64",
};
/** Choices that are named; of more the first. */
const MOST_CHOICES = 8;

/** What a value has to be, in a sentence for its user, where the schema has none of its own. */
export function plainIssue(issue: z.core.$ZodRawIssue): string {
  switch (issue.code) {
    case "invalid_type":
      return issue.input === undefined
        ? "This is missing."
        : `This must be ${KINDS[issue.expected] ?? "something else"}.`;
    case "too_small":
      if (issue.origin === "string") return "This is missing.";
      if (issue.origin === "array") return `At least ${String(issue.minimum)} of them.`;
      return issue.inclusive === false
        ? `More than ${String(issue.minimum)}.`
        : `At least ${String(issue.minimum)}.`;
    case "too_big":
      if (issue.origin === "string") return `At most ${String(issue.maximum)} letters.`;
      if (issue.origin === "array") return `At most ${String(issue.maximum)} of them.`;
      return issue.inclusive === false
        ? `Less than ${String(issue.maximum)}.`
        : `At most ${String(issue.maximum)}.`;
    case "invalid_format":
      return FORMATS[issue.format]
        ? `This must be ${FORMATS[issue.format]}.`
        : "This is not written as it should be.";
    case "invalid_value": {
      const { values } = issue;
      const named = values.slice(0, MOST_CHOICES).map(String).join(", ");
      return values.length === 1
        ? `This must be ${named}.`
        : `This must be one of: ${named}${values.length > MOST_CHOICES ? " …" : ""}.`;
    }
    case "unrecognized_keys":
      return `Not known here: ${issue.keys.slice(0, MOST_CHOICES).join(", ")}.`;
    default:
      return "This is not right.";
  }
}

// The validator's own sentences are for programmers: no schema of the house speaks them.
z.config({ customError: plainIssue });
