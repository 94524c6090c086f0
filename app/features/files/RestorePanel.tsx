import { Button } from "antd";
import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { restored } from "~app/data/files";
import { session } from "~app/data/session";
import { filesWorker } from "~app/workers/files";
import type { BackupSummary } from "~app/workers/files.worker";
import type { Issue, Result } from "~core/result";
import { proxy } from "comlink";
import { useWork } from "./useWork";
import { WorkLine } from "./WorkLine";

interface Chosen {
  name: string;
  read: Result<BackupSummary>;
}

/** Choose a file, see what is in it or what is wrong with it, then decide. Read and written in a worker; both can be called off. */
export function RestorePanel() {
  const [chosen, setChosen] = useState<Chosen>();
  const [isRestored, setRestored] = useState(false);
  const { part, trouble, run, cancel } = useWork();
  const { revalidate } = useRevalidator();
  const worker = useRef<ReturnType<typeof filesWorker> | undefined>(undefined);
  const end = () => {
    worker.current?.end();
    worker.current = undefined;
  };
  useEffect(() => end, []);
  const choose = async (file: File) => {
    end();
    setChosen(undefined);
    setRestored(false);
    const one = filesWorker();
    worker.current = one;
    const read = await run((report) => ({
      answer: one.remote.read(file, proxy(report)) as Promise<Result<BackupSummary>>,
      cancel: end,
    }));
    if (read) setChosen({ name: file.name, read });
  };
  const restore = async () => {
    const one = worker.current;
    if (!one) return;
    const epoch = await run((report) => ({
      answer: one.remote.restore(session.db.name, proxy(report)),
      cancel: end,
    }));
    if (epoch === undefined) return;
    end();
    restored(epoch);
    setChosen(undefined);
    setRestored(true);
    void revalidate();
  };
  const leave = () => {
    cancel();
    end();
    setChosen(undefined);
  };
  const issues: Issue[] = chosen && !chosen.read.ok ? chosen.read.issues : [];
  const summary = chosen?.read.ok ? chosen.read.value : undefined;
  return (
    <section className="file-section" aria-label="Restore">
      <h2>Restore a backup</h2>
      <label className="file-choose">
        <span>Choose a backup file</span>
        <input
          type="file"
          accept="application/json,.json"
          disabled={part !== undefined}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) void choose(file);
          }}
        />
      </label>
      {part !== undefined && (
        <WorkLine name={summary ? "Restoring" : "Reading the file"} part={part} onCancel={leave} />
      )}
      {summary && chosen && part === undefined && (
        <div className="restore-found">
          <p>
            <b>{chosen.name}</b>, made {summary.madeAt.slice(0, 10)}: {summary.horses} horses,{" "}
            {summary.visits} visits, {summary.readings} readings. Every row was read and is sound.
          </p>
          <p>It takes the place of everything that is open now. Back up first if you may want it again.</p>
          <div className="file-acts">
            <Button type="primary" danger onClick={() => void restore()}>
              Restore it
            </Button>
            <Button onClick={leave}>Leave things as they are</Button>
          </div>
        </div>
      )}
      {isRestored && <p role="status">Restored.</p>}
      {(issues.length > 0 || trouble) && (
        <div role="alert" className="restore-issues">
          <p className="ember strong">
            {chosen?.name ?? "The backup"} was not restored. Nothing was changed.
          </p>
          <ul>
            {trouble && <li>{trouble}</li>}
            {issues.map(({ path, message }) => (
              <li key={`${path} ${message}`}>
                {path && <code>{path}</code>} {message}
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}
