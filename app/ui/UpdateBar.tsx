import { Button } from "antd";
import { useSyncExternalStore } from "react";
import { updates } from "../data/updates";

/** Says when a new version is ready; the user decides when to change over. */
export function UpdateBar() {
  const ready = useSyncExternalStore(updates.onChange, updates.ready, () => false);
  if (!ready) return null;
  return (
    <div className="update-bar" role="status">
      <p>A new version of Plumbline is ready.</p>
      <Button size="small" type="primary" onClick={() => updates.changeOver()}>
        Change over now
      </Button>
    </div>
  );
}
