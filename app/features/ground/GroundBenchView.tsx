import { Select } from "antd";
import { useMemo } from "react";
import { useSearchParams } from "react-router";
import { frameOf, PressureScale } from "~app/charts/pressure/PressureMap";
import { pressureSteps } from "~app/charts/pressure/model";
import { useGround } from "~app/stage/useGround";
import { useWording } from "~app/ui/useWording";
import type { Limb } from "~core/foot/limb";
import { isFore } from "~core/foot/limb";
import type { GroundQuestion } from "~core/ground/compare";
import { isSoft } from "~core/ground/grounds";
import { MEASURED } from "~core/ground/whoPays";
import { fitShoe } from "~core/shoe/fit";
import {
  MOST_SHOES,
  SHOE_FROM,
  usualShoes,
  type GroundBench,
  type GroundChoice,
} from "~core/visit/groundShoes";
import { Columns } from "./Columns";
import { NumbersTable } from "./NumbersTable";
import { ShoeColumn } from "./ShoeColumn";
import { StandsOn } from "./StandsOn";
import { Sweep } from "./Sweep";
import type { Stands } from "./useStanding";

/** Shoes are told apart by letters, at their map, in the chart and in the table. */
export const LETTERS = ["A", "B", "C", "D"] as const;

interface GroundBenchViewProps {
  bench: GroundBench;
  stands: Stands;
  limb: Limb;
  massKg: number;
  /** What takes a shoe into the visit, where there is one to take it into. */
  take?: (choice: GroundChoice) => React.ReactNode;
}

/** Up to four shoes on one foot on one ground: side by side, over all grounds, in numbers. */
export function GroundBenchView({ bench, stands, limb, massKg, take }: GroundBenchViewProps) {
  const wording = useWording();
  const [search, setSearch] = useSearchParams();
  const asked = search
    .get("shoes")
    ?.split(",")
    .filter((id) => bench.choices.some((one) => one.id === id));
  const ids = asked && asked.length > 0 ? asked.slice(0, MOST_SHOES) : usualShoes(bench);
  const shown = ids.flatMap((id) => bench.choices.find((one) => one.id === id) ?? []);
  const { standing } = stands;
  const { stiffness } = standing;
  const names = ids.join(",");
  const key = JSON.stringify([names, standing]);
  /* eslint-disable react-hooks/exhaustive-deps -- the key says the shoes and how they stand */
  const question = useMemo(
    (): GroundQuestion => ({
      foot: bench.foot,
      shoes: shown.map(({ id, name, question: own }) => ({ id, name, question: own })),
      standing,
    }),
    [bench, key],
  );
  const fits = useMemo(() => shown.map(({ question: own }) => fitShoe(own)), [bench, names]);
  /* eslint-enable react-hooks/exhaustive-deps */
  const { stood, around, broke } = useGround(question);
  const frame = useMemo(() => frameOf(fits), [fits]);
  const steps = useMemo(
    () => pressureSteps((stood?.shoes ?? []).flatMap(({ field }) => field ?? [])),
    [stood],
  );
  const soft = isSoft(stiffness);
  const answers = new Map((stood?.shoes ?? []).map((one) => [one.id, one]));
  const first = shown[0];
  const touches = [...answers.values()].some(
    ({ answer }) => answer !== undefined && answer.share.frog + answer.share.sole > 0.001,
  );
  return (
    <div className="ground-bench">
      <StandsOn stands={stands} massKg={massKg} fore={isFore(limb)} />
      <div className="ground-shoes">
        <Select
          mode="multiple"
          aria-label="Shoes side by side, up to four"
          className="ground-picker"
          maxCount={MOST_SHOES}
          value={ids}
          options={bench.choices.map(({ id, name, from }) => ({
            value: id,
            label: `${wording.inOwnWords(name)}, ${SHOE_FROM[from]}`,
          }))}
          labelRender={({ value }) => {
            const at = shown.findIndex(({ id }) => id === value);
            return `${LETTERS[at] ?? ""} ${wording.inOwnWords(shown[at]?.name ?? "")}`;
          }}
          onChange={(next: string[]) =>
            setSearch(
              (now) => {
                const changed = new URLSearchParams(now);
                if (next.length > 0) changed.set("shoes", next.join(","));
                else changed.delete("shoes");
                return changed;
              },
              { replace: true, preventScrollReset: true },
            )
          }
        />
      </div>
      {broke && (
        <p className="ember" role="alert">
          The model could not be started in this browser. Load the page again.
        </p>
      )}
      <Columns letters={LETTERS} settled={stood?.question === question ? stood : undefined}>
        {shown.map((choice, at) => {
          const own = answers.get(choice.id);
          const fit = fits[at];
          return fit ? (
            <ShoeColumn
              key={choice.id}
              letter={LETTERS[at] ?? ""}
              choice={choice}
              fit={fit}
              limb={limb}
              stood={own}
              first={first && at > 0 ? { choice: first, stood: answers.get(first.id) } : undefined}
              sensitivity={around?.sensitivity.find(({ id }) => id === choice.id)}
              stiffness={stood?.question.standing.stiffness ?? stiffness}
              frame={frame}
              steps={steps}
              take={take?.(choice)}
            />
          ) : null;
        })}
      </Columns>
      <div className="ground-reading">
        {soft ? (
          <>
            <PressureScale steps={steps} />
            <p className="quiet">
              The ring is the centre of force, the dashed line the centre of rotation; beside it the levers to
              breakover and support as the foot stands, in {wording.unit}. One scale for all.
              {!touches &&
                " Neither frog nor sole touches here: then shares do not depend on the ground at all."}
            </p>
          </>
        ) : (
          <p className="quiet">
            <b>Pressures and shares are not shown on ground this firm.</b> They would hang on tenths of a
            millimetre of levelness, which no shoe decides. The levers in front of and behind the centre of
            rotation count here as everywhere.
          </p>
        )}
      </div>
      <div className="ground-below">
        <Sweep around={around} letters={LETTERS} />
        <NumbersTable shown={shown} letters={LETTERS} answers={answers} soft={soft} />
      </div>
      <p className="quiet ground-model">
        A simplified model: a rigid foot on ground that pushes and does not pull, the limb holding it as a
        spring. Differences between shoes on one foot are what it is for; it foretells no patient and measures
        nothing. Not in it: grip, nail heads, edges by place, soft packing. Lameness is the vet’s. “Measured
        on horses” means raised heels: {MEASURED.join("; ")}.
      </p>
    </div>
  );
}
