import { useState } from "react";
import { shortDay } from "~app/ui/days";
import { useDraftedFields, type DraftedField } from "~app/ui/useDraftedFields";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { leftWith } from "~core/cycle/horseDue";
import { LIMBS } from "~core/foot/limb";
import { readMeaning, type FootMeaning, type Statement } from "~core/foot/meaning";
import {
  MEASURE_FACTS,
  MEASURES,
  SOURCES,
  type FootValues,
  type Measure,
  type Measured,
} from "~core/foot/measures";
import { oddities } from "~core/foot/oddities";
import { footToday } from "~core/foot/parametric/feetOfHorse";
import { fitFoot } from "~core/foot/parametric/fit";
import { toeTarget } from "~core/foot/toeYardstick";
import { changeSince } from "~core/repeatability/change";
import { GENERAL_NOISE } from "~core/repeatability/repeatability";
import { readingId, type Moment } from "~core/record/reading";
import { unitToggle } from "~core/record/unitToggle";
import { padText, type PadKey } from "~core/units/padText";
import type { Wording } from "~core/units/wording";
import { COARSE_STEPS } from "~app/ui/NumberPad";
import { FastLane, type LaneField } from "./FastLane";
import { FootPictures } from "./FootPictures";
import { Ledger } from "./Ledger";
import { readMeasured, showMeasured } from "./measureText";
import type { StageContext } from "./stageContext";
import { SideView } from "~app/drawing/SideView";

/** Survey before the trim, recheck after it: the fast lane, the foot it draws, what the numbers mean. */
export function MeasureStage(context: StageContext & { moment: Moment }) {
  const { visit, file, limb, feet, moment, goTo, stage } = context;
  const wording = useWording();
  const settings = useSettings();
  const { save } = useEdits();
  const [active, setActive] = useState<Measure>(MEASURES[0]);
  const foot = feet[limb];
  const stored = foot.values[moment];
  const id = readingId(visit.id, limb, moment);
  const noise = GENERAL_NOISE.value;

  const fields = Object.fromEntries(
    MEASURES.map((measure): [Measure, DraftedField<Measured>] => {
      const draftKey = `${id}.${measure}`;
      return [
        measure,
        {
          draftKey,
          stored: stored[measure],
          show: ({ value }) => showMeasured(measure, value, wording),
          read: (text) => readMeasured(measure, text, wording, stored[measure]?.source),
          edit: (was, now) => ({
            table: "readings",
            id,
            path: ["values", measure],
            was,
            now,
            label: `${wording.limb(limb)} ${wording.measure(measure).toLowerCase()}`,
          }),
        },
      ];
    }),
  ) as Record<Measure, DraftedField<Measured>>;
  const { view, type, settle, forget } = useDraftedFields(fields);

  const values: FootValues = {};
  for (const measure of MEASURES) {
    const { value } = view(measure);
    if (value) values[measure] = value;
  }
  const asLeft = leftWith(foot.last);
  const compared = moment === "before" ? asLeft : foot.values.before;
  const { foot: drawn, guessed } = footToday(
    file.horse,
    limb,
    values,
    moment === "before" ? foot.last : { date: visit.date, before: { ...asLeft, ...foot.values.before } },
  );
  const ghost = Object.keys(compared).length > 0 ? fitFoot(compared, drawn).foot : undefined;
  const questions = oddities(values, compared, wording).filter(
    ({ code }) => !foot.confirmed[moment].includes(code),
  );
  const meaning = readMeaning(values, {
    target: toeTarget(file.horse),
    noise,
    wording,
    last: moment === "before" && foot.last ? asLeft : undefined,
  });
  const unmeasured = guessed.length === MEASURES.length;

  const confirm = (code: string) =>
    void save({
      table: "readings",
      id,
      path: ["confirmed"],
      was: foot.confirmed[moment],
      now: [...foot.confirmed[moment], code],
      label: "odd value kept",
    });
  const changeSource = (measure: Measure, measured: Measured) => {
    const next = SOURCES[(SOURCES.indexOf(measured.source) + 1) % SOURCES.length] ?? "gauge";
    void save({
      table: "readings",
      id,
      path: ["values", measure],
      was: measured,
      now: { ...measured, source: next },
      label: "source",
    });
  };

  const lane = MEASURES.map((measure): LaneField<Measure> => {
    const { kind, how } = MEASURE_FACTS[measure];
    const { text, typed, issue, value } = view(measure);
    const before = compared[measure];
    const question = !typed ? questions.find((one) => one.measure === measure) : undefined;
    const measured = stored[measure];
    return {
      name: measure,
      label: wording.measure(measure),
      hint: how,
      kind,
      text,
      typed,
      issue,
      last: before && {
        text: showMeasured(measure, before.value, wording),
        ...(value && { change: changeText(measure, value.value, before.value, wording) }),
      },
      aside: measured && !typed && (
        <button
          type="button"
          className={`lane-source${measured.source === "estimate" ? " lane-estimate" : ""}`}
          aria-label={`${wording.measure(measure)} taken by ${measured.source}; change`}
          onClick={() => changeSource(measure, measured)}
        >
          {measured.source}
        </button>
      ),
      note: noteFor(measure, meaning, wording),
      ask: question && (
        <div className="lane-ask" role="group" aria-label="A question">
          <p>{question.question}</p>
          <button type="button" className="text-button" onClick={() => confirm(question.code)}>
            Yes, keep it
          </button>
        </div>
      ),
    };
  });

  const onPad = (key: PadKey) => {
    const { text, typed } = view(active);
    const fresh = !typed && (key.kind === "digit" || key.kind === "fraction" || key.kind === "point");
    type(
      active,
      padText(
        fresh ? "" : text,
        key,
        compared[active] && shownNumber(active, compared[active].value, wording),
      ),
    );
  };
  const nextFoot = LIMBS[LIMBS.indexOf(limb) + 1];

  return (
    <div className="bench">
      <FastLane
        fields={lane}
        active={active}
        unit={wording.unit}
        steps={COARSE_STEPS}
        lastName={moment === "before" ? "last" : "before"}
        onActive={setActive}
        onType={type}
        onSettle={settle}
        onPad={onPad}
        onUnit={() => {
          forget(active);
          void save(unitToggle(settings));
        }}
        onSame={() => {
          const before = compared[active];
          if (!before) return;
          type(active, showMeasured(active, before.value, wording));
          settle(active);
        }}
        onEnd={() =>
          goTo(
            nextFoot ? { limb: nextFoot } : { stage: stage === "survey" ? "trim" : "sign-off", limb: "LF" },
          )
        }
        picture={
          <SideView
            foot={drawn}
            ghost={ghost}
            wording={wording}
            guess={unmeasured}
            labels={false}
            title="Side view"
          />
        }
      />
      <FootPictures
        foot={drawn}
        ghost={ghost}
        ghostName={
          moment === "before" ? (foot.last ? `as left ${shortDay(foot.last.date)}` : "") : "before the trim"
        }
        guessed={guessed}
      />
      <Ledger
        values={values}
        compared={compared}
        comparedName={moment === "before" ? (foot.last ? shortDay(foot.last.date) : "last") : "before"}
        meaning={meaning}
        foot={drawn}
        ghost={ghost}
        noise={noise}
        target={toeTarget(file.horse)}
      />
    </div>
  );
}

