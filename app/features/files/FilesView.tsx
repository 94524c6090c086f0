import { Button } from "antd";
import { Suspense, type ComponentProps } from "react";
import { Await, useRevalidator } from "react-router";
import type { Amiss } from "~app/data/mending";
import { startBackup, startReadingsCsv, startTablesZip } from "~app/data/files";
import { askToPersist } from "~app/data/persist";
import { readRosterRecords } from "~app/data/queries";
import type { Round } from "~app/data/session";
import { todayHere } from "~app/ui/days";
import { DemoLoader } from "~app/ui/DemoLoader";
import { RoundNote } from "~app/ui/Frame";
import { useWording } from "~app/ui/useWording";
import { dueEvents } from "~core/cycle/dueEvents";
import type { SetAside } from "~core/record/setAside";
import type { Horse } from "~core/record/horse";
import type { Yard } from "~core/record/yard";
import { PeoplePanel } from "./PeoplePanel";
import { ExportRow, type Exporter } from "./ExportRow";
import { BringInPanel } from "./BringInPanel";
import { FolderPanel } from "./FolderPanel";
import { SealedRow } from "./SealedRow";
import { DevicePanel } from "./DevicePanel";
import { AmissPanel } from "./AmissPanel";
import { SetAsidePanel } from "./SetAsidePanel";
import type { Wording } from "~core/foot/wording";
import "./files.css";
import { counted } from "~core/units/counted";

interface FilesProps {
  counts: { yards: number; horses: number; visits: number; readings: number };
  yards: Yard[];
  horses: Horse[];
  merges: SetAside[];
  amiss: Promise<Amiss>;
  /** What this device is called. */
  device: string;
  round: Round;
  backups: ComponentProps<typeof FolderPanel>;
  persisted: boolean;
  /** What the browser said when it was asked to keep the records. */
  persistAnswer: string | undefined;
  usedMb: number | undefined;
}

/** The data is the user's: out as files in open formats, back in after a check of every row. */
export function FilesView(props: FilesProps) {
  const { counts, yards, horses, merges, amiss, device, round, backups, persisted, persistAnswer, usedMb } =
    props;
  const wording = useWording();
  const exporters: Exporter[] = [
    {
      name: "Back up everything",
      why: "One JSON file with every record, packed where it is large. Restore it here, on this device or another.",
      file: { name: `plumbline-${todayHere()}.json`, type: "application/json" },
      start: (report) => startBackup(report),
    },
    {
      name: "Readings as CSV",
      why: "One row a foot and moment: millimetres, degrees, and how each was taken.",
      file: { name: `plumbline-readings-${todayHere()}.csv`, type: "text/csv" },
      start: startReadingsCsv,
    },
    {
      name: "Every table as CSV",
      why: "One ZIP, a file a table, units in the headers: for a spreadsheet or another program.",
      file: { name: `plumbline-tables-${todayHere()}.zip`, type: "application/zip" },
      start: startTablesZip,
    },
    {
      name: "Due dates as a calendar",
      why: "An .ics file. Bring it in again later: the dates move, they do not double.",
      file: { name: `plumbline-due-${todayHere()}.ics`, type: "text/calendar" },
      start: () => ({ answer: dueDates(wording), cancel: () => undefined }),
    },
  ];
  return (
    <div className="page files">
      <header className="page-head">
        <div>
          <h1>Files</h1>
          <p className="quiet">
            {round === "own" ? "Your own records" : "The made-up round"}: {counted(counts.horses, "horse")} in{" "}
            {counted(counts.yards, "yard")}, {counted(counts.visits, "visit")},{" "}
            {counted(counts.readings, "reading")}
            {usedMb !== undefined &&
              ` · about ${usedMb < 10 ? usedMb.toFixed(1) : Math.round(usedMb)} MB of this browser`}
          </p>
        </div>
      </header>
      <div className="files-columns">
        <div>
          <section className="file-section" aria-label="Take out">
            <h2>Take out</h2>
            <div className="file-rows">
              {exporters.map((exporter) => (
                <ExportRow key={exporter.name} {...exporter} />
              ))}
            </div>
            <SealedRow />
          </section>
          {round === "own" && <FolderPanel {...backups} />}
          <KeepPanel persisted={persisted} answer={persistAnswer} />
        </div>
        <div>
          <BringInPanel />
          <Suspense>
            <Await resolve={amiss}>{(found) => <AmissPanel {...found} />}</Await>
          </Suspense>
          <SetAsidePanel merges={merges} />
          <PeoplePanel yards={yards} horses={horses} />
          <DevicePanel name={device} />
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
      </div>
    </div>
  );
}

/** The due dates of the round as a calendar's text. */
async function dueDates(wording: Wording): Promise<string> {
  const { dueCalendar } = await import("~core/record/calendar");
  const events = dueEvents(await readRosterRecords(todayHere()), wording);
  return dueCalendar(events, new Date().toISOString());
}

function KeepPanel({ persisted, answer }: { persisted: boolean; answer: string | undefined }) {
  const { revalidate } = useRevalidator();
  return (
    <section className="file-section" aria-label="Kept by this browser">
      <h2>Kept by this browser</h2>
      {persisted ? (
        <p className="quiet">
          The browser has promised not to clear this data by itself. A backup is still yours to make.
        </p>
      ) : (
        <>
          <p className="quiet">
            {answer === undefined
              ? "A browser may clear data when space runs short. It is asked to keep yours when your first record is made."
              : "The browser was asked and did not promise. It may clear the data when space runs short: back up often, or install Plumbline as an app."}
          </p>
          <Button
            onClick={async () => {
              await askToPersist();
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
