import { TextButton } from "~app/ui/TextButton";
import { useState } from "react";
import { useFields, type Field } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { readAxis } from "~core/foot/axis";
import type { Level } from "~core/foot/level";
import {
  HAND_SOURCES,
  MEASURE_FACTS,
  MEASURES,
  type FootValues,
  type Measure,
  type Measured,
} from "~core/foot/measures";
import { oddities } from "~core/foot/oddities";
import { heelDifferenceLevel, toeOverLevel } from "~core/foot/findings/handLevels";
import type { BoundOverrides } from "~core/foot/survey/ratios";
import { toeTarget } from "~core/foot/toeYardstick";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { Moment } from "~core/foot/records/reading";
import { changeSince } from "~core/repeatability/change";
import { noiseOf } from "~core/foot/records/pairs";
import type { Noise } from "~core/repeatability/repeatability";
import { ok } from "~core/result";
import type { Wording } from "~core/foot/wording";
import type { StageContext } from "~app/stage/stageContext";
import { FastLane, type LaneField } from "./FastLane";
import { readMeasured, showMeasured } from "./measureText";
import { useAgain, withAgain } from "./useAgain";
import { usePad } from "./usePad";

/** The fast lane of one foot: its values as they are typed, and the lane to type them in. */
export function useLane(context: StageContext, moment: Moment, compared: FootValues) {
  const { visit, file, limb, feet } = context;
  const wording = useWording();
  const settings = useSettings();
  const noise = noiseOf(settings);
  const { save } = useEdits();
  const [active, setActive] = useState<Measure>(MEASURES[0]);
  const foot = feet[limb];
  const stored = foot.values[moment];
  const blank = footPlace("readings", visit, limb, moment);
  const change = (path: readonly string[], was: unknown, now: unknown, label: string) =>
    footEdit(blank, "readings", foot.reading[moment], { path, was, now, label });

  const fields = Object.fromEntries(
    MEASURES.map((measure): [Measure, Field<Measured>] => [
      measure,
      {
        draftKey: `${blank.id}.${measure}`,
        stored: stored[measure],
        show: ({ value }) => showMeasured(measure, value, wording),
        read: (text) => readMeasured(measure, text, wording, stored[measure]?.source),
        edit: (was, now) =>
          change(
            ["values", measure],
            was,
            now,
            `${wording.limb(limb)} ${wording.measure(measure).toLowerCase()}`,
          ),
      },
    ]),
  ) as Record<Measure, Field<Measured>>;
  const drafted = useFields(fields);
  const { view, type, settle, forget } = drafted;

  const values: FootValues = {};
  for (const measure of MEASURES) {
    const { value } = view(measure);
    if (value) values[measure] = value;
  }
  const questions = oddities(values, compared, wording).filter(
    ({ code }) => !foot.confirmed[moment].includes(code),
  );
  const confirm = (code: string) =>
    void save(
      change(["confirmed"], foot.confirmed[moment], [...foot.confirmed[moment], code], "odd value kept"),
    );
  const changeSource = (measure: Measure, measured: Measured) => {
    const at = (HAND_SOURCES as readonly string[]).indexOf(measured.source);
    const source = HAND_SOURCES[(at + 1) % HAND_SOURCES.length] ?? "gauge";
    void save(change(["values", measure], measured, { ...measured, source }, "source"));
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
        ...(value && { change: changeText(measure, value.value, before.value, noise, wording) }),
      },
      aside: measured && !typed && (
        <button
          type="button"
          className={`lane-source${measured.source === "estimate" || measured.source === "simulated" ? " lane-estimate" : ""}`}
          aria-label={`${wording.measure(measure)} taken by ${measured.source}; change`}
          onClick={() => changeSource(measure, measured)}
        >
          {measured.source}
        </button>
      ),
      note: noteFor(measure, values, toeTarget(file.horse).toeLengthMm, {
        noise,
        bounds: settings.bounds as BoundOverrides,
        wording,
      }),
      ask: question && (
        <div className="lane-ask" role="group" aria-label="A question">
          <p>{question.question}</p>
          <TextButton onClick={() => confirm(question.code)}>Yes, keep it</TextButton>
        </div>
      ),
    };
  });

  const shownBefore = compared[active];
  const pad = usePad(drafted, active, shownBefore && shownNumber(active, shownBefore.value, wording));
  /** A reading that came from an instrument: into the active field, then on to the next. */
  const take = (kind: "angle" | "length", value: number, source: Measured["source"]): string | undefined => {
    const target = MEASURES.slice(MEASURES.indexOf(active)).find((one) => MEASURE_FACTS[one].kind === kind);
    if (!target) return undefined;
    const now: Measured = { value, source };
    void save(
      change(
        ["values", target],
        stored[target],
        now,
        `${wording.limb(limb)} ${wording.measure(target).toLowerCase()}`,
      ),
    );
    forget(target);
    setActive(MEASURES[MEASURES.indexOf(target) + 1] ?? target);
    return wording.measure(target);
  };

  const first = stored[active];
  const again = useAgain(
    first && {
      measure: active,
      name: wording.measure(active),
      hint: MEASURE_FACTS[active].how,
      kind: MEASURE_FACTS[active].kind,
      first: first.value,
      place: blank.id,
      date: visit.date,
      read: (text) => {
        const read = readMeasured(active, text, wording, first.source);
        return read.ok ? ok(read.value?.value) : read;
      },
      show: (value) => showMeasured(active, value, wording),
    },
  );
  const laneView = (parts: { picture: React.ReactNode; onEnd: () => void }) =>
    withAgain(
      again,
      <FastLane
        fields={lane}
        active={active}
        unit={wording.unit}
        lastName={moment === "before" ? "last" : "before"}
        onActive={setActive}
        onType={type}
        onSettle={settle}
        {...pad}
        onSame={() => {
          const before = compared[active];
          if (!before) return;
          type(active, showMeasured(active, before.value, wording));
          settle(active);
        }}
        onEnd={parts.onEnd}
        picture={parts.picture}
      />,
    );
  return { values, laneView, take, active, measuringAgain: again.lane !== undefined };
}

