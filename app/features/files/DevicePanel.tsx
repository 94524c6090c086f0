import { Input } from "antd";
import { useState } from "react";
import { useRevalidator } from "react-router";
import { renameDevice } from "~app/data/device";
import { session } from "~app/data/session";
import { useDraftText } from "~app/ui/useField";
import { storageTrouble } from "~app/data/trouble";

/** Longest name of a device. */
const MOST_LETTERS = 40;

/** What this device is called in its files, and where two of them are put together. */
export function DevicePanel({ name }: { name: string }) {
  const draft = useDraftText("files/device");
  // An emptied field is a text as well.
  const [emptied, setEmptied] = useState(false);
  const typed = draft.text || (emptied ? "" : name);
  const [trouble, setTrouble] = useState<string>();
  const { revalidate } = useRevalidator();
  const keep = async () => {
    const text = typed.trim();
    if (text === name) {
      draft.forget();
      return;
    }
    if (text === "") {
      setTrouble("A device needs a name.");
      return;
    }
    // The page is not left without a word while the name is on its way.
    const done = session.hold();
    try {
      await renameDevice(session.db, text);
      draft.forget();
      setTrouble(undefined);
      session.say({ kind: "kept", at: Date.now() });
      void revalidate();
    } catch (error) {
      setTrouble(storageTrouble(error));
    } finally {
      done();
    }
  };
  return (
    <section className="file-section" aria-label="This device">
      <h2>This device</h2>
      <label className="device-name">
        <span>is called</span>
        <Input
          value={typed}
          maxLength={MOST_LETTERS}
          status={trouble ? "error" : ""}
          onChange={(event) => {
            draft.type(event.target.value);
            setEmptied(event.target.value === "");
          }}
          onBlur={() => void keep()}
          onPressEnter={() => void keep()}
        />
      </label>
      {trouble && (
        <p className="ember" role="alert">
          {trouble}
        </p>
      )}
      <p className="quiet">
        The name stands in its backups, so that you see which device a value comes from. Each keeps its own
        records; bring the file of one in on the other, and back.
      </p>
    </section>
  );
}
