import { TextButton } from "~app/ui/TextButton";
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
import { estimatedAbove } from "~core/foot/wallEstimate";
import { chalkSays, frogSays } from "~core/foot/frogWords";
import { lengthInField } from "~core/foot/wording";
import { Fractions } from "~app/ui/Fractions";

const COLUMNS = Object.keys(WALL_MEASURES) as WallMeasure[];

/** Depth of the sulcus beside the point of the frog: what a straightedge and a rule can give, mm. */
const SULCUS_LIVING = [0, 40] as const;
/** What can be pared at the point of the frog, and how far a frog stands past or within the heels' plane, mm. */
/** No wall stands further above its live sole than this, so none is pared deeper. */
const CHALK_LIVING = [0, 25] as const;
const STEP_LIVING = [0, 25] as const;
const PROUD_LIVING = [-40, 40] as const;

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
  const shoe = feet[limb].shoe?.spec ?? feet[limb].lastShoe?.spec;
  const shoeMm = shoe && shoe.type !== "bare" ? shoe.thickness : 0;
  const rings = Object.entries(existing?.rings ?? {});
  const field = (
    path: readonly string[],
    stored: number | undefined,
    name: string,
    [least, most]: readonly [number, number],
  ): Field<number> => ({
    draftKey: `${blank.id}.${path.join(".")}`,
    stored,
    show: (mm) => `${mm < 0 ? "−" : ""}${lengthInField(Math.abs(mm), wording, mm % 1 === 0 ? 0 : 1)}`,
    read: (text) => {
      if (text.trim() === "") return ok(undefined);
      const minus = least < 0 && /^\s*[-−–]/.test(text);
      const size = parseLength(minus ? text.trim().slice(1) : text, wording.unit);
      if (!size.ok) return size;
      const value = minus ? -size.value : size.value;
      return value >= least && value <= most
        ? ok(value)
        : fail(
            "not-living",
            path.join("."),
            `${name}: ${Math.round(value)} mm is outside what a foot can have (${least} to ${most} mm).`,
          );
    },
    edit: (was, now) => footEdit(blank, "readings", existing, { path, was, now, label: name.toLowerCase() }),
  });
  const fields: Record<string, Field<number>> = {
    sulcus: field(["sulcusDepthMm"], existing?.sulcusDepthMm, "Sulcus depth", SULCUS_LIVING),
  };
  fields["chalk"] = field(["chalkMm"], existing?.chalkMm, "Chalk pared", CHALK_LIVING);
  fields["step"] = field(["stepMm"], existing?.stepMm, "Wall over the sole", STEP_LIVING);
  fields["proud"] = field(["frogProudMm"], existing?.frogProudMm, "Frog against the heels", PROUD_LIVING);
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
  const aboveToe = estimatedAbove(existing?.chalkMm, existing?.stepMm);
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
          <span>
            Chalk pared <span className="quiet">at the point of the frog, until even and waxy</span>
          </span>
          {input("chalk", "Chalk pared")}
        </div>
        {existing?.chalkMm !== undefined && <p className="walls-follows">{chalkSays(existing.chalkMm)}</p>}
        <div className="walls-row">
          <span>
            Wall over the sole <span className="quiet">at the toe, step down to the sole as it is</span>
          </span>
          {input("step", "Wall over the sole")}
        </div>
        {aboveToe !== undefined && (
          <p className="walls-follows">
            <Fractions
              text={
                existing?.walls.toe?.above === undefined
                  ? `Chalk and step make about ${wording.cut(aboveToe)} of wall above the live sole at the toe: an estimate, until it is measured.`
                  : `Chalk and step make ${wording.cut(aboveToe)}; measured are ${wording.cut(existing.walls.toe.above)}.`
              }
            />
          </p>
        )}
        <div className="walls-row">
          <span>
            Frog against the heels <span className="quiet">straightedge across both; − where it lies in</span>
          </span>
          {input("proud", "Frog against the heels")}
        </div>
        {existing?.frogProudMm !== undefined && (
          <p className="walls-follows">
            <Fractions text={frogSays(existing.frogProudMm, shoeMm, wording)} />
          </p>
        )}
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
          <TextButton onClick={() => change(["rings", crypto.randomUUID()], { toeMm: 0 }, "ring added")}>
            Add a ring
          </TextButton>
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
              <TextButton
                aria-label={`Take ring ${index + 1} away`}
                onClick={() => change(["rings", id], undefined, "ring taken away")}
              >
                ×
              </TextButton>
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
