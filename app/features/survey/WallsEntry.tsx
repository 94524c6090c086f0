import { NumberInput } from "~app/ui/NumberInput";
import { Segmented } from "antd";
import { useId } from "react";
import { useFields, type Field } from "~app/ui/useField";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import type { FootFacts } from "~core/foot/findings/facts";
import {
  SULCUS_STATES,
  WALL_MEASURES,
  WALL_PLACES,
  WALL_PLACE_NAMES,
  type WallMeasure,
} from "~core/foot/survey/walls";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { Moment } from "~core/foot/records/reading";
import { fail, ok } from "~core/result";
import { parseLength } from "~core/units/length";
import type { StageContext } from "~app/stage/stageContext";
import { lengthInField } from "~core/foot/wording";

const COLUMNS = Object.keys(WALL_MEASURES) as WallMeasure[];

/** Depth of the sulcus beside the point of the frog: what a straightedge and a rule can give, mm. */
const SULCUS_LIVING = [0, 40] as const;

interface WallsEntryProps {
  context: StageContext;
  moment: Moment;
  /** The rings with the day that each dates, in the order of the record. */
  rings: FootFacts["rings"];
}

/** Wall thickness, wall above the live sole and white line round the foot; sulcus depth; rings. */
export function WallsEntry({ context, moment, rings: dated }: WallsEntryProps) {
  const { visit, limb, feet } = context;
  const wording = useWording();
  const { save } = useEdits();
  const ids = useId();
  const blank = footPlace("readings", visit, limb, moment);
  const existing = feet[limb].reading[moment];
  const rings = Object.entries(existing?.rings ?? {});
  const field = (
    path: readonly string[],
    stored: number | undefined,
    name: string,
    [least, most]: readonly [number, number],
  ): Field<number> => ({
    draftKey: `${blank.id}.${path.join(".")}`,
    stored,
    show: (mm) => lengthInField(mm, wording, mm % 1 === 0 ? 0 : 1),
    read: (text) => {
      if (text.trim() === "") return ok(undefined);
      const read = parseLength(text, wording.unit);
      if (!read.ok) return read;
      return read.value >= least && read.value <= most
        ? read
        : fail(
            "not-living",
            path.join("."),
            `${name}: ${Math.round(read.value)} mm is outside what a foot can have (${least} to ${most} mm).`,
          );
    },
    edit: (was, now) => footEdit(blank, "readings", existing, { path, was, now, label: name.toLowerCase() }),
  });
  const fields: Record<string, Field<number>> = {
    sulcus: field(["sulcusDepthMm"], existing?.sulcusDepthMm, "Sulcus depth", SULCUS_LIVING),
  };
  for (const place of WALL_PLACES)
    for (const column of COLUMNS)
      fields[`${place}.${column}`] = field(
        ["walls", place, column],
        existing?.walls[place]?.[column],
        `${wording.inOwnWords(WALL_PLACE_NAMES[place])}, ${WALL_MEASURES[column].name.toLowerCase()}`,
        WALL_MEASURES[column].living,
      );
  for (const [id, ring] of rings) {
    fields[`ring.${id}.toe`] = { ...field(["rings", id, "toeMm"], ring.toeMm, "Ring at the toe", [0, 250]) };
    fields[`ring.${id}.heel`] = field(["rings", id, "heelMm"], ring.heelMm, "Ring at the heel", [0, 250]);
  }
  const { view, type, settle } = useFields(fields);
  const issue = Object.keys(fields).flatMap((name) => view(name).issue ?? [])[0];
  const input = (name: string, label: string) => {
    const { issue: wrong } = view(name);
    return (
      <NumberInput
        className="cell-input"
        label={label}
        placeholder="–"
        view={view(name)}
        saidBy={wrong ? `${ids}-said` : undefined}
        onType={(next) => type(name, next)}
        onSettle={() => settle(name)}
        onEnter={(input) => {
          const all = [...(input.closest(".walls")?.querySelectorAll("input") ?? [])];
          if (settle(name)) all[all.indexOf(input) + 1]?.focus();
        }}
      />
    );
  };
  const change = (path: readonly string[], now: unknown, label: string) =>
    void save(footEdit(blank, "readings", existing, { path, now, label }));
  return (
    <div className="walls bench-lane">
      <table className="walls-table">
        <thead>
          <tr>
            <th scope="col">
              <span className="quiet">{wording.unit}</span>
            </th>
            {COLUMNS.map((column) => (
              <th scope="col" key={column} title={WALL_MEASURES[column].how}>
                {WALL_MEASURES[column].name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {WALL_PLACES.map((place) => (
            <tr key={place}>
              <th scope="row">{wording.inOwnWords(WALL_PLACE_NAMES[place])}</th>
              {COLUMNS.map((column) => (
                <td key={column}>
                  {input(
                    `${place}.${column}`,
                    `${wording.inOwnWords(WALL_PLACE_NAMES[place])}, ${WALL_MEASURES[column].name.toLowerCase()}`,
                  )}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="walls-more">
        <div className="walls-row">
          <span>
            Sulcus depth <span className="quiet">beside the point of the frog, under a straightedge</span>
          </span>
          {input("sulcus", "Sulcus depth")}
        </div>
        <div className="walls-row">
          <span>Central sulcus</span>
          <Segmented
            aria-label="Central sulcus"
            options={[...SULCUS_STATES]}
            value={existing?.sulcusState ?? ""}
            onChange={(state) => change(["sulcusState"], state, "central sulcus")}
          />
        </div>
        <div className="walls-row walls-rings">
          <span>
            Rings <span className="quiet">below the hairline, at the toe and at the heel</span>
          </span>
          <button
            type="button"
            className="text-button"
            onClick={() => change(["rings", crypto.randomUUID()], { toeMm: 0 }, "ring added")}
          >
            Add a ring
          </button>
        </div>
        {rings.map(([id], index) => (
          <div className="walls-row" key={id}>
            <span>
              Ring {index + 1}
              {dated[index]?.day && (
                <span className="quiet">begun about {shortDay(dated[index].day)}, by this foot’s growth</span>
              )}
            </span>
            <span className="walls-ring">
              {input(`ring.${id}.toe`, `Ring ${index + 1} at the toe`)}
              {input(`ring.${id}.heel`, `Ring ${index + 1} at the heel`)}
              <button
                type="button"
                className="text-button"
                aria-label={`Take ring ${index + 1} away`}
                onClick={() => change(["rings", id], undefined, "ring taken away")}
              >
                ×
              </button>
            </span>
          </div>
        ))}
        {issue && (
          <p className="ember" role="alert" id={`${ids}-said`}>
            {issue.message}
          </p>
        )}
      </div>
    </div>
  );
}
