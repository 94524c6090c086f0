import { Button, Switch } from "antd";
import { useMemo } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { compoundSpaceOf } from "~core/shoe/compoundSpace";
import {
  batchForTwo,
  bearsMinutes,
  compoundVolume,
  dayForCompound,
  PACKING_ROADS,
  PACKING_STEPS,
  toMix,
  workingMinutes,
} from "~core/shoe/packing";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { sentenceCase } from "~core/foot/wording";
import { pairOf } from "~core/foot/limb";
import { fail, ok, type Result } from "~core/result";
import { parseTemperature, temperatureInWords } from "~core/units/temperature";
import { fitChoice, NO_CHOICE, standingSpec, visitShoe } from "~core/visit/visitShoe";
import { useEdits } from "~app/ui/useEdits";
import { TypedField } from "~app/ui/TypedField";
import type { StageContext } from "~app/stage/stageContext";
import type { Shoeing } from "~app/stage/useShoe";
import { Ticks } from "./SetSteps";
import { useTimer } from "./useTimer";
import { counted } from "~core/units/counted";

/** What most compounds give at 20 degrees, minutes; the label decides. Assumption. */
const USUAL = { minutesAt20: 4, celsius: 15 };

/** Pad, compound and its time: how much, how long it can be worked, and a clock that goes on whatever the screen does. */
export function Packing({ context, shoeing }: { context: StageContext; shoeing: Shoeing }) {
  const wording = useWording();
  const { spec, record, bench, shoe } = shoeing;
  const compound: NonNullable<ShoeRecord["compound"]> = record?.compound ?? USUAL;
  const minutes = workingMinutes(compound.minutesAt20, compound.celsius);
  const bears = bearsMinutes(compound, compound.celsius);
  const timer = useTimer(compound.mixedAt, minutes);
  const { save } = useEdits();
  const setting = spec.packing === "setting compound";
  const editOf = (parts: Partial<typeof compound>) =>
    shoeing.editAt(["compound"], { ...compound, ...parts }, "setting compound");
  const put = (parts: Partial<typeof compound>) => void save(editOf(parts));
  const { sulcusDepthMm, frogProudMm } = shoe.facts;
  const own = compoundVolume(compoundSpaceOf(bench.fit, { sulcusDepthMm, frogProudMm }));
  const other = usePairVolume(context, setting && compound.bothFeet === true);
  const both = compound.bothFeet === true;
  const inTime = batchForTwo(minutes);
  const day = dayForCompound(compound.celsius);
  const measured = [
    sulcusDepthMm !== undefined ? "the sulcus" : "",
    frogProudMm !== undefined ? "the frog" : "",
  ].filter(Boolean);
  return (
    <section className="packing" aria-label="Pad and packing">
      <h2>
        {spec.pad === "none" ? "No pad" : `${sentenceCase(spec.pad)} pad`},{" "}
        {spec.packing === "none" ? "no packing" : spec.packing}
        {setting && `, ${spec.packed}`}
      </h2>
      {spec.pad !== "none" && (
        <p>
          Pad cut to the shoe’s outline up to the clip marks,{" "}
          {spec.riveted ? "riveted" : "held so that it cannot slip"}.
          {bench.fit.raiseMm > 0 && spec.raise && (
            <>
              {" "}
              Raised <Fractions text={wording.cut(bench.fit.raiseMm)} /> at the heel,{" "}
              {wording.angle(spec.raise.degrees)}, for {counted(spec.raise.cycles, "cycle")}
              {spec.raise.exit ? `: until ${spec.raise.exit}` : "; its exit is not said yet"}.
            </>
          )}
        </p>
      )}
      {setting && (
        <>
          <p>
            About <b>{toMix(both ? own + (other ?? own) : own)} ml</b>
            {both ? " for both feet" : ""}, mixed in equal parts; rounded up, too little is the usual mistake.{" "}
            <span className="quiet">
              An estimate, by{" "}
              {measured.length > 0
                ? `${measured.join(" and ")} as measured`
                : "an ordinary foot’s depths: measure the sulcus for this one’s"}
              .
            </span>
          </p>
          <label className="spec-alike">
            <Switch
              checked={both}
              onChange={(on) => put({ bothFeet: on ? true : undefined })}
              aria-label="One batch for both feet"
            />
            <span>
              One batch for the {wording.limb(pairOf(context.limb))} as well
              {both && !inTime && (
                <span className="ember"> · not in its time: it sets before the second foot</span>
              )}
            </span>
          </label>
          <div className="compound">
            <TypedField
              label="Works for, at 20 °C"
              unit="min"
              draftKey={`${context.visit.id}.${context.limb}.set.minutes`}
              stored={compound.minutesAt20}
              show={String}
              read={numberWithin(0.5, 240, "min")}
              edit={(_, minutesAt20) => editOf({ minutesAt20: minutesAt20 ?? compound.minutesAt20 })}
            />
            <TypedField
              label="Bears after, at 20 °C"
              unit="min"
              draftKey={`${context.visit.id}.${context.limb}.set.bears`}
              stored={compound.bearsAt20 ?? 2 * compound.minutesAt20}
              show={String}
              read={numberWithin(0.5, 600, "min")}
              edit={(_, bearsAt20) => editOf({ bearsAt20 })}
            />
            <TypedField
              label="It is now, °C or F"
              unit="°C"
              draftKey={`${context.visit.id}.${context.limb}.set.celsius`}
              stored={compound.celsius}
              show={(celsius) => String(Math.round(10 * celsius) / 10)}
              read={temperatureWithin(-30, 50)}
              edit={(_, celsius) => editOf({ celsius: celsius ?? compound.celsius })}
            />
            <p className="compound-time" data-worked-out>
              <b>{inMinutes(minutes * 60)}</b>{" "}
              <span className="quiet">to work it at {temperatureInWords(compound.celsius)}</span>
              <br />
              <b>{inMinutes(bears * 60)}</b> <span className="quiet">until it bears</span>
            </p>
          </div>
          {day && <p className="ember">{day}</p>}
          <div className="timer" data-state={timer.state} aria-live="polite">
            {timer.state === "off" ? (
              <Button
                type="primary"
                size="large"
                onClick={() => {
                  timer.arm(minutes);
                  put({ mixedAt: new Date().toISOString() });
                }}
              >
                Mixed now: start its time
              </Button>
            ) : (
              <>
                <b className="timer-left">{inMinutes(Math.abs(timer.left))}</b>
                <span>
                  {timer.state === "over"
                    ? "over: it has set, or is about to"
                    : timer.state === "soon"
                      ? "left: set the foot down"
                      : "left"}
                </span>
                <Button
                  onClick={() => {
                    timer.stop();
                    put({ mixedAt: undefined });
                  }}
                >
                  {timer.state === "over" ? "Done" : "Stop"}
                </Button>
              </>
            )}
          </div>
          <p className="quiet">
            It rings when the time is up. The time runs by the clock: a locked or closed screen does not stop
            it, but only an open one can ring; the screen is kept awake while it runs where the device allows
            it.
          </p>
          <Ticks steps={PACKING_ROADS[spec.packed].map((id) => [id, PACKING_STEPS[id]])} shoeing={shoeing} />
        </>
      )}
    </section>
  );
}

