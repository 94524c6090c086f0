import { Button } from "antd";
import { Link } from "react-router";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { dueReason } from "~core/cycle/dueWords";
import { capWeeksOf, horseDue, horseOutlook } from "~core/cycle/horseDue";
import { LIMBS } from "~core/foot/limb";
import { readAxis } from "~core/foot/axis";
import type { FootValues, Measure } from "~core/foot/measures";
import { noiseOf } from "~core/foot/records/pairs";
import type { CutName } from "~core/trim/trimRecord";
import { specInWords } from "~core/shoe/specification";
import { NoteField } from "~app/stage/NoteField";
import { lengthInField } from "~core/foot/wording";
import type { StageContext } from "~app/stage/stageContext";
import { Unfinished } from "./Unfinished";

/** What was done, what to watch, what to tell, and when to come back. */
export function SignOffStage({ visit, file, feet, goTo }: StageContext) {
  const wording = useWording();
  const settings = useSettings();
  const { save } = useEdits();
  const noise = noiseOf(settings);
  const readings = file.readings.filter((one) => one.date <= visit.date);
  const outlooks = horseOutlook(file.horse, readings, settings);
  const next =
    visit.status === "signed" && visit.next
      ? visit.next
      : horseDue(file.horse, visit.date, outlooks, settings);
  const unmeasured = LIMBS.filter((limb) => Object.keys(feet[limb].values.after).length === 0);
  const sign = () =>
    save(
      {
        table: "visits",
        id: visit.id,
        path: ["status"],
        was: visit.status,
        now: "signed",
        label: "sign off",
      },
      {
        table: "visits",
        id: visit.id,
        path: ["signedAt"],
        was: visit.signedAt,
        now: new Date().toISOString(),
        label: "sign off",
      },
      { table: "visits", id: visit.id, path: ["next"], was: visit.next, now: next, label: "sign off" },
    );
  const pair = (before: FootValues, after: FootValues, measure: Measure, show: (value: number) => string) =>
    [before[measure]?.value, after[measure]?.value]
      .map((value) => (value === undefined ? "–" : show(value)))
      .join(" → ");
  const axisWord = (values: FootValues) => {
    const { dorsalAngle, pasternAngle } = values;
    if (!dorsalAngle || !pasternAngle) return "–";
    const axis = readAxis(dorsalAngle.value, pasternAngle.value, noise.angleDeg);
    return axis.word === "straight" ? "straight" : `${axis.word} ${wording.angle(Math.abs(axis.axisDeg))}`;
  };
  return (
    <div className="sign-off">
      <Unfinished visit={visit} goTo={goTo} />
      <section className="due-card" aria-label="Next due">
        <p className="quiet">{visit.status === "signed" ? "Signed off. Due again" : "Due again"}</p>
        <p className="due-date">{shortDay(next.due)}</p>
        <p>
          day {next.day} · window opens {shortDay(next.windowStart)} ·{" "}
          <b>{dueReason(next, file.horse, wording)}</b>
        </p>
        <p className="quiet">
          Cap {capWeeksOf(file.horse, settings)} weeks.{" "}
          {outlooks
            .map(
              ({ growth, limb }) =>
                `${limb} grows ${(growth.perDay * 7).toFixed(1)} mm a week (${growth.observations ? `${growth.observations} cycles` : "general value"})`,
            )
            .join("; ")}
          .
        </p>
      </section>
      <table className="sign-table">
        <thead>
          <tr>
            <th scope="col">Foot</th>
            <th scope="col">Dorsal angle</th>
            <th scope="col">Toe length</th>
            <th scope="col">Axis left</th>
            <th scope="col">
              Taken: heels {wording.side("medial")} / {wording.side("lateral")}, toe, dress
            </th>
            <th scope="col">By itself due</th>
          </tr>
        </thead>
        <tbody>
          {LIMBS.map((limb) => {
            const { values, cuts } = feet[limb];
            const outlook = outlooks.find((one) => one.limb === limb);
            const due = outlook?.question?.last === visit.date ? outlook.due : undefined;
            const taken = ["heelMedial", "heelLateral", "toe", "dress"] as const satisfies CutName[];
            const untouched = [values.before, values.after, cuts].every(
              (one) => Object.keys(one).length === 0,
            );
            if (untouched)
              return (
                <tr key={limb}>
                  <th scope="row">{wording.limb(limb)}</th>
                  <td colSpan={5} className="quiet">
                    not measured, nothing noted
                  </td>
                </tr>
              );
            return (
              <tr key={limb}>
                <th scope="row">{wording.limb(limb)}</th>
                <td data-label="Dorsal angle">
                  {pair(values.before, values.after, "dorsalAngle", wording.angle)}
                </td>
                <td data-label="Toe length">
                  {pair(values.before, values.after, "toeLength", wording.length)}
                </td>
                <td data-label="Axis left">{axisWord(values.after)}</td>
                <td data-label="Taken">
                  {taken.every((cut) => cuts[cut] === undefined)
                    ? "nothing noted"
                    : taken
                        .map((cut) =>
                          cuts[cut] === undefined
                            ? "–"
                            : lengthInField(cuts[cut], wording, cuts[cut] % 1 === 0 ? 0 : 1),
                        )
                        .join(" / ")}
                </td>
                <td data-label="By itself due">
                  {due ? `${shortDay(due.due)} · ${due.reason}` : "not measured"}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Shod feet={feet} />
      <div className="sign-notes">
        <NoteField
          visit={visit}

          path={["watch"]}
          stored={visit.watch}
          label="Watch next time"
          hint="What to look at first"
        />
        <NoteField
          visit={visit}

          path={["tell"]}
          stored={visit.tell}
          label="Tell the owner"
          hint="What was done, left alone and why"
        />
        <NoteField
          visit={visit}

          path={["notes", "sign-off"]}
          stored={visit.notes["sign-off"] ?? ""}
          label="For the vet, or for yourself"
          hint="Anything else"
        />
      </div>
      {visit.status === "signed" ? (
        <p className="sign-actions">
          <Link className="go-link" to="/">
            Back to Today
          </Link>
          <Link className="link" to={`/horses/${file.horse.id}`}>
            {file.horse.name}’s page
          </Link>
          <Button
            onClick={() =>
              void save({
                table: "visits",
                id: visit.id,
                path: ["status"],
                was: "signed",
                now: "open",
                label: "open again",
              })
            }
          >
            Open it again
          </Button>
        </p>
      ) : (
        <div className="sign-actions">
          <Button type="primary" size="large" onClick={() => void sign()}>
            Sign off
          </Button>
          {unmeasured.length > 0 && (
            <p className="quiet">
              Not measured after the trim: {unmeasured.map((limb) => wording.limb(limb)).join(", ")}. It can
              be signed so; those feet count with what was measured before, or by the cap alone.
            </p>
          )}
        </div>
      )}
    </div>
  );
}

/** What each foot goes away with. */
function Shod({ feet }: Pick<StageContext, "feet">) {
  const wording = useWording();
  const shod = LIMBS.flatMap((limb) => {
    const { shoe } = feet[limb];
    return shoe?.spec ? [{ limb, spec: shoe.spec, because: shoe.because }] : [];
  });
  if (shod.length === 0) return null;
  return (
    <dl className="facts sign-shoes" aria-label="What each foot goes away with">
      {shod.map(({ limb, spec, because }) => (
        <div key={limb} className="sign-shod">
          <dt>{wording.limb(limb)}</dt>
          <dd>
            <Fractions text={specInWords(spec, wording)} />
            {because && <span className="quiet"> Because: {because}.</span>}
          </dd>
        </div>
      ))}
    </dl>
  );
}
