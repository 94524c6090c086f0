import type { z } from "zod";
import type { Issue } from "../result";

/** Zod's findings in the house's shape; `base` goes in front of each path. */
export function issuesOf(error: z.ZodError, base = ""): Issue[] {
  return error.issues.map((issue) => ({
    code: issue.code,
    path: [base, ...issue.path.map(String)].filter((part) => part !== "").join("."),
    message: issue.message,
  }));
}
