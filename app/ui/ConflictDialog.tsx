import { Button, Modal } from "antd";
import { useSyncExternalStore } from "react";
import { dropDraft } from "~app/data/drafts";
import { session } from "~app/data/session";
import { sayValue } from "~core/record/sayValue";
import { useEdits } from "./useEdits";
import { useWording } from "./useWording";

/** Two tabs changed one place: both values, and the choice. */
export function ConflictDialog() {
  const conflict = useSyncExternalStore(session.onSave, session.conflict, session.conflict);
  const { saveWith } = useEdits();
  const wording = useWording();
  if (!conflict) return null;
  const { edit, stored, change } = conflict;
  const say = (value: unknown): string => sayValue(edit.table, edit.path, value, wording);
  const leave = () => {
    for (const { key } of change.drafts) void dropDraft(key);
    session.askConflict(undefined);
    // What was kept together with it is not in question.
    const others = change.edits.filter((one) => one !== edit);
    if (others.length > 0) void saveWith(others);
  };
  const use = () => {
    session.askConflict(undefined);
    void saveWith(
      change.edits.map((one) => (one === edit ? { ...one, was: stored } : one)),
      change.drafts,
    );
  };
  return (
    <Modal
      open
      onCancel={leave}
      title={`Changed in another tab: ${edit.label}`}
      footer={[
        <Button key="theirs" onClick={leave}>
          Leave {say(stored)}
        </Button>,
        <Button key="mine" type="primary" onClick={use}>
          Use {say(edit.now)}
        </Button>,
      ]}
    >
      <p>
        The other tab put {say(stored)} here. You put {say(edit.now)}. Nothing was overwritten.
      </p>
    </Modal>
  );
}
