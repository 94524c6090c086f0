import { Button, Modal } from "antd";
import { useSyncExternalStore } from "react";
import { dropDraft } from "../data/drafts";
import { session } from "../data/session";
import { useEdits } from "./useEdits";
import { useWording } from "./useWording";

/** Two tabs changed one place: both values, and the choice. */
export function ConflictDialog() {
  const conflict = useSyncExternalStore(session.onSave, session.conflict, session.conflict);
  const { save } = useEdits();
  const wording = useWording();
  if (!conflict) return null;
  const { edit, stored } = conflict;
  const show = (value: unknown): string => {
    if (value === undefined || value === null || value === "") return "nothing";
    if (typeof value === "object" && "value" in value && typeof value.value === "number")
      return edit.label.includes("angle") ? wording.angle(value.value) : wording.length(value.value);
    if (typeof value === "number") return wording.length(value);
    return typeof value === "string" ? `“${value}”` : JSON.stringify(value);
  };
  const close = () => {
    for (const key of conflict.drafts) void dropDraft(key);
    session.answerConflict();
  };
  return (
    <Modal
      open
      onCancel={close}
      title={`Changed in another tab: ${edit.label}`}
      footer={[
        <Button key="theirs" onClick={close}>
          Leave {show(stored)}
        </Button>,
        <Button
          key="mine"
          type="primary"
          onClick={() => {
            close();
            void save({ ...edit, was: stored });
          }}
        >
          Use {show(edit.now)}
        </Button>,
      ]}
    >
      <p>
        The other tab put {show(stored)} here. You typed {show(edit.now)}. Nothing was overwritten.
      </p>
    </Modal>
  );
}
