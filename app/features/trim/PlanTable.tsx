import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { halvesFrom, halvesInWords } from "~core/foot/parametric/halves";
import type { TrimPlan } from "~core/trim/question";
import { NO_CUT, predictTrim, type PredictedFoot } from "~core/foot/parametric/predict";
import type { Bench } from "./useBench";

interface PlanTableProps {
  bench: Bench;
  plan: TrimPlan;
  after: PredictedFoot | undefined;
  /** Another plan beside it: of the lens laid over it, or the lenses' own beside the hand's. */
  other: TrimPlan | undefined;
  otherName: string;
}

/** What the foot is now, what it is aimed at, what the cuts make of it, and what another lens would. */
export function PlanTable({ bench, plan, after, other, otherName }: PlanTableProps) {
  const wording = useWording();
  const { facts } = bench;
  const start = predictTrim(plan.question.foot, NO_CUT);
  if (!start.ok) return null;
  const now = start.value;
  const signed = (deg: number) => `${deg > 0.05 ? "+" : ""}${wording.angle(deg)}`;
  const rows: [name: string, aim: string, show: (foot: PredictedFoot) => string][] = [
    ["Axis", "0°", ({ axis }) => signed(axis)],
    [
      "Dorsal angle",
      wording.angle(plan.question.foot.pasternAngle),
      ({ dorsalAngle }) => wording.angle(dorsalAngle),
    ],
    ["Front : support", "50 : 50", ({ front, support }) => halvesInWords(halvesFrom(front, support))],
    ["Toe length", wording.length(facts.target.toeLengthMm), ({ toeLength }) => wording.length(toeLength)],
    [`Roll to ${wording.side("lateral")}`, wording.angle(plan.targetRoll), ({ roll }) => wording.angle(roll)],
    ["Heels bear back", "", ({ support }) => wording.length(support - now.support)],
    ["Toe comes back", "", ({ front }) => wording.length(now.front - front)],
  ];
  return (
    <table className="plan-table">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Measure</span>
          </th>
          <th scope="col">now</th>
          <th scope="col">aim</th>
          <th scope="col" className="verdigris">
            {bench.byHand ? "by hand" : "planned"}
          </th>
          {other && (
            <th scope="col" className="brass">
              {otherName.toLowerCase()}
            </th>
          )}
        </tr>
      </thead>
      <tbody>
        {rows.map(([name, aim, show], index) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className={index < 5 ? "plan-now" : "quiet"}>
              <Fractions text={index === 4 || index > 4 ? "" : show(now)} />
            </td>
            <td className="quiet">
              <Fractions text={aim} />
            </td>
            <td className="plan-after">
              <Fractions text={after ? show(after) : "–"} />
            </td>
            {other && (
              <td className="brass">
                <Fractions text={show(other.handPredicted)} />
              </td>
            )}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
