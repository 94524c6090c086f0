import { Button } from "antd";
import { useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { download } from "~app/data/files";
import { isFore } from "~core/foot/limb";
import { readSizesCsv, sizesCsv } from "~core/record/sizesCsv";
import type { Edit } from "~core/record/edit";
import type { Issue } from "~core/result";
import { chooseSizes, EXAMPLE_SIZES, reshapingInWords, wantedOf } from "~core/shoe/sizes";
import type { ShoeViewProps } from "./shoeView";

/** The three shoes of the table that want least reshaping for this foot, and the table itself. */
export function ReadyMade({ context, shoeing }: ShoeViewProps) {
  const { file, limb } = context;
  const wording = useWording();
  const { save } = useEdits();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const own = file.sizes.length > 0;
  const table = own ? file.sizes : EXAMPLE_SIZES;
  const { fit, spec } = shoeing.bench;
  const wanted = wantedOf(fit, isFore(limb));
  const best = spec.type === "bare" ? [] : chooseSizes(table, wanted);
  const replace = (text: string) => {
    const read = readSizesCsv(text, () => crypto.randomUUID());
    setIssues(read.ok ? [] : read.issues);
    if (!read.ok) return;
    const gone: Edit[] = file.sizes.map((row) => ({
      table: "sizes",
      id: row.id,
      path: [],
      was: row,
      now: undefined,
      label: "table of sizes",
    }));
    const come: Edit[] = read.value.map((row) => ({
      table: "sizes",
      id: row.id,
      path: [],
      was: undefined,
      now: row,
      label: "table of sizes",
    }));
    void save(...gone, ...come);
  };
  return (
    <div className="ready-made">
      <section aria-label="Best of the table">
        <h2>
          {spec.type === "bare" ? "Bare: no shoe is wanted" : "Least reshaping for this foot"}
          <span className="quiet">
            {" "}
            · {own ? `your table, ${file.sizes.length} sizes` : "the neutral example table"}
          </span>
        </h2>
        {spec.type !== "bare" && (
          <p className="quiet">
            Wanted:{" "}
            <Fractions
              text={`${wording.length(wanted.width)} wide, ${wording.length(Math.max(wanted.medial, wanted.lateral))} long, ${wording.length(wanted.straight)} of steel`}
            />
            .
          </p>
        )}
        <ol className="size-list">
          {best.map((choice) => {
            const { size } = choice;
            const words = reshapingInWords(choice, spec, wording);
            return (
              <li key={size.name} className="size">
                <b>{size.name}</b>
                <span className="quiet">
                  <Fractions
                    text={`${wording.length(size.width)} wide, ${wording.length(size.length)} long, ${wording.cut(size.sectionWidth)} × ${wording.cut(size.sectionThickness)}, ${size.pattern} heads`}
                  />
                </span>
                <span>
                  {words.length === 0 ? "Goes on as it is." : <Fractions text={`${words.join("; ")}.`} />}
                </span>
              </li>
            );
          })}
          {spec.type !== "bare" && best.length === 0 && (
            <li className="quiet">No size of the table is for this end of the horse.</li>
          )}
        </ol>
      </section>
      <section aria-label="Table of sizes">
        <h2>Your table of sizes</h2>
        <p className="quiet">
          A CSV with the columns name, feet (fore, hind or either), width, length, straight, web, thickness,
          heads (slim, square or heavy); lengths in mm. It takes the place of the table that is there; undo
          brings it back.
        </p>
        <div className="trim-actions">
          <label className="file-choose">
            <span>Choose a CSV</span>
            <input
              type="file"
              accept="text/csv,.csv"
              onChange={async (event) => {
                const chosen = event.target.files?.[0];
                event.target.value = "";
                if (chosen) replace(await chosen.text());
              }}
            />
          </label>
          <Button onClick={() => download("sizes.csv", "text/csv", sizesCsv(table))}>
            {own ? "Save the table as CSV" : "Save the example as CSV"}
          </Button>
          {own && (
            <Button
              onClick={() =>
                void save(
                  ...file.sizes.map((row): Edit => ({
                    table: "sizes",
                    id: row.id,
                    path: [],
                    was: row,
                    now: undefined,
                    label: "table of sizes",
                  })),
                )
              }
            >
              Back to the example
            </Button>
          )}
        </div>
        {issues.length > 0 && (
          <ul className="csv-issues ember" role="alert" aria-label="What is wrong in the file">
            <li>Nothing was taken in. {issues.length > 12 ? `The first 12 of ${issues.length}:` : ""}</li>
            {issues.slice(0, 12).map((issue) => (
              <li key={issue.path}>{issue.message}</li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}