/** Compound that the other foot of the pair takes, ml; undefined where it takes none. */
function usePairVolume(context: StageContext, asked: boolean): number | undefined {
  const wording = useWording();
  const settings = useSettings();
  const { visit, file, feet, limb } = context;
  return useMemo(() => {
    if (!asked) return undefined;
    const place = { visit, horse: file.horse, feet, limb: pairOf(limb) };
    const shoe = visitShoe(place, settings, wording);
    const foot = feet[place.limb];
    const spec = standingSpec(shoe, foot, file.horse.massKg);
    if (spec.type === "bare") return undefined;
    const { fit } = fitChoice(shoe, foot.shoe ?? NO_CHOICE, spec, wording);
    const { sulcusDepthMm, frogProudMm } = shoe.facts;
    return compoundVolume(compoundSpaceOf(fit, { sulcusDepthMm, frogProudMm }));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- feet are worked out from `file` and `visit`
  }, [asked, visit, file, limb, settings, wording.unit]);
}

/** 3:05, or 1:02:00 from an hour on. */
function inMinutes(seconds: number): string {
  const whole = Math.round(seconds);
  const [hours, minutes, rest] = [Math.floor(whole / 3600), Math.floor((whole % 3600) / 60), whole % 60];
  const two = (value: number) => String(value).padStart(2, "0");
  return hours > 0 ? `${hours}:${two(minutes)}:${two(rest)} h` : `${minutes}:${two(rest)} min`;
}

/** A number within bounds, as it is typed. */
const numberWithin =
  (least: number, most: number, unit: string) =>
  (text: string): Result<number> => {
    const number = Number(text.trim().replace(",", ".").replace("−", "-"));
    return text.trim() !== "" && Number.isFinite(number) && number >= least && number <= most
      ? ok(number)
      : fail("number", "compound", `A number from ${least} to ${most} ${unit}.`, text);
  };

/** A temperature within bounds, in Celsius or, with an F behind it, in Fahrenheit. */
const temperatureWithin =
  (least: number, most: number) =>
  (text: string): Result<number> => {
    const read = parseTemperature(text);
    if (!read.ok) return read;
    return read.value >= least && read.value <= most
      ? read
      : fail(
          "out-of-range",
          "celsius",
          `A temperature from ${temperatureInWords(least)} to ${temperatureInWords(most)}.`,
          text,
        );
  };
