import { Button } from "antd";
import { useSyncExternalStore } from "react";
import { download, exportBackup } from "~app/data/files";
import { session } from "~app/data/session";
import { todayHere } from "./days";
import { useEdits } from "./useEdits";

/** When something could not be kept: what, why, and the ways out. Stays as long as anything is refused. */
export function FailureBar() {
  const save = useSyncExternalStore(session.onSave, session.saveState, session.saveState);
  const refused = useSyncExternalStore(session.onSave, session.refused, session.refused);
  const { retry, undo } = useEdits();
  if (save.kind !== "failed" && refused.length === 0) return null;
  const labels = [...new Set(refused.map(({ edits }) => edits[0]?.label ?? ""))];
  return (
    <div className="failure-bar" role="alert">
      <p>
        {save.message}
        {labels.length > 0 &&
          ` Not kept yet: ${labels.slice(0, 3).join(", ")}${labels.length > 3 ? " …" : ""}.`}
      </p>
      {refused.length > 0 && (
        <>
          <Button onClick={() => void retry()}>Try again</Button>
          <Button onClick={() => void undo()}>Take it back</Button>
        </>
      )}
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
