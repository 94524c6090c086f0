import { Button, Modal } from "antd";
import { useSyncExternalStore } from "react";
import { session } from "~app/data/session";

/** Another tab has restored a backup: this one lets go of what it shows, and says what was typed here and not finished. */
export function ReplacedDialog() {
  const replaced = useSyncExternalStore(session.onSave, session.replaced, session.replaced);
  if (!replaced) return null;
  const typed = [...session.typed.values()].map(({ text }) => text).filter((text) => text !== "");
  const refused = session.refused().flatMap(({ edits }) => edits.map(({ label }) => label));
  return (
    <Modal
      open
      closable={false}
      title="Another tab has restored a backup"
      footer={[
        <Button key="open" type="primary" onClick={() => location.assign("/")}>
          Open the restored round
        </Button>,
      ]}
    >
      <p>This tab still shows what was there before. Nothing more of it is kept.</p>
      {typed.length > 0 && <p>Typed here and not finished: {typed.map((text) => `“${text}”`).join(", ")}.</p>}
      {refused.length > 0 && <p>Not kept: {refused.join(", ")}.</p>}
    </Modal>
  );
}
