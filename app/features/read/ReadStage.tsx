import { Tap } from "~app/ui/Tap";
import { TextButton } from "~app/ui/TextButton";
import { PickOne } from "~app/ui/PickOne";
import { useState } from "react";
import { SoleView } from "~app/drawing/SoleView";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { svgPoint } from "~app/drawing/svgPoint";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { cautionsAt } from "~core/caution/cautions";
import { flagOfFind } from "~core/caution/redFlags";
import { Fractions } from "~app/ui/Fractions";
import { isOnFoot } from "~core/foot/parametric/outline";
import { knownSize, surveyOfRecord } from "~core/foot/records/keptSurvey";
import { presentFinds, type Find } from "~core/foot/records/look";
import { noiseOf } from "~core/foot/records/pairs";
import { awaitedFinds, awaitedInWords, type AwaitedFind } from "~core/visit/livingFindWords";
import { footToday } from "~core/visit/feetOfHorse";
import { sizeFactor } from "~core/foot/parametric/parameters";
import {
  FIND_KIND_NAMES,
  FIND_KINDS,
  WEAR_SECTOR_NAMES,
  WEAR_SECTORS,
  WEAR_STATES,
  type FindKind,
  type WearSector,
} from "~core/foot/wear";
import { watchingAt } from "~core/gait/looks";
import { wearAgreement } from "~core/gait/wearAgreement";
import type { Edit } from "~core/record/edit";
import { isShod } from "~core/record/horse";
import { footEdit, footPlace } from "~core/record/footRecords";
import { CautionNote } from "~app/ui/CautionNote";
import { NoteField } from "~app/stage/NoteField";
import { Onward } from "~app/stage/Onward";
import type { StageContext } from "~app/stage/stageContext";
import { Choice } from "~app/stage/Choice";
import { FoundShoe } from "./FoundShoe";
import { FindRow } from "./FindRow";
import { HornTaps } from "./HornTaps";
import { SectorShoe } from "~app/stage/SectorShoe";
import "./read.css";

