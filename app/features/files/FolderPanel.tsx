import { Button } from "antd";
import { useState } from "react";
import { useRevalidator } from "react-router";
import {
  canWriteFolder,
  chooseFolder,
  forgetFolder,
  mayWrite,
  writeToFolder,
  type Folder,
} from "~app/data/backups";
import { session } from "~app/data/session";
import { detailOf, storageTrouble } from "~app/data/trouble";
import { momentOf } from "~app/ui/days";

/** Backups that write themselves into a folder of the user's, where the browser can; what stands here alone. */
export function FolderPanel({
  folder,
  last,
  wanted,
}: {
  folder: Folder | undefined;
  last: { at: number; folder: boolean } | undefined;
  wanted: string | undefined;
}) {
  const [said, setSaid] = useState<string>();
  const [trouble, setTrouble] = useState<string>();
  const [busy, setBusy] = useState(false);
  const { revalidate } = useRevalidator();
  const tell = async (work: () => Promise<string | undefined>) => {
    setBusy(true);
    setSaid(undefined);
    setTrouble(undefined);
    try {
      setSaid(await work());
    } catch (error) {
      setTrouble(error instanceof DOMException ? storageTrouble(error) : detailOf(error));
    } finally {
      setBusy(false);
      void revalidate();
    }
  };
  const write = async (into: Folder) => {
    if (!(await mayWrite(into, true))) return "The browser was not allowed to write there.";
    return `Written and read back: ${await writeToFolder(into)}`;
  };
  return (
    <section className="file-section" aria-label="Backups by themselves">
      <h2>Backups by themselves</h2>
      {wanted && <p className="brass strong">{wanted}</p>}
      {!wanted && last && (
        <p className="quiet">
          Last backed up {momentOf(last.at)}
          {last.folder && " into the folder"}.
        </p>
      )}
      {!canWriteFolder() ? (
        <p className="quiet">
          This browser cannot write into a folder by itself. Today reminds you when a week or eight visits
          stand here alone.
        </p>
      ) : folder ? (
        <>
          <p className="quiet">
            Into the folder <b>{folder.name}</b> when Plumbline opens and something was done since; each is
            read back, ten are kept. They are not behind a passphrase.
          </p>
          <div className="file-acts">
            <Button disabled={busy} onClick={() => void tell(() => write(folder))}>
              Write one now
            </Button>
            <Button
              disabled={busy}
              onClick={() =>
                void tell(async () => {
                  await forgetFolder(session.db);
                  return "No more are written. Those that are there stay.";
                })
              }
            >
              Stop
            </Button>
          </div>
        </>
      ) : (
        <>
          <p className="quiet">
            Choose a folder, best one that is copied elsewhere by itself: a backup goes there when something
            was done since the last.
          </p>
          <Button
            disabled={busy}
            onClick={() =>
              void tell(async () => {
                const chosen = await chooseFolder(session.db);
                return chosen && write(chosen);
              })
            }
          >
            Choose a folder
          </Button>
        </>
      )}
      {said && <p role="status">{said}</p>}
      {trouble && (
        <p className="ember" role="alert">
          {trouble}
        </p>
      )}
    </section>
  );
}
