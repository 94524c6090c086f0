import dayjs from "dayjs";
import { useSyncExternalStore } from "react";
import { session } from "../data/session";

/** Says quietly that everything is kept; a failure is said by the failure bar. */
export function SaveLine() {
  const save = useSyncExternalStore(session.onSave, session.saveState, session.saveState);
  const text = {
    quiet: "Everything kept",
    kept: `Kept ${dayjs(save.at).format("HH:mm:ss")}`,
    undone: save.message ?? "Taken back",
    failed: "Not kept",
  }[save.kind];
  return (
    <p className={`save-line ${save.kind === "failed" ? "ember strong" : "quiet"}`} role="status">
      {text}
    </p>
  );
}
