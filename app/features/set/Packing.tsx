import { Button } from "antd";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { roundTheToe } from "~core/shoe/outline";
import { compoundMl, workingMinutes } from "~core/shoe/packing";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { sentenceCase } from "~core/foot/wording";
import { fail, ok, type Result } from "~core/result";
import { useEdits } from "~app/ui/useEdits";
import { TypedField } from "~app/ui/TypedField";
import type { StageContext } from "~app/stage/stageContext";
import type { Shoeing } from "~app/stage/useShoe";
import { PACKING_TICKS, Ticks } from "./SetSteps";
import { useTimer } from "./useTimer";

/** What most compounds give at 20 degrees, minutes; the label decides. Assumption. */
const USUAL = { minutesAt20: 4, celsius: 15 };
/** Space between pad and sole, mm, beyond the web. Assumption. */
const DEPTH_MM = 12;

/** Pad, compound and its time: how much, how long it can be worked, and a clock that goes on whatever the screen does. */
export function Packing({ context, shoeing }: { context: StageContext; shoeing: Shoeing }) {
  const wording = useWording();
  const { spec, record, bench } = shoeing;
  const compound: NonNullable<ShoeRecord["compound"]> = record?.compound ?? USUAL;
  const minutes = workingMinutes(compound.minutesAt20, compound.celsius);
  const timer = useTimer(compound.mixedAt, minutes);
  const { save } = useEdits();
  const setting = spec.packing === "setting compound";
  const editOf = (parts: Partial<typeof compound>) =>
    shoeing.editAt(["compound"], { ...compound, ...parts }, "setting compound");
  const put = (parts: Partial<typeof compound>) => void save(editOf(parts));
  const inner = roundTheToe(bench.fit.inner);
  return (
    <section className="packing" aria-label="Pad and packing">
      <h2>
        {sentenceCase(spec.pad)} pad, {spec.packing === "none" ? "no packing" : spec.packing}
      </h2>
      <p>
        Pad cut to the shoe’s outline up to the clip marks, riveted or held so that it cannot slip.
        {bench.fit.raiseMm > 0 && spec.raise && (
          <>
            {" "}
            Raised <Fractions text={wording.cut(bench.fit.raiseMm)} /> at the heel,{" "}
            {wording.angle(spec.raise.degrees)}, for {spec.raise.cycles}{" "}
            {spec.raise.cycles === 1 ? "cycle" : "cycles"}
            {spec.raise.exit ? `: until ${spec.raise.exit}` : "; its exit is not said yet"}.
          </>
        )}
      </p>
      {setting && (
        <>
          <p>
            About <b>{compoundMl(inner, DEPTH_MM)} ml</b>, mixed in equal parts; rounded up, too little is the
            usual mistake.
          </p>
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
              label="It is now"
              unit="°C"
              draftKey={`${context.visit.id}.${context.limb}.set.celsius`}
              stored={compound.celsius}
              show={String}
              read={numberWithin(-30, 50, "°C")}
              edit={(_, celsius) => editOf({ celsius: celsius ?? compound.celsius })}
            />
            <p className="compound-time">
              <b>{inMinutes(minutes * 60)}</b>{" "}
              <span className="quiet">to work it at {compound.celsius} °C</span>
            </p>
          </div>
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
          <Ticks steps={PACKING_TICKS} shoeing={shoeing} />
          <p className="quiet">
            Gloves and air. Compounds heat up while they set: the safety sheet says how much.
          </p>
        </>
      )}
    </section>
  );
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
