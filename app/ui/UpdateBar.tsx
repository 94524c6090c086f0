import { Button } from "antd";
import { useSyncExternalStore } from "react";
import { session } from "../data/session";
import { updates } from "../data/updates";

/** Says when a new version is ready, or took over in another tab; the user decides when this tab goes with it. */
export function UpdateBar() {
  const state = useSyncExternalStore(updates.onChange, updates.state, () => "none" as const);
  const outdated = useSyncExternalStore(session.onSave, session.outdated, session.outdated);
  if (outdated)
    return (
      <div className="update-bar" role="status">
        <p>
          A newer Plumbline in another tab has carried the records up. Nothing more is kept here: what stands
          in a field is still a draft. Load this tab anew.
        </p>
        <Anew />
      </div>
    );
  if (state === "none") return null;
  return (
    <div className="update-bar" role="status">
      {state === "waiting" ? (
        <>
          <p>A new version of Plumbline is ready.</p>
          <Button size="small" type="primary" onClick={() => void updates.changeOver()}>
            Change over now
          </Button>
        </>
      ) : (
        <>
          <p>Plumbline has changed over in another tab. Load this one anew when you are done here.</p>
          <Anew />
        </>
      )}
    </div>
  );
}

function Anew() {
  return (
    <Button size="small" type="primary" onClick={() => location.reload()}>
      Load anew
    </Button>
  );
}
