import { download, exportBackup } from "~app/data/files";
import { todayHere } from "./days";

/** The way out with the data, where something is in trouble: a plain button, that whatever broke must not break. */
export function ExportBackup({ label }: { label: string }) {
  return (
    <button
      type="button"
      className="plain-button"
      onClick={async () =>
        download(`plumbline-${todayHere()}.json`, "application/json", await exportBackup())
      }
    >
      {label}
    </button>
  );
}
