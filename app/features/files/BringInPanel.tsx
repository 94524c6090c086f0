import { Button, Input } from "antd";
import { proxy } from "comlink";
import { useEffect, useRef, useState } from "react";
import { useRevalidator } from "react-router";
import { restored } from "~app/data/files";
import type { MergeEnd, MergeLook as Look } from "~app/data/mergeStore";
import { session } from "~app/data/session";
import { shortDay } from "~app/ui/days";
import { filesWorker } from "~app/workers/files";
import type { BackupSummary } from "~app/workers/files.worker";
import type { Pick } from "~core/merge/place";
import type { Issue, Result } from "~core/result";
import { MergeLook } from "./MergeLook";
import { useWork } from "./useWork";
import { WorkLine } from "./WorkLine";
import { counted } from "~core/units/counted";

interface Chosen {
  name: string;
  file: File;
  read: Result<BackupSummary>;
}

/**
 * Choose a file, see what is in it or what is wrong with it, then decide: put it together with what is here, or in its
 * place. Read and written in a worker; all of it can be called off.
 */
export function BringInPanel() {
  const [chosen, setChosen] = useState<Chosen>();
  const [look, setLook] = useState<Look>();
  const [said, setSaid] = useState<string>();
  const [doing, setDoing] = useState("");
  const { part, trouble, run, cancel } = useWork();
  const { revalidate } = useRevalidator();
  const worker = useRef<ReturnType<typeof filesWorker> | undefined>(undefined);
  const end = () => {
    worker.current?.end();
    worker.current = undefined;
  };
  useEffect(() => end, []);
  /** Work of the worker that read the file; it knows it still. */
  const ask = async <T,>(
    name: string,
    work: (remote: ReturnType<typeof filesWorker>["remote"], report: (part: number) => void) => Promise<T>,
  ): Promise<T | undefined> => {
    const one = worker.current;
    if (!one) return undefined;
    setDoing(name);
    return run((report) => ({ answer: work(one.remote, proxy(report)), cancel: end }));
  };
  const leave = () => {
    cancel();
    end();
    setChosen(undefined);
    setLook(undefined);
  };
  const finish = (text: string) => {
    leave();
    setSaid(text);
    void revalidate();
  };
  const choose = async (file: File, passphrase?: string) => {
    leave();
    setSaid(undefined);
    worker.current = filesWorker();
    const read = await ask(
      "Reading the file",
      (remote, report) => remote.read(file, passphrase, report as never) as Promise<Result<BackupSummary>>,
    );
    if (read) setChosen({ name: file.name, file, read });
  };
  const restore = async () => {
    const epoch = await ask("Restoring", (remote, report) =>
      remote.restore(session.db.name, report as never),
    );
    if (epoch === undefined) return;
    restored(epoch);
    finish("Restored.");
  };
  const compare = async () => {
    const found = await ask("Comparing", (remote, report) => remote.look(session.db.name, report as never));
    if (found) setLook(found as Look);
  };
  const putTogether = async (picks: Record<string, Pick>) => {
    if (!look) return;
    const { state, from } = look;
    const ended = await ask(
      "Putting together",
      (remote) => remote.merge(session.db.name, { picks, state }) as Promise<MergeEnd>,
    );
    if (!ended) return;
    if (ended.kind === "changed") {
      setSaid("Something was changed here in the meantime. Look again: nothing was done yet.");
      await compare();
      return;
    }
    session.tellOthers();
    const aside = ended.setAside > 0 ? ` ${ended.setAside} set aside, below.` : "";
    finish(`Put together.${aside} Back up now and bring that file in on ${from}: then both agree.`);
  };
  const all: Issue[] = chosen && !chosen.read.ok ? chosen.read.issues : [];
  const shut = all.some(({ code }) => code === "sealed" || code === "passphrase");
  const issues = all.filter(({ code }) => code !== "sealed");
  const summary = chosen?.read.ok ? chosen.read.value : undefined;
  return (
    <section className="file-section" aria-label="Bring in a backup">
      <h2>Bring in a backup</h2>
      <p className="quiet">
        From another device, to put both weeks together; or an older one, to go back to it. Nothing happens
        before you have seen what would.
      </p>
      <label className="file-choose">
        <span>Choose a backup file</span>
        <input
          type="file"
          accept="application/json,.json,.sealed"
          disabled={part !== undefined}
          onChange={(event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) void choose(file);
          }}
        />
      </label>
      {part !== undefined && <WorkLine name={doing} part={part} onCancel={leave} />}
      {shut && chosen && part === undefined && (
        <PassphraseField name={chosen.name} onGiven={(passphrase) => void choose(chosen.file, passphrase)} />
      )}
      {summary && chosen && !look && part === undefined && (
        <div className="restore-found">
          <p>
            <b>{chosen.name}</b>
            {summary.device && ` from ${summary.device}`}, made {shortDay(summary.madeAt.slice(0, 10))}:{" "}
            {counted(summary.horses, "horse")}, {counted(summary.visits, "visit")},{" "}
            {counted(summary.readings, "reading")}. Every row was read and is sound.
          </p>
          <div className="file-acts">
            <Button type="primary" onClick={() => void compare()}>
              Compare with what is here
            </Button>
            <Button danger onClick={() => void restore()}>
              Restore it
            </Button>
            <Button onClick={leave}>Leave things as they are</Button>
          </div>
          <p className="quiet">
            Restoring takes the place of everything that is open now. Back up first if you may want it again.
          </p>
        </div>
      )}
      {look && part === undefined && (
        <MergeLook look={look} onDecide={(picks) => void putTogether(picks)} onLeave={leave} />
      )}
      {said && <p role="status">{said}</p>}
      {(issues.length > 0 || trouble) && (
        <div role="alert" className="restore-issues">
          <p className="ember strong">
            {chosen?.name ?? "The backup"} was not {look ? "brought in" : "restored"}. Nothing was changed.
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

function PassphraseField({ name, onGiven }: { name: string; onGiven: (passphrase: string) => void }) {
  const [typed, setTyped] = useState("");
  return (
    <div className="file-acts">
      <p>
        <b>{name}</b> is behind a passphrase.
      </p>
      <Input.Password
        aria-label="Its passphrase"
        autoComplete="off"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onPressEnter={() => onGiven(typed)}
      />
      <Button type="primary" disabled={typed === ""} onClick={() => onGiven(typed)}>
        Open it
      </Button>
    </div>
  );
}
