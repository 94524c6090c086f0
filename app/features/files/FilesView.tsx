import { Button } from "antd";
import { useState } from "react";
import { useFetcher, useRevalidator, type SubmitTarget } from "react-router";
import { download, exportBackup, readAllRecords } from "~app/data/files";
import type { Round } from "~app/data/session";
import { todayHere } from "~app/ui/days";
import { DemoLoader } from "~app/ui/DemoLoader";
import { RoundNote } from "~app/ui/Frame";
import { useWording } from "~app/ui/useWording";
import { dueEvents } from "~core/cycle/dueEvents";
import { readBackup, type Backup } from "~core/record/backup";
import type { Horse } from "~core/record/horse";
import type { Yard } from "~core/record/yard";
import { PeoplePanel } from "./PeoplePanel";
import type { Issue, Result } from "~core/result";
import "./files.css";

interface FilesProps {
  counts: { yards: number; horses: number; visits: number; readings: number };
  yards: Yard[];
  horses: Horse[];
  round: Round;
  persisted: boolean;
  usedMb: number | undefined;
}

/** The data is the user's: out as files in open formats, back in after a check of every row. */
export function FilesView({ counts, yards, horses, round, persisted, usedMb }: FilesProps) {
  const wording = useWording();
  const exporters = [
    {
      name: "Back up everything",
      why: "One JSON file with every record. Restore it here, on this device or another.",
      run: async () => download(`plumbline-${todayHere()}.json`, "application/json", await exportBackup()),
    },
    {
      name: "Readings as CSV",
      why: "One row a foot and moment: millimetres, degrees, and how each was taken.",
      run: async () => {
        const { readingsCsv } = await import("~core/record/csv");
        download(`plumbline-readings-${todayHere()}.csv`, "text/csv", readingsCsv(await readAllRecords()));
      },
    },
    {
      name: "Due dates as a calendar",
      why: "An .ics file. Bring it in again later: the dates move, they do not double.",
      run: async () => {
        const { dueCalendar } = await import("~core/record/calendar");
        const events = dueEvents(await readAllRecords(), wording);
        download(
          `plumbline-due-${todayHere()}.ics`,
          "text/calendar",
          dueCalendar(events, new Date().toISOString()),
        );
      },
    },
  ];
  return (
    <div className="page files">
      <header className="page-head">
        <div>
          <h1>Files</h1>
          <p className="quiet">
            {round === "own" ? "Your own records" : "The made-up round"}: {counts.horses} horses in{" "}
            {counts.yards} yards, {counts.visits} visits, {counts.readings} readings
            {usedMb !== undefined &&
              ` · about ${usedMb < 10 ? usedMb.toFixed(1) : Math.round(usedMb)} MB of this browser`}
          </p>
        </div>
      </header>
      <section className="file-rows" aria-label="Take out">
        {exporters.map(({ name, why, run }) => (
          <div key={name} className="file-row">
            <Button type={name === "Back up everything" ? "primary" : "default"} onClick={() => void run()}>
              {name}
            </Button>
            <p className="quiet">{why}</p>
          </div>
        ))}
      </section>
      <RestorePanel />
      <PeoplePanel yards={yards} horses={horses} />
      <KeepPanel persisted={persisted} />
      <section className="file-section">
        <h2>Made-up data</h2>
        <p className="quiet">
          It lies in a store of its own. Loading or leaving it never touches your records.
        </p>
        {round === "own" ? (
          <div className="file-acts">
            <DemoLoader kind="demo" label="Load the demo round" />
            <DemoLoader kind="first-day" label="Load a first day" />
          </div>
        ) : (
          <RoundNote round={round} />
        )}
      </section>
    </div>
  );
}

/** Choose a file, see what is in it or what is wrong with it, then decide. */
function RestorePanel() {
  const [found, setFound] = useState<{ name: string; read: Result<Backup>; sent: boolean }>();
  const fetcher = useFetcher<Result<true>>();
  const answer = found?.sent && fetcher.state === "idle" ? fetcher.data : undefined;
  const backup = found?.read.ok && !answer ? found.read.value : undefined;
  const wrong = [found?.read, answer].find((result) => result?.ok === false);
  const issues: Issue[] = wrong && !wrong.ok ? wrong.issues : [];
  return (
    <section className="file-section" aria-label="Restore">
      <h2>Restore a backup</h2>
      <label className="file-choose">
        <span>Choose a backup file</span>
        <input
          type="file"
          accept="application/json,.json"
          onChange={async (event) => {
            const file = event.target.files?.[0];
            event.target.value = "";
            if (file) setFound({ name: file.name, read: readBackup(await file.text()), sent: false });
          }}
        />
      </label>
      {backup && found && (
        <div className="restore-found">
          <p>
            <b>{found.name}</b>, made {backup.madeAt.slice(0, 10)}: {backup.records.horses.length} horses,{" "}
            {backup.records.visits.length} visits, {backup.records.readings.length} readings. Every row was
            read and is sound.
          </p>
          <p>It takes the place of everything that is open now. Back up first if you may want it again.</p>
          <div className="file-acts">
            <Button
              type="primary"
              danger
              loading={fetcher.state !== "idle"}
              onClick={() => {
                setFound({ ...found, sent: true });
                void fetcher.submit(backup as unknown as SubmitTarget, {
                  method: "post",
                  encType: "application/json",
                });
              }}
            >
              Restore it
            </Button>
            <Button onClick={() => setFound(undefined)}>Leave things as they are</Button>
          </div>
        </div>
      )}
      {answer?.ok && <p role="status">Restored.</p>}
      {issues.length > 0 && (
        <div role="alert" className="restore-issues">
          <p className="ember strong">{found?.name ?? "The backup"} was not restored. Nothing was changed.</p>
          <ul>
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

function KeepPanel({ persisted }: { persisted: boolean }) {
  const [answer, setAnswer] = useState<boolean>();
  const { revalidate } = useRevalidator();
  return (
    <section className="file-section">
      <h2>Kept by this browser</h2>
      {persisted || answer ? (
        <p className="quiet">
          The browser has promised not to clear this data by itself. A backup is still yours to make.
        </p>
      ) : (
        <>
          <p className="quiet">
            {answer === false
              ? "The browser did not promise. It may clear the data when space runs short: back up often, or install Plumbline as an app."
              : "A browser may clear data when space runs short. Ask it to keep yours."}
          </p>
          <Button
            onClick={async () => {
              setAnswer((await navigator.storage?.persist?.()) ?? false);
              void revalidate();
            }}
          >
            Ask the browser to keep it
          </Button>
        </>
      )}
    </section>
  );
}
