import { readText } from "~app/data/readText";
import { PickOne } from "~app/ui/PickOne";
import { Button } from "antd";
import { useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import type { Horse } from "~core/record/horse";
import { peopleEdits, peopleFrom, readPeople, type PeopleTable } from "~core/record/peopleIn";
import { guessedMapping, PEOPLE_FIELDS, type Mapping } from "~core/record/columnNames";
import type { Yard } from "~core/record/yard";
import { counted } from "~core/units/counted";

/** Rows of a preview and bad cells that are shown. */
const MOST_SHOWN = 8;

/** People, yards and horses out of a CSV or a file of cards: columns given their meaning, looked at, then kept. */
export function PeoplePanel({ yards, horses }: { yards: readonly Yard[]; horses: readonly Horse[] }) {
  const { save } = useEdits();
  const [file, setFile] = useState<{ table: PeopleTable; mapping: Mapping }>();
  const [said, setSaid] = useState<{ text: string; bad: boolean }>();
  const choose = async (chosen: File) => {
    const text = await readText(chosen);
    const table = text.ok ? readPeople(text.value) : text;
    setFile(table.ok ? { table: table.value, mapping: guessedMapping(table.value.columns) } : undefined);
    setSaid(table.ok ? undefined : { text: table.issues[0]?.message ?? "", bad: true });
  };
  const found = file && peopleFrom(file.table, file.mapping, { yards, horses }, () => crypto.randomUUID());
  const yardName = (id: string) => [...yards, ...(found?.yards ?? [])].find((yard) => yard.id === id)?.name;
  const count = found ? found.yards.length + found.horses.length : 0;
  return (
    <section className="file-section" aria-label="Bring in people and horses">
      <h2>Bring in people, yards and horses</h2>
      <p className="quiet">A CSV with a header, or contact cards (.vcf). Nothing that you have is changed.</p>
      <label className="file-choose">
        <span>Choose a CSV or cards</span>
        <input
          type="file"
          accept=".csv,text/csv,.vcf,text/vcard"
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            event.target.value = "";
            if (chosen) void choose(chosen);
          }}
        />
      </label>
      {said && (
        <p className={said.bad ? "ember" : "verdigris strong"} role={said.bad ? "alert" : "status"}>
          {said.text}
        </p>
      )}
      {file && found && (
        <div className="people-found">
          <div className="people-mapping">
            {PEOPLE_FIELDS.map((field) => (
              <label key={field}>
                <span className="quiet">{field}</span>
                <PickOne
                  label={`Column for ${field}`}
                  value={file.mapping[field] ?? ""}
                  options={[
                    { value: "", label: "not in the file" },
                    ...file.table.columns.map((column) => ({ value: column, label: column })),
                  ]}
                  onPick={(column) =>
                    setFile({ ...file, mapping: { ...file.mapping, [field]: column || undefined } })
                  }
                />
              </label>
            ))}
          </div>
          <p>
            <span className="strong">
              {counted(found.yards.length, "new yard")}, {counted(found.horses.length, "new horse")}
            </span>
            , {found.known} there already.
          </p>
          <ul className="people-list">
            {found.horses.slice(0, MOST_SHOWN).map((horse) => (
              <li key={`${horse.yardId}${horse.name}`}>
                <span className="strong">{horse.name}</span>, {yardName(horse.yardId)}: {horse.kind},{" "}
                {horse.massKg} kg, {horse.use}, {horse.finish}
              </li>
            ))}
            {found.yards.slice(0, MOST_SHOWN).map((yard) => (
              <li key={yard.name}>
                Yard <span className="strong">{yard.name}</span> {yard.person} {yard.phone}
              </li>
            ))}
          </ul>
          {found.issues.length > 0 && (
            <ul className="people-list ember" aria-label="What could not be read">
              {found.issues.slice(0, MOST_SHOWN).map(({ path, message }) => (
                <li key={path}>{message}</li>
              ))}
              {found.issues.length > MOST_SHOWN && <li>and {found.issues.length - MOST_SHOWN} more</li>}
            </ul>
          )}
          <div className="file-acts">
            <Button
              type="primary"
              disabled={count === 0}
              onClick={async () => {
                const saved = await save(...peopleEdits(found));
                if (saved.kind !== "saved") {
                  setSaid({
                    text: saved.kind === "failed" ? saved.message : "This could not be brought in.",
                    bad: true,
                  });
                  return;
                }
                setFile(undefined);
                setSaid({ text: `${count} brought in. Ctrl-Z takes them back.`, bad: false });
              }}
            >
              Keep {count}
            </Button>
            <Button onClick={() => setFile(undefined)}>Leave them</Button>
          </div>
        </div>
      )}
    </section>
  );
}
