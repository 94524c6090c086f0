import { useState } from "react";
import { useSearchParams } from "react-router";
import { MarkHandles } from "~app/drawing/MarkHandles";
import { SideView } from "~app/drawing/SideView";
import { SoleView } from "~app/drawing/SoleView";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { shortDay } from "~app/ui/days";
import { useEdits } from "~app/ui/useEdits";
import { useSettings, useWording } from "~app/ui/useWording";
import { leftWith } from "~core/cycle/horseDue";
import { pairOf } from "~core/foot/limb";
import { MEASURE_FACTS } from "~core/foot/measures";
import type { FrontLens } from "~core/foot/lens";
import { baseFoot } from "~core/visit/feetOfHorse";
import { footBench } from "~core/visit/footBench";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { CALLIPER_LENGTHS } from "~core/foot/survey/calliper";
import { MARK_FACTS, SURVEY_MARKS, type SurveyMark } from "~core/foot/survey/marks";
import type { Vector } from "~core/geometry/vector";
import { withValueAt } from "~core/record/edit";
import { footEdit, footPlace } from "~core/record/footRecords";
import type { Moment, Reading, SoleRecord } from "~core/foot/records/reading";
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

  const bench = footBench(
    {
      visit,
      moment,
      horse: file.horse,
      visits: file.visits,
      foot,
      pair: feet[pairOf(limb)],
      reading: hand.withTyped({ ...((stored ?? blank) as Reading), sole }),
      typed: lane.values,
      growthPerDay: context.outlooks[limb].growth.perDay,
      second,
    },
    settings,
    wording,
  );
  const { facts, aims, surveyed } = bench;
  const { drawn, ghost, guessed, issues } = facts;
  const map = useSoleMap(facts);

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
        at: draw(bench.marksAt[mark]),
        known: sole[mark] !== undefined,
      }))}
      onSelect={setSelected}
      onMove={(mark, to) => moveMark(mark, back(to), false)}
      onDrop={(mark, to) => moveMark(mark, back(to), true)}
    />
  );
  const soleProps = {
    ...bench.sole,
    overlay: way === "marks" ? handles : way === "map" ? map.overlay : undefined,
  };
  const onEnd = () =>
    goTo(
      nextFoot
        ? { limb: nextFoot }
        : { stage: stage === "survey" ? "trim" : "sign-off", ...(order[0] && { limb: order[0] }) },
    );
  const sidePicture = (
    <SideView
      foot={drawn}
      ghost={ghost}
      wording={wording}
      guess={bench.unmeasured}
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
        planned={bench.agreed}
        sole={soleProps}
        sideAims={aims}
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
        findings={bench.findings}
        foot={drawn}
        ghost={ghost}
        comparedName={moment === "before" ? (foot.last ? shortDay(foot.last.date) : "last") : "before"}
        aims={aims}
        sideways={bench.sideways}
        chooser={<LensBar horse={file.horse} chosen={bench.lenses} second={second} onSecond={setSecond} />}
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