/** The few words beside a number on a phone: axis, toe over target, heels uneven. */
function noteFor(
  measure: Measure,
  { dorsalAngle, pasternAngle, toeLength, heelHeightLateral, heelHeightMedial }: FootValues,
  toeTargetMm: number,
  { noise, bounds, wording }: { noise: Noise; bounds: BoundOverrides; wording: Wording },
): LaneField<Measure>["note"] {
  const calm = (level: Level) => (level === "ask the vet" ? "act" : level);
  if (measure === "pasternAngle" && dorsalAngle && pasternAngle) {
    const axis = readAxis(dorsalAngle.value, pasternAngle.value, noise.angleDeg);
    return {
      text:
        axis.word === "straight" ? "axis straight" : `${axis.word} ${wording.angle(Math.abs(axis.axisDeg))}`,
      level: calm(axis.level),
    };
  }
  if (measure === "toeLength" && toeLength) {
    const over = toeLength.value - toeTargetMm;
    const level = toeOverLevel(over, { noise, bounds });
    if (level !== "steady") return { text: `${wording.length(over)} over target`, level: calm(level) };
  }
  if (measure === "heelHeightLateral" && heelHeightLateral && heelHeightMedial) {
    const difference = heelHeightLateral.value - heelHeightMedial.value;
    const level = heelDifferenceLevel(difference, { noise, bounds });
    if (level !== "steady")
      return {
        text: `${wording.side(difference > 0 ? "lateral" : "medial")} ${wording.length(Math.abs(difference))} taller`,
        level: calm(level),
      };
  }
  return undefined;
}

function changeText(measure: Measure, now: number, before: number, noise: Noise, wording: Wording): string {
  const { kind } = MEASURE_FACTS[measure];
  const least = noise[kind === "angle" ? "angleDeg" : "lengthMm"];
  const { difference, real } = changeSince(now, before, least);
  if (!real) return "no change";
  const size = showMeasured(measure, Math.abs(difference), wording);
  return `${difference > 0 ? "+" : "−"}${size}`;
}

/** The number that stands in the field, for the pad's steps. */
const shownNumber = (measure: Measure, value: number, wording: Wording): number =>
  MEASURE_FACTS[measure].kind === "angle" || wording.unit === "mm" ? Math.round(value * 2) / 2 : value;
