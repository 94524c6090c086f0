/** What went wrong with the browser's store, and how to mend it, in words. */
export function storageTrouble(error: unknown): string {
  const name = nameOf(error);
  if (name.includes("Quota"))
    return "The browser’s storage is full. What you typed or photographed is still in this page. Export a backup now, then free some space.";
  if (name.includes("NewerStore"))
    return "The records in this browser were written by a newer Plumbline. Load this page anew; nothing was changed.";
  if (
    ["OpenFailed", "InvalidState", "Security", "MissingAPI", "DatabaseClosed", "Unknown"].some((part) =>
      name.includes(part),
    )
  )
    return "The browser does not let Plumbline store anything (private window, or storage switched off). What you typed is still on the screen. Export a backup now.";
  return `This could not be kept: ${detailOf(error)} What you typed is still on the screen. Export a backup now.`;
}

/** Longer messages are not for users. */
const MOST_LETTERS = 300;

/** An error's own words as a sentence; of a value that a record refuses the first reason and its place. */
export function detailOf(error: unknown): string {
  const said = error instanceof Error ? error.message : String(error);
  const issues = (error as { issues?: readonly { message: string; path: readonly PropertyKey[] }[] } | null)
    ?.issues;
  const [first] = issues ?? [];
  if (first) return `${first.path.map(String).join(", ")}: ${first.message}`;
  if (said === "" || said.length > MOST_LETTERS || /^\s*[[{]/.test(said)) return "the reason is not known.";
  return /[.!?]$/.test(said) ? said : `${said}.`;
}

function nameOf(error: unknown): string {
  if (!(error instanceof Error)) return "";
  const inner = (error as { inner?: unknown }).inner;
  return `${error.name} ${inner === undefined ? "" : nameOf(inner)}`;
}
