import { useId } from "react";
import { NumberInput } from "~app/ui/NumberInput";
import { useFields, type Field } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { cutInField, readMm } from "~app/stage/cutText";
import { footEdit } from "~core/record/footRecords";
import { sentenceCase } from "~core/foot/wording";
import type { Bench } from "./useBench";

/** One place at which millimetres are noted as taken, and where its record keeps them. */
interface MmPlace {
  name: string;
  path: readonly [string, string];
  stored: number | undefined;
  most: number;
}

/** What was really taken at places besides the four cuts. */
export function MmTaken({ bench, places }: { bench: Bench; places: readonly MmPlace[] }) {
  const wording = useWording();
  const ids = useId();
  const { trim, blank } = bench;
  const { view, type, settle } = useFields<string, number>(
    Object.fromEntries(
      places.map(({ name, path, stored, most }): [string, Field<number>] => [
        path.join("."),
        {
          draftKey: `${blank.id}.taken.${path.join(".")}`,
          stored,
          show: (mm) => cutInField(mm, wording),
          read: (text) => readMm(path[1], name, most, text, wording),
          edit: (was, now) =>
            footEdit(blank, "trims", trim, { path, was, now, label: `taken at the ${name}` }),
        },
      ]),
    ),
  );
  return places.map(({ name, path }) => {
    const key = path.join(".");
    const { text, issue } = view(key);
    return (
      <div key={key} className="taken">
        <label htmlFor={`${ids}-${key}`} className="quiet">
          {sentenceCase(wording.inOwnWords(name))}, taken
        </label>
        <NumberInput
          id={`${ids}-${key}`}
          placeholder="–"
          view={{ text, issue }}
          onType={(next) => type(key, next)}
          onSettle={() => settle(key)}
        />
        <span className="quiet">{wording.unit}</span>
        {issue && (
          <p className="ember" role="alert">
            {issue.message}
          </p>
        )}
      </div>
    );
  });
}
