import { useState } from "react";
import { useSearchParams } from "react-router";
import { MarkHandles } from "~app/drawing/MarkHandles";
import { SideView } from "~app/drawing/SideView";
import { SoleView } from "~app/drawing/SoleView";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { frontAim } from "~core/balance/lenses";
import { LENS_FACTS, lensesOf, type FrontLens } from "~core/foot/lens";
import { leftWith } from "~core/cycle/horseDue";
import { pairOf } from "~core/foot/limb";
import { sideAimOf } from "~core/balance/footAims";
import { footFacts } from "~core/visit/footFacts";
import { findingsOf } from "~core/visit/findings";
import { MEASURE_FACTS, MEASURES } from "~core/foot/measures";
import { cutFoot } from "~core/foot/parametric/cut";
import { baseFoot } from "~core/visit/feetOfHorse";
import { corYOf, type FootParameters } from "~core/foot/parametric/parameters";
import { CALLIPER_LENGTHS } from "~core/foot/survey/calliper";
import { MARK_FACTS, SURVEY_MARKS, type SurveyMark } from "~core/foot/survey/marks";
import { boneOutline, filledMarks } from "~core/foot/parametric/surveyedOutline";
import type { BoundOverrides } from "~core/foot/survey/ratios";
import type { Vector } from "~core/geometry/vector";
import { withValueAt } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import { isShod } from "~core/record/horse";
import type { Moment, Reading, SoleRecord } from "~core/foot/records/reading";
import { noiseOf } from "~core/foot/records/pairs";
import { standInFoot, standInLine, trueLength, trueMeasure } from "~core/simulator/instrument";
import type { StageContext } from "~app/stage/stageContext";
import { FootPictures } from "~app/stage/FootPictures";
import { FootTables } from "./FootTables";
import { Instruments } from "./Instruments";
import { Ledger } from "./Ledger";
import { LensBar } from "~app/stage/LensBar";
import { MarksEntry } from "./MarksEntry";
import { useCalliper } from "./useCalliper";
import { useHandLane } from "./useHandLane";
import { useSoleMap } from "./SoleMap";
import { useLane } from "./useLane";
import { PlannedDone } from "./PlannedDone";
import { useHandle } from "~app/ui/useHandle";
import { WallsEntry } from "./WallsEntry";
import { signedBefore } from "~core/record/visit";
import { WhichSide } from "./WhichSide";
import { WayTabs, wayOf } from "./WayTabs";
import type { FilmedSole } from "~core/foot/survey/filmed";
import "./bench.css";

const radiographOf = ({ standIn, date }: FilmedSole): string =>
  `${standIn ? "stand-in " : ""}radiograph of ${shortDay(date)}`;

interface FootBenchProps extends StageContext {
  moment: Moment;
  /** The photographs of this foot, beside it as it is drawn. */
  photographs: (drawn: FootParameters) => React.ReactNode;
}

