import { Button } from "antd";
import { useSyncExternalStore } from "react";
import { download, exportBackup } from "~app/data/files";
import { session } from "~app/data/session";
import { todayHere } from "./days";
import { useEdits } from "./useEdits";

const NO_ROOM = "There was no room for a picture. It is still in this page.";

/** When something could not be kept: what, why, and the ways out. Stays as long as anything is refused. */
export function FailureBar() {
  const save = useSyncExternalStore(session.onSave, session.saveState, session.saveState);
  const refused = useSyncExternalStore(session.onSave, session.refused, session.refused);
  const pictures = useSyncExternalStore(session.onSave, session.heldPictures, session.heldPictures);
  const { retry, undo } = useEdits();
  if (save.kind !== "failed" && refused.length === 0 && pictures.size === 0) return null;
  const labels = [...new Set(refused.map(({ edits }) => edits[0]?.label ?? ""))];
  return (
    <div className="failure-bar" role="alert">
      <p>
        {save.message ?? (pictures.size > 0 && NO_ROOM)}
        {labels.length > 0 &&
          ` Not kept yet: ${labels.slice(0, 3).join(", ")}${labels.length > 3 ? " …" : ""}.`}
      </p>
      {refused.length > 0 && (
        <>
          <Button onClick={() => void retry()}>Try again</Button>
          <Button onClick={() => void undo()}>Take it back</Button>
        </>
      )}
      {pictures.size > 0 && (
        <Button
          onClick={() => {
            for (const { type, bytes } of pictures.values())
              download(`photograph-${todayHere()}.${type.slice(6)}`, type, bytes);
          }}
        >
          {pictures.size === 1 ? "Save the picture as a file" : `Save ${pictures.size} pictures as files`}
        </Button>
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
