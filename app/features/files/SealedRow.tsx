import { Button, Input } from "antd";
import { useState } from "react";
import { download, startBackup } from "~app/data/files";
import { LEAST_LETTERS } from "~app/data/sealed";
import { todayHere } from "~app/ui/days";
import { useWork } from "./useWork";
import { WorkLine } from "./WorkLine";

/** The same backup behind a passphrase. It is asked for once: it can be looked at, and cannot be recovered. */
export function SealedRow() {
  const [passphrase, setPassphrase] = useState("");
  const [short, setShort] = useState(false);
  const { part, trouble, run, cancel } = useWork();
  const take = async () => {
    const isShort = passphrase.length < LEAST_LETTERS;
    setShort(isShort);
    if (isShort) return;
    const file = await run((report) => startBackup(report, passphrase));
    if (file) download(`plumbline-${todayHere()}.sealed`, "application/octet-stream", file);
  };
  return (
    <details className="sealed">
      <summary>Back up behind a passphrase</summary>
      <p className="brass">
        Whoever forgets the passphrase has lost the file: nobody can open it again, we neither. Write it down
        where you keep your papers.
      </p>
      <div className="file-acts">
        <Input.Password
          aria-label="Passphrase"
          autoComplete="new-password"
          value={passphrase}
          status={short ? "error" : ""}
          onChange={(event) => {
            setPassphrase(event.target.value);
            setShort(false);
          }}
          onPressEnter={() => void take()}
        />
        <Button disabled={part !== undefined} onClick={() => void take()}>
          Back up, sealed
        </Button>
      </div>
      {short && (
        <p className="ember" role="alert">
          At least {LEAST_LETTERS} letters: three or four words do.
        </p>
      )}
      {part !== undefined && <WorkLine name="Back up, sealed" part={part} onCancel={cancel} />}
      {trouble && (
        <p className="ember" role="alert">
          {trouble}
        </p>
      )}
    </details>
  );
}
