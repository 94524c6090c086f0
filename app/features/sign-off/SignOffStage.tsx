import { Button } from "antd";
import { useMemo } from "react";
import { Link } from "react-router";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { dueBeside, dueReason } from "~core/cycle/dueWords";
import { isFore, LIMBS } from "~core/foot/limb";
import { specInWords, studsForOwner } from "~core/shoe/specWords";
import { change } from "~core/record/change";
import { valueAt } from "~core/record/edit";
import { signedBefore } from "~core/record/visit";
import { signEdits, signOff } from "~core/visit/signOff";
import { NoteField } from "~app/stage/NoteField";
import type { StageContext } from "~app/stage/stageContext";
import { Unfinished } from "./Unfinished";
import "./sign-off.css";

const NOTES = [
  { path: ["watch"], label: "Watch next time", hint: "What to look at first" },
  { path: ["tell"], label: "Tell the owner", hint: "What was done, left alone and why" },
  { path: ["notes", "sign-off"], label: "For the vet, or for yourself", hint: "Anything else" },
];

/** What was done, what to watch, what to tell, and when to come back. */
export function SignOffStage({ visit, file, feet, goTo }: StageContext) {
  const wording = useWording();
  const settings = useSettings();
  const { save } = useEdits();
  const standing = signedBefore(file.visits, visit)?.next;
  const {
    next,
    capWeeks,
    growth,
    window,
    feet: rows,
    unmeasured,
  } = useMemo(
    () =>
      signOff(
        { visit, horse: file.horse, feet, due: standing?.due, standing },
        file.readings,
        settings,
        wording,
      ),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- feet are worked out from `file` and `visit`
    [visit, file, settings],
  );
  const beside = dueBeside(next, visit.date, capWeeks);
  const sign = () => save(...signEdits(visit, next, new Date().toISOString()));
  return (
    <div className="sign-off">
      <Unfinished visit={visit} goTo={goTo} />
      <section className="due-card" aria-label="Next due">
        <p className="quiet">{visit.status === "signed" ? "Signed off. Due again" : "Due again"}</p>
        <p className="due-date">{shortDay(next.due)}</p>
        <p>
          day {next.day} · window opens {shortDay(next.windowStart)} ·{" "}
          <b>{dueReason(next, file.horse, wording)}</b>
          {beside && ` · ${beside.words} ${shortDay(beside.day)}`}
        </p>
        <p className="quiet">
          Cap {capWeeks} weeks. {window.map((says) => `${says} `)}
          {growth.join("; ")}.
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
          {rows.map(({ limb, untouched, ...foot }) =>
            untouched ? (
              <tr key={limb}>
                <th scope="row">{wording.limb(limb)}</th>
                <td colSpan={5} className="quiet">
                  not measured, nothing noted
                </td>
              </tr>
            ) : (
              <tr key={limb}>
                <th scope="row">{wording.limb(limb)}</th>
                <td data-label="Dorsal angle">{foot.dorsalAngle}</td>
                <td data-label="Toe length">{foot.toeLength}</td>
                <td data-label="Axis left">{foot.axis}</td>
                <td data-label="Taken">{foot.taken ?? "nothing noted"}</td>
                <td data-label="By itself due">
                  {foot.due ? `${shortDay(foot.due.due)} · ${foot.due.reason}` : "not measured"}
                </td>
              </tr>
            ),
          )}
        </tbody>
      </table>
      <Shod feet={feet} />
      <div className="sign-notes">
        {NOTES.map(({ path, label, hint }) => (
          <NoteField
            key={label}
            visit={visit}
            path={path}
            stored={String(valueAt(visit, path) ?? "")}
            label={label}
            hint={hint}
          />
        ))}
      </div>
      {visit.status === "signed" ? (
        <p className="sign-actions">
          <Link className="go-link" to="/">
            Back to Today
          </Link>
          <Link className="link" to={`/horses/${file.horse.id}`}>
            {file.horse.name}’s page
          </Link>
          <Button onClick={() => void save(change("visits", visit, ["status"], "open", "open again"))}>
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
  const studs = studsForOwner(shod.map(({ limb, spec }) => ({ fore: isFore(limb), spec })));
  return (
    <>
      {studs && (
        <p className="sign-studs">
          <b>For the owner.</b> {studs}
        </p>
      )}
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
    </>
  );
}
