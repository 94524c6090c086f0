import { useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useDraftedFields, type DraftedField } from "~app/ui/useDraftedFields";
import { useWording } from "~app/ui/useWording";
import { cautionsAt } from "~core/caution/cautions";
import { LIMBS } from "~core/foot/limb";
import { cutFoot } from "~core/foot/parametric/cut";
import { footToday } from "~core/foot/parametric/feetOfHorse";
import { halvesFrom, halvesInWords, halvesOf } from "~core/foot/parametric/halves";
import { knownSize, surveyOfRecord } from "~core/foot/survey/record";
import { checkCut } from "~core/trim/checkCut";
import { NO_CUT, type Cuts } from "~core/trim/predict";
import { footEdit, footPlace } from "~core/record/footRecords";
import { CUTS, type CutName } from "~core/record/trim";
import { ok } from "~core/result";
import { parseLength } from "~core/units/length";
import { SideView } from "~app/drawing/SideView";
import { CautionNote } from "./CautionNote";
import { FINE_STEPS } from "~app/ui/NumberPad";
import { FastLane, type LaneField } from "./bench/FastLane";
import { usePad } from "./bench/usePad";
import { FootPictures } from "./bench/FootPictures";
import { lengthInField } from "./bench/measureText";
import type { StageContext } from "./stageContext";

const HOW: Record<CutName, string> = {
  toe: "Height off the bearing surface at the toe",
  heelMedial: "Height off that heel",
  heelLateral: "Height off that heel",
  dress: "Thickness off the outside of the wall at the ground",
};

/** What was taken, in four numbers, and what that does to this foot. */
export function TrimStage(context: StageContext) {
  const { visit, file, limb, feet, goTo } = context;
  const wording = useWording();
  const [active, setActive] = useState<CutName>("heelMedial");
  const foot = feet[limb];
  const blank = footPlace("trims", visit, limb, "before");
  const order: readonly CutName[] = ["heelMedial", "heelLateral", "toe", "dress"];
  const nameOf: Record<CutName, string> = {
    toe: "Toe",
    heelMedial: `Heel, ${wording.side("medial")}`,
    heelLateral: `Heel, ${wording.side("lateral")}`,
    dress: "Dress the wall",
  };
  const fields = Object.fromEntries(
    CUTS.map((cut): [CutName, DraftedField<number>] => {
      const draftKey = `${blank.id}.${cut}`;
      return [
        cut,
        {
          draftKey,
          stored: foot.cuts[cut],
          show: (mm) => lengthInField(mm, wording, mm % 1 === 0 ? 0 : 1),
          read: (text) => {
            if (text.trim() === "") return ok(undefined);
            const read = parseLength(text, wording.unit);
            return read.ok ? checkCut(cut, read.value) : read;
          },
          edit: (was, now) =>
            footEdit(blank, "trims", foot.trim, {
              path: ["cuts", cut],
              was,
              now,
              label: `${wording.limb(limb)} ${nameOf[cut].toLowerCase()}`,
            }),
        },
      ];
    }),
  ) as Record<CutName, DraftedField<number>>;
  const { view, type, settle, forget } = useDraftedFields(fields);
  const pad = usePad({ view, type, forget }, active, 0);

  const cuts: Cuts = { ...NO_CUT };
  for (const cut of CUTS) cuts[cut] = view(cut).value ?? 0;
  const { survey } = surveyOfRecord(foot.reading.before?.sole ?? {}, limb, knownSize(foot.surveys));
  const { foot: before, guessed } = footToday(file.horse, limb, foot.values.before, foot.last, {
    survey,
    side: foot.reading.before?.side,
    rear: foot.reading.before?.rear,
  });
  const done = cutFoot(before, cuts);
  const after = done.ok ? done.value.foot : before;
  const nothingTaken = CUTS.every((cut) => cuts[cut] === 0);

  const predicted = done.ok && !nothingTaken ? done.value.predicted : undefined;
  const notes: Partial<Record<CutName, LaneField<CutName>["note"]>> = predicted
    ? {
        heelLateral: { text: `roll ${wording.angle(predicted.roll)}`, level: "steady" },
        toe: {
          text: `leaves dorsal ${wording.angle(predicted.dorsalAngle)}, axis ${wording.angle(predicted.axis)}`,
          level: "steady",
        },
        dress: {
          text: `halves ${halvesInWords(halvesFrom(predicted.front, predicted.support))}, toe ${wording.length(predicted.toeLength)}`,
          level: "steady",
        },
      }
    : {};
  const lane = order.map((cut): LaneField<CutName> => {
    const { text, typed, issue } = view(cut);
    return {
      name: cut,
      label: nameOf[cut],
      hint: HOW[cut],
      kind: "length",
      text,
      typed,
      issue,
      note: notes[cut],
    };
  });
  const nextFoot = LIMBS[LIMBS.indexOf(limb) + 1];
  return (
    <div className="bench">
      <div className="bench-lane">
        <FastLane
          fields={lane}
          active={active}
          unit={wording.unit}
          steps={FINE_STEPS}
          lastName="last"
          onActive={setActive}
          onType={type}
          onSettle={settle}
          {...pad}
          onSame={() => undefined}
          onEnd={() => goTo(nextFoot ? { limb: nextFoot } : { stage: "recheck", limb: "LF" })}
          picture={
            <SideView
              foot={after}
              ghost={before}
              wording={wording}
              guess={guessed.length === 7}
              labels={false}
              title="Side view after the cut"
            />
          }
        />
        {cautionsAt("trim").map((caution) => (
          <CautionNote key={caution.id} caution={caution} about={file.horse.id} />
        ))}
      </div>
      <FootPictures
        foot={after}
        ghost={nothingTaken ? undefined : before}
        ghostName="before the trim"
        guessed={guessed}
        surveyed={survey.front !== undefined && survey.support !== undefined}
        filledName={nothingTaken ? "as measured" : "predicted after these cuts"}
      />
      <section className="ledger" aria-label="Prediction">
        {done.ok ? (
          <PredictionTable
            rows={[
              [
                "Dorsal angle",
                wording.angle(before.dorsalAngleDeg),
                wording.angle(done.value.predicted.dorsalAngle),
              ],
              [
                "Axis",
                wording.angle(before.dorsalAngleDeg - before.pasternAngleDeg),
                wording.angle(done.value.predicted.axis),
              ],
              [
                "Toe length",
                wording.length(before.toeLengthMm),
                wording.length(done.value.predicted.toeLength),
              ],
              [
                "Front : support",
                halvesInWords(halvesOf(before)),
                halvesInWords(halvesFrom(done.value.predicted.front, done.value.predicted.support)),
              ],
              [`Roll, + lowers ${wording.side("lateral")}`, "", wording.angle(done.value.predicted.roll)],
            ]}
          />
        ) : (
          <p className="ember" role="alert">
            {done.issues[0]?.message}
          </p>
        )}
        <p className="quiet ledger-note">
          A prediction from plane geometry, to the accuracy of the numbers it starts from. Measure again at
          Recheck.
          {guessed.length > 0 && " Parts of this foot were not measured: those are a guess."}
        </p>
      </section>
    </div>
  );
}

function PredictionTable({ rows }: { rows: [name: string, before: string, after: string][] }) {
  return (
    <table>
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Measure</span>
          </th>
          <th scope="col">before</th>
          <th scope="col">predicted</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, before, after]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="quiet">
              <Fractions text={before} />
            </td>
            <td className="ledger-now">
              <Fractions text={after} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
