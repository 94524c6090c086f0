/** What went wrong with the browser's store, and how to mend it, in words. */
export function storageTrouble(error: unknown): string {
  const name = nameOf(error);
  if (name.includes("Quota"))
    return "The browser’s storage is full. What you typed is still on the screen. Export a backup now, then free some space.";
  if (name.includes("NewerStore"))
    return "The records in this browser were written by a newer Plumbline. Load this page anew; nothing was changed.";
  if (
    ["OpenFailed", "InvalidState", "Security", "MissingAPI", "DatabaseClosed", "Unknown"].some((part) =>
      name.includes(part),
    )
  )
    return "The browser does not let Plumbline store anything (private window, or storage switched off). What you typed is still on the screen. Export a backup now.";
  const detail = error instanceof Error ? error.message : String(error);
  return `This could not be kept: ${detail}. What you typed is still on the screen. Export a backup now.`;
}

function nameOf(error: unknown): string {
  if (!(error instanceof Error)) return "";
  const inner = (error as { inner?: unknown }).inner;
  return `${error.name} ${inner === undefined ? "" : nameOf(inner)}`;
}
