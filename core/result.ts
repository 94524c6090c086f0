/** One thing wrong with a piece of input: a machine's code, where it stands, and words for a person. */
export interface Issue {
  code: string;
  /** Dotted path to the offending value, "" for the whole input. */
  path: string;
  message: string;
  value?: unknown;
}

/** Either a value or the reasons why there is none; never NaN and never a bare null. */
export type Result<T> = { ok: true; value: T } | { ok: false; issues: Issue[] };

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (
  code: string,
  path: string,
  message: string,
  value?: unknown,
): { ok: false; issues: Issue[] } => ({
  ok: false,
  issues: [{ code, path, message, ...(value === undefined ? {} : { value }) }],
});