/** Pull and read: the wear of the old shoe painted, and what was found placed on the sole. */
export function ReadStage(context: StageContext) {
  const { visit, file, limb, feet, outlooks } = context;
  const wording = useWording();
  const { save } = useEdits();
  const [brush, setBrush] = useState<(typeof WEAR_STATES)[number]>("thin");
  const [kind, setKind] = useState<FindKind>("bruise");
  const [offFoot, setOffFoot] = useState(false);
  const foot = feet[limb];
  const blank = footPlace("looks", visit, limb, "before");
  const wear = foot.look?.wear ?? {};
  const today = foot.look?.finds ?? {};
  const finds = presentFinds(foot.look);
  const noise = noiseOf(file.settings);
  const { foot: drawn } = footToday(file.horse, limb, foot.values.before, foot.last);
  const k = sizeFactor(drawn);
  const awaited = awaitedFinds(file.looks, limb, {
    day: visit.date,
    visitId: visit.id,
    outlook: outlooks[limb],
    hemisphere: file.settings.hemisphere,
    toeLengthMm: drawn.toeLengthMm,
    noise,
  });
  const toSee = awaited.filter(({ id }) => !(id in today));
  /** `was` is what stood there when the typing began; without it, what stands there now. */
  const edit = (path: readonly string[], now: unknown, label: string, ...was: [unknown?]) =>
    footEdit(blank, "looks", foot.look, {
      path,
      now,
      label: `${wording.limb(limb)} ${label}`,
      ...(was.length > 0 && { was: was[0] }),
    });
  const paint = (sector: WearSector) =>
    void save(edit(["wear", sector], wear[sector] === brush ? undefined : brush, "wear"));
  const putFind = (at: readonly [number, number]) => {
    const edits: Edit[] = [
      edit(
        ["finds", crypto.randomUUID()],
        { kind, at: [Math.round(at[0] / k), Math.round(at[1] / k)], note: "" },
        kind,
      ),
    ];
    const flag = flagOfFind(kind);
    if (flag && !visit.flags[flag])
      edits.push({
        table: "visits",
        id: visit.id,
        path: ["flags", flag],
        was: undefined,
        now: { limb, note: "", because: "" },
        label: "red flag",
      });
    void save(...edits);
  };
  const agreement = wearAgreement(wear, watchingAt(foot.watching, "before"));
  const surveyed = foot.reading.before?.sole.toe ? foot.reading.before : foot.surveys.at(-1);
  const { survey } = surveyOfRecord(surveyed?.sole ?? {}, limb, knownSize(foot.surveys));
  const overlay = ({ frame, at, back }: ViewGeometry) => (
    <g>
      <rect
        className="find-field"
        x={frame[0]}
        y={frame[1]}
        width={frame[2]}
        height={frame[3]}
        onClick={(event) => {
          const svg = (event.target as SVGElement).ownerSVGElement;
          const point = svg && svgPoint(svg, event);
          if (!point) return;
          const on = back(point);
          const off = !isOnFoot(on, drawn);
          setOffFoot(off);
          if (!off) putFind(on);
        }}
      />
      {toSee.map(({ id, latest }) => {
        const [x, y] = at([latest.at[0] * k, latest.at[1] * k]);
        return <circle key={id} className="find-ghost" cx={x} cy={y} r={6} />;
      })}
      {finds.map(([id, find], index) => {
        const [x, y] = at([find.at[0] * k, find.at[1] * k]);
        return (
          <g key={id} className="find-mark">
            <circle cx={x} cy={y} r={6} />
            <text x={x} y={y + 2.4} textAnchor="middle">
              {index + 1}
            </text>
          </g>
        );
      })}
    </g>
  );
  return (
    <div className="read">
      <section className="read-shoe" aria-label="Wear of the old shoe">
        <h2>{isShod(file.horse, limb) ? "Wear of the old shoe" : "Wear of the bare wall"}</h2>
        <p className="quiet">Choose how worn, then tap the places.</p>
        <Choice
          label="Paint"
          options={WEAR_STATES}
          value={brush}
          onChoose={(state) => setBrush(state ?? brush)}
        />
        <SectorShoe
          limb={limb}
          states={wear}
          classOf={(state) => `wear-${state}`}
          title={`Old shoe of the ${wording.limb(limb)}, from below`}
          none="not painted"
          onPaint={paint}
        />
        <table className="visually-hidden" aria-label="Wear by place">
          <tbody>
            {WEAR_SECTORS.map((sector) => (
              <tr key={sector}>
                <th scope="row">{wording.inOwnWords(WEAR_SECTOR_NAMES[sector])}</th>
                <td>{wear[sector] ?? "not painted"}</td>
              </tr>
            ))}
          </tbody>
        </table>
        {agreement && (
          <p className={agreement.agrees ? "watch-said" : "watch-said watch-ask"}>
            {agreement.agrees
              ? "Landing, breakover and wear agree."
              : wording.inOwnWords(`They do not agree: ${agreement.disagreements.join("; ")}.`)}
          </p>
        )}
        {(isShod(file.horse, limb) || foot.shoe?.found) && <FoundShoe context={context} survey={survey} />}
      </section>
      <section aria-label="What was found">
        <h2>What was found</h2>
        <label className="find-kind">
          <span className="quiet">Choose what, then tap where</span>
          <PickOne
            label="What was found"
            value={kind}
            options={FIND_KIND_NAMES.map((value) => ({ value, label: FIND_KINDS[value] }))}
            onPick={setKind}
          />
        </label>
        <div className="read-sole">
          <SoleView
            foot={drawn}
            wording={wording}
            guess={false}
            labels={false}
            overlay={overlay}
            title={`Sole of the ${wording.limb(limb)} from below, with what was found`}
          />
          <span className="read-sides quiet">
            {limb.startsWith("L")
              ? `${wording.side("medial")} · ${wording.side("lateral")}`
              : `${wording.side("lateral")} · ${wording.side("medial")}`}
          </span>
        </div>
        {offFoot && (
          <p className="ember" role="alert">
            That is off the foot. Tap on the sole, or on its wall.
          </p>
        )}
        <TextButton onClick={() => putFind([0, 60 * k])}>
          Add “{FIND_KINDS[kind].toLowerCase()}” without a place on the drawing
        </TextButton>
        {toSee.length > 0 && (
          <section className="find-awaited" aria-label="Look for these">
            <h3>Look for these</h3>
            <ul>
              {toSee.map((find) => (
                <li key={find.id}>
                  <p>
                    <Fractions text={awaitedInWords(find, visit.date, wording)} />
                  </p>
                  <span className="find-answers">
                    <Tap
                      onClick={() =>
                        void save(edit(["finds", find.id], seenAgain(find), "find, still there"))
                      }
                    >
                      Still there
                    </Tap>
                    <Tap
                      onClick={() =>
                        void save(edit(["finds", find.id], { ...find.latest, gone: true }, "find, gone"))
                      }
                    >
                      Grown out or healed
                    </Tap>
                  </span>
                </li>
              ))}
            </ul>
          </section>
        )}
        <ol className="find-list">
          {finds.map(([id, find]) => (
            <FindRow
              key={id}
              id={id}
              find={find}
              draftKey={`${blank.id}.find.${id}`}
              before={awaited.find((one) => one.id === id)}
              toeLengthMm={drawn.toeLengthMm}
              smallestChangeMm={noise.lengthMm}
              edit={edit}
            />
          ))}
        </ol>
      </section>
      <HornTaps look={foot.look} edit={edit} />
      <div className="read-note">
        <NoteField
          visit={visit}
          path={["notes", "read"]}
          stored={visit.notes.read ?? ""}
          label="In words"
          hint="Tubules, rings, cracks, smell, clefts, what the shoe told"
        />
        <Onward {...context} />
        {cautionsAt("read").map((caution) => (
          <CautionNote key={caution.id} caution={caution} about="" />
        ))}
      </div>
    </div>
  );
}

/** The find as it is carried over: where it lies; how far down and how long is measured anew. */
const seenAgain = ({ latest: { kind, at, note, wall } }: AwaitedFind): Find => ({
  kind,
  at,
  note,
  ...(wall && { wall }),
});
