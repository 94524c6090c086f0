import { Button } from "antd";
import { useState } from "react";
import { readText } from "~app/data/readText";
import { download } from "~app/data/files";
import { useEdits } from "~app/ui/useEdits";
import type { Edit } from "~core/record/edit";
import type { Issue, Result } from "~core/result";

interface OwnTableProps<Row extends { id: string }> {
  /** What it is a table of: `sizes`. */
  name: string;
  title: string;
  columns: string;
  table: "sizes" | "nailSizes";
  rows: readonly Row[];
  read: (text: string, newId: () => string) => Result<Row[]>;
  /** The table as it stands, one's own or the neutral one, as CSV. */
  csv: () => string;
}

/** More than these are not listed one by one. */
const MOST_ISSUES = 12;

/** A table of one's own, by CSV in and out: taken in whole or not at all, and given back by undo. */
export function OwnTable<Row extends { id: string }>(props: OwnTableProps<Row>) {
  const { name, title, columns, table, rows, read, csv } = props;
  const { save } = useEdits();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const own = rows.length > 0;
  const label = `table of ${name}`;
  const gone = rows.map((row): Edit => ({ table, id: row.id, path: [], was: row, now: undefined, label }));
  const replace = async (file: File) => {
    const text = await readText(file);
    const found = text.ok ? read(text.value, () => crypto.randomUUID()) : text;
    setIssues(found.ok ? [] : found.issues);
    if (!found.ok) return;
    const come = found.value.map((row): Edit => ({
      table,
      id: row.id,
      path: [],
      was: undefined,
      now: row,
      label,
    }));
    void save(...gone, ...come);
  };
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <p className="quiet">
        A CSV with the columns {columns}. It takes the place of the table that is there; undo brings that
        back.
      </p>
      <div className="trim-actions">
        <label className="file-choose">
          <span>Choose a CSV of {name}</span>
          <input
            type="file"
            accept="text/csv,.csv"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              event.target.value = "";
              if (chosen) void replace(chosen);
            }}
          />
        </label>
        <Button size="large" onClick={() => download(`${name}.csv`, "text/csv", csv())}>
          {own ? "Save the table as CSV" : "Save the example as CSV"}
        </Button>
        {own && (
          <Button size="large" onClick={() => void save(...gone)}>
            Back to the example
          </Button>
        )}
      </div>
      {issues.length > 0 && (
        <ul className="csv-issues ember" role="alert" aria-label={`What is wrong in the file of ${name}`}>
          <li>
            Nothing was taken in.{" "}
            {issues.length > MOST_ISSUES ? `The first ${MOST_ISSUES} of ${issues.length}:` : ""}
          </li>
          {issues.slice(0, MOST_ISSUES).map((issue) => (
            <li key={issue.path}>{issue.message}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
