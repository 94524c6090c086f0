import { Button } from "antd";
import { useSyncExternalStore } from "react";
import { download, exportBackup } from "../data/files";
import { session } from "../data/session";
import { todayHere } from "./days";

/** When something could not be kept: what, why, and the way out. Stays until a save goes well. */
export function FailureBar() {
  const save = useSyncExternalStore(session.onSave, session.saveState, session.saveState);
  if (save.kind !== "failed") return null;
  return (
    <div className="failure-bar" role="alert">
      <p>{save.message}</p>
      <Button
        onClick={async () =>
          download(`plumbline-${todayHere()}.json`, "application/json", await exportBackup())
        }
      >
        Export a backup
      </Button>
    </div>
  );
}
