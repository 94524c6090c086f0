import { TextButton } from "~app/ui/TextButton";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { leavingWord } from "~core/gait/watching";
import {
  BREAKOVER_AIMS,
  BREAKOVER_LENSES,
  BREAKOVER_NAMES,
  breakoverTradeOff,
  type BreakoverLens,
} from "~core/shoe/breakover";
import { leastRoll } from "~core/shoe/fit";
import { ok, fail, type Result } from "~core/result";
import { parseAngle } from "~core/units/angle";
import { sentenceCase } from "~core/foot/wording";
import { TypedField } from "~app/ui/TypedField";
import type { ShoeViewProps } from "./shoeView";

/** The four lenses of breakover on one scale, the one that is chosen, and which way the foot leaves. */
export function BreakoverPanel({ context, shoeing }: ShoeViewProps) {
  const { shoe, bench, draft, change } = shoeing;
  const wording = useWording();
  const { fromToe } = shoe.breakover;
  const own = draft.breakover.fromToe !== undefined;
  const lens: BreakoverLens | undefined = own
    ? undefined
    : (draft.breakover.lens ?? shoe.breakover.chosen.lens);
  const most = Math.max(10, bench.fromToe, ...BREAKOVER_LENSES.map((one) => fromToe[one] ?? 0));
  const { apart, known } = shoe.direction;
  const { watched, wear } = shoe.ways;
  const eased = leastRoll(bench.spec);
  return (
    <section className="breakover" aria-label="Breakover">
      <h2>
        Breakover <Fractions text={wording.cut(bench.fromToe)} /> back from the toe
      </h2>
      <div className="breakover-lenses" role="radiogroup" aria-label="Breakover lens">
        {BREAKOVER_LENSES.map((one) => {
          const mm = fromToe[one];
          return (
            <label
              key={one}
              className="breakover-lens"
              data-chosen={lens === one}
              title={BREAKOVER_AIMS[one]}
            >
              <input
                type="radio"
                name={`breakover-${context.limb}`}
                checked={lens === one}
                disabled={mm === undefined}
                onChange={() =>
                  change((now) => ({ breakover: { ...now.breakover, lens: one, fromToe: undefined } }))
                }
              />
              <span>{BREAKOVER_NAMES[one]}</span>
              <span className="breakover-scale" aria-hidden>
                {mm !== undefined && <i style={{ left: `${(100 * mm) / most}%` }} />}
              </span>
              <span className="breakover-mm">
                {mm === undefined ? (
                  <span className="quiet">not measured</span>
                ) : (
                  <Fractions text={wording.cut(mm)} />
                )}
              </span>
            </label>
          );
        })}
        {own && (
          <p className="breakover-own">
            By hand: <Fractions text={wording.cut(bench.fromToe)} />.{" "}
            <TextButton
              onClick={() => change((now) => ({ breakover: { ...now.breakover, fromToe: undefined } }))}
            >
              Back to the lens
            </TextButton>
          </p>
        )}
      </div>
      <p>
        <Fractions text={breakoverTradeOff(shoe.breakover, bench.fromToe, wording)} />
        {eased > 0 && shoe.breakover.chosen.fromToe < eased && !own && (
          <>
            {" "}
            An {bench.spec.toe} toe takes at least {wording.cut(eased)} by itself.
          </>
        )}
      </p>
      <p>
        <b>It leaves {wording.inOwnWords(leavingWord(bench.directionDeg))}</b>
        {known || draft.breakover.direction !== undefined
          ? `, ${wording.angle(Math.abs(bench.directionDeg))}${Math.abs(bench.directionDeg) >= 0.5 ? ` to ${wording.side(bench.directionDeg > 0 ? "lateral" : "medial")}` : ""}.`
          : ": not watched yet, taken as straight ahead."}{" "}
        <Fractions text={`${wording.cut(bench.fit.line.rollMm)} of edge lie ahead of the line.`} />
        {draft.breakover.direction !== undefined && (
          <>
            {" "}
            <TextButton
              onClick={() => change((now) => ({ breakover: { ...now.breakover, direction: undefined } }))}
            >
              As watched again
            </TextButton>
          </>
        )}
      </p>
      {apart && draft.breakover.direction === undefined && (
        <p className="ember">
          {sentenceCase(apart.from)} and {apart.to} lie {wording.angle(apart.deg)} apart. Which is right? Turn
          the line on the drawing to the one you believe.
        </p>
      )}
      <p className="quiet">
        {watched === undefined ? "Not watched" : `Watched ${wording.angle(watched)}`} ·{" "}
        {wear === undefined ? "no wear noted" : `wear ${wording.angle(wear)}`}
      </p>
      <LevelLine context={context} shoeing={shoeing} />
    </section>
  );
}

/** The level line: found by tipping the hanging foot until a level on it reads true. */
function LevelLine({ context, shoeing }: Pick<ShoeViewProps, "context" | "shoeing">) {
  const wording = useWording();
  const { draft, editsOf } = shoeing;
  const read = (text: string): Result<number | undefined> => {
    if (text.trim() === "") return ok(undefined);
    const angle = parseAngle(text);
    if (!angle.ok || Math.abs(angle.value) <= 45) return angle;
    return fail("angle", "levelLine", "No foot leaves further round than 45°. Medial is negative.", text);
  };
  return (
    <TypedField
      label="Level line, foot hanging"
      unit={`° to ${wording.side("lateral")}`}
      placeholder="none"
      draftKey={`${context.visit.id}.${context.limb}.shoe.levelLine`}
      stored={draft.breakover.levelLine}
      show={String}
      read={read}
      edit={(_, levelLine) => editsOf((now) => ({ breakover: { ...now.breakover, levelLine } }))}
    />
  );
}