/** Survey before the trim, recheck after it: the foot drawn to scale, five ways to measure it, what it means. */
export function FootBench({ moment, photographs, ...context }: FootBenchProps) {
  const { visit, file, limb, order, nextFoot, feet, goTo, stage } = context;
  const [search] = useSearchParams();
  const way = wayOf(search.get("way"));
  const wording = useWording();
  const settings = useSettings();
  const { saveWith } = useEdits();
  const [second, setSecond] = useState<FrontLens | undefined>(undefined);
  const [selected, setSelected] = useState<SurveyMark | undefined>(undefined);
  const foot = feet[limb];
  const stored = foot.reading[moment];
  const asLeft = leftWith(foot.last);
  const compared = moment === "before" ? asLeft : foot.values.before;
  const lastSole = (moment === "after" ? foot.reading.before?.sole : foot.surveys.at(-1)?.sole) ?? {};

  const lane = useLane(context, moment, compared);
  const calliper = useCalliper(context, moment, stored?.sole ?? {}, lastSole);
  const hand = useHandLane(context, moment, moment === "after" ? foot.reading.before : foot.lastReading);
  const blank = footPlace("readings", visit, limb, moment);
  const soleEdit = (now: SoleRecord) =>
    footEdit(blank, "readings", stored, { path: ["sole"], now, label: `${wording.limb(limb)} sole marks` });
  const live = useHandle<SoleRecord>(stored?.sole ?? {}, (now, flushSync) =>
    saveWith([soleEdit(now)], [], flushSync),
  );
  const sole = live.held ? live.value : calliper.sole;

  const facts = footFacts(
    {
      ...foot,
      reading: { ...foot.reading, [moment]: hand.withTyped({ ...((stored ?? blank) as Reading), sole }) },
    },
    feet[pairOf(limb)],
    {
      visit,
      moment,
      horse: file.horse,
      noise: noiseOf(settings),
      wording,
      bounds: settings.bounds as BoundOverrides,
      lastVisit: signedBefore(file.visits, visit),
      growthPerDay: context.outlooks[limb].growth.perDay,
    },
    lane.values,
  );
  const { drawn, ghost, guessed, marks, survey, issues, last } = facts;
  const surveyed = survey.front !== undefined && survey.support !== undefined;
  const findings = findingsOf(facts);
  const map = useSoleMap(facts);

  const shod = isShod(file.horse, limb);
  const lenses = lensesOf(file.horse, settings.lenses, shod);
  const measured = {
    angles: facts.measures.dorsalAngle !== undefined && facts.measures.pasternAngle !== undefined,
    walls: facts.walls,
  };
  const aims = [lenses.frontBack, ...(second && second !== lenses.frontBack ? [second] : [])].map((lens) =>
    frontAim(lens, drawn, measured),
  );
  const side = sideAimOf(facts, lenses.side);

  const corY = survey.cor?.median;
  const corShift = (corY ?? corYOf(drawn)) - corYOf(drawn);
  const at = filledMarks(drawn, marks);
  const moveMark = (mark: SurveyMark, [x, y]: Vector, rest: boolean) =>
    live.move(
      (now) => ({
        ...now,
        [mark]: {
          x: { value: Math.round(x * 100) / 100, source: "drawn" },
          y: { value: Math.round(y * 100) / 100, source: "drawn" },
        },
      }),
      rest,
    );
  const handles = ({ frame, at: draw, back }: ViewGeometry) => (
    <MarkHandles
      frame={frame}
      radius={2.3}
      step={0.1}
      selected={selected}
      handles={SURVEY_MARKS.map((mark) => ({
        name: mark,
        label: `${wording.inOwnWords(MARK_FACTS[mark].name)}${sole[mark] ? "" : ", a guess"}`,
        at: draw(at[mark]),
        known: sole[mark] !== undefined,
      }))}
      onSelect={setSelected}
      onMove={(mark, to) => moveMark(mark, back(to), false)}
      onDrop={(mark, to) => moveMark(mark, back(to), true)}
    />
  );
  const soleProps = {
    marks,
    corY,
    shape: facts.outline && {
      outline: facts.outline,
      bone:
        survey.coffinTip !== undefined && survey.k !== undefined && corY !== undefined
          ? boneOutline({ coffinTip: survey.coffinTip, cor: corY, k: survey.k })
          : undefined,
    },
    aims: aims.flatMap(({ lens, toeY }, index) =>
      toeY === undefined
        ? []
        : [{ y: toeY + corShift, name: LENS_FACTS[lens].name.toLowerCase(), second: index === 1 }],
    ),
    ghostMarks: surveyed ? last?.marks : undefined,
    ghostCorY: surveyed ? last?.survey.cor?.median : undefined,
    overlay: way === "marks" ? handles : way === "map" ? map.overlay : undefined,
  };
  const agreed = moment === "after" && foot.trim?.plan?.agreed ? foot.trim.plan.cuts : undefined;
  const plannedCut = agreed && ghost ? cutFoot(ghost, agreed) : undefined;
  const planned = plannedCut?.ok ? plannedCut.value.foot : undefined;
  const onEnd = () =>
    goTo(
      nextFoot
        ? { limb: nextFoot }
        : { stage: stage === "survey" ? "trim" : "sign-off", ...(order[0] && { limb: order[0] }) },
    );
  const unmeasured = guessed.length === MEASURES.length;
  const sidePicture = (
    <SideView
      foot={drawn}
      ghost={ghost}
      wording={wording}
      guess={unmeasured}
      labels={false}
      title="Side view"
    />
  );
  const solePicture = (
    <SoleView
      foot={drawn}
      {...soleProps}
      overlay={undefined}
      wording={wording}
      guess={false}
      labels={false}
      title="Sole"
    />
  );
  return (
    <div
      className="bench"
      data-way={way}
      data-again={lane.measuringAgain || calliper.measuringAgain || hand.measuringAgain ? "true" : undefined}
    >
      <div className="bench-head">
        <WayTabs way={way} />
        {(way === "lane" || way === "hand" || way === "calliper") && (
          <Instruments
            standInLine={
              way === "hand"
                ? undefined
                : () => {
                    const truth = standInFoot(baseFoot(file.horse, limb, foot.last), 8);
                    if (way === "lane")
                      return standInLine(
                        MEASURE_FACTS[lane.active].kind,
                        trueMeasure(truth, lane.active),
                        Math.random,
                      );
                    const length = CALLIPER_LENGTHS.find(({ id }) => id === calliper.active);
                    return length && standInLine("length", trueLength(truth, length), Math.random);
                  }
            }
            onReading={({ kind, value }, source) =>
              way === "lane"
                ? lane.take(kind, value, source)
                : (way === "hand" ? hand : calliper).take(kind, value, source)
            }
          />
        )}
      </div>
      <FootPictures
        foot={drawn}
        ghost={ghost}
        ghostName={
          moment === "before" ? (foot.last ? `as left ${shortDay(foot.last.date)}` : "") : "before the trim"
        }
        guessed={guessed}
        planned={planned}
        sole={soleProps}
        sideAims={aims.map(({ lens, dorsalAngleDeg, plane }, index) => ({
          name: LENS_FACTS[lens].name,
          second: index === 1,
          dorsalAngleDeg,
          plane,
        }))}
        tiltDeg={facts.rear.hairlineTilt}
        surveyed={surveyed}
        filmed={
          facts.filmed &&
          (surveyed
            ? `centre of rotation and tip off the ${radiographOf(facts.filmed)}`
            : `the ${radiographOf(facts.filmed)} tells the centre of rotation once the sole is surveyed`)
        }
        tables={<FootTables facts={facts} />}
      />
      {way === "lane" && lane.laneView({ picture: sidePicture, onEnd })}
      {way === "hand" && hand.laneView({ picture: sidePicture, onEnd })}
      {way === "calliper" && calliper.laneView({ picture: solePicture, onEnd })}
      {way === "marks" && (
        <MarksEntry
          sole={sole}
          selected={selected}
          issues={issues}
          onSelect={(mark) => {
            setSelected(mark);
            document.querySelector<SVGElement>(`[data-mark="${mark}"]`)?.focus();
          }}
          onClear={(mark) => live.move((now) => withValueAt(now, [mark], undefined), true)}
        />
      )}
      {way === "map" && map.panel}
      {way === "photo" && photographs(drawn)}
      {way === "walls" && <WallsEntry context={context} moment={moment} rings={facts.rings} />}
      <Ledger
        facts={facts}
        findings={findings}
        foot={drawn}
        ghost={ghost}
        comparedName={moment === "before" ? (foot.last ? shortDay(foot.last.date) : "last") : "before"}
        aims={aims}
        sideways={side}
        chooser={<LensBar horse={file.horse} chosen={lenses} second={second} onSecond={setSecond} />}
      />
      <WhichSide facts={facts} />
      {moment === "after" && (
        <PlannedDone
          trim={foot.trim}
          after={lane.values}
          walls={{ before: foot.reading.before?.walls ?? {}, after: foot.reading.after?.walls ?? {} }}
        />
      )}
    </div>
  );
}