/** The few words beside a number on a phone: axis, toe over target, heels uneven. */
function noteFor(
  measure: Measure,
  { axis, toeOverMm, heelDifferenceMm, statements }: FootMeaning,
  wording: Wording,
): LaneField<Measure>["note"] {
  const levelOf = (subject: Statement["subject"]) => {
    const level = statements.find((one) => one.subject === subject)?.level ?? "steady";
    return level === "ask the vet" ? "act" : level;
  };
  if (measure === "pasternAngle" && axis)
    return {
      text:
        axis.word === "straight" ? "axis straight" : `${axis.word} ${wording.angle(Math.abs(axis.axisDeg))}`,
      level: levelOf("axis"),
    };
  if (measure === "toeLength" && toeOverMm !== undefined && levelOf("toe") !== "steady")
    return { text: `${wording.length(toeOverMm)} over target`, level: levelOf("toe") };
  if (measure === "heelHeightLateral" && heelDifferenceMm !== undefined && levelOf("heels") !== "steady")
    return {
      text: `${wording.side(heelDifferenceMm > 0 ? "lateral" : "medial")} ${wording.length(Math.abs(heelDifferenceMm))} taller`,
      level: levelOf("heels"),
    };
  return undefined;
}

function changeText(measure: Measure, now: number, before: number, wording: Wording): string {
  const { kind } = MEASURE_FACTS[measure];
  const noise = GENERAL_NOISE.value[kind === "angle" ? "angleDeg" : "lengthMm"];
  const { difference, real } = changeSince(now, before, noise);
  if (!real) return "no change";
  const size = showMeasured(measure, Math.abs(difference), wording);
  return `${difference > 0 ? "+" : "−"}${size}`;
}

/** The number that stands in the field, for the pad's steps. */
const shownNumber = (measure: Measure, value: number, wording: Wording): number =>
  MEASURE_FACTS[measure].kind === "angle" || wording.unit === "mm" ? Math.round(value * 2) / 2 : value;
