import { TextButton } from "~app/ui/TextButton";
import { useMemo } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { footOrder } from "~core/foot/order";
import { LIMBS, pairOf, type Limb } from "~core/foot/limb";
import { planPair, type PairFoot, type PairPlan } from "~core/trim/pair";
import { cutsInWords, leftInWords } from "~core/trim/planWords";
import { agreedPlan } from "~core/trim/agreed";
import { forTheHand } from "~core/trim/cutsForHand";
import { footEdit, footPlace } from "~core/record/footRecords";
import { useEdits } from "~app/ui/useEdits";
import { visitStages } from "~core/visit/trimAhead";
import { visitPlan, type VisitPlan } from "~core/visit/visitPlan";
import type { Wording } from "~core/foot/wording";
import { stageDone } from "~core/visit/progress";
import type { TrimViewProps } from "./trimView";

/** The four feet in the order of the work, and each pair brought alike as far as its feet allow. */
export function PairAndHorse({ context }: TrimViewProps) {
  const { visit, file, feet, outlooks, goTo } = context;
  const wording = useWording();
  const settings = useSettings();
  const { horse } = file;
  const plans = useMemo(
    () =>
      Object.fromEntries(
        LIMBS.map((limb) => [
          limb,
          visitPlan({ visit, horse, feet, limb }, settings, wording, {
            growthPerDay: outlooks[limb].growth.perDay,
          }),
        ]),
      ) as Record<Limb, VisitPlan>,
    // eslint-disable-next-line react-hooks/exhaustive-deps -- feet and outlooks are worked out from `file` and `visit`
    [visit, file, settings, wording.unit, wording.fraction],
  );
  const { order, why } = footOrder(visit.soreFoot);
  return (
    <div className="pair-horse">
      <section aria-label="Order of work">
        <h2>Order of work</h2>
        <p className="quiet">{why}</p>
        <ol className="work-order">
          {order.map((limb) => {
            const { plan, missing } = plans[limb];
            const kept = feet[limb].trim?.plan;
            const cuts = kept?.cuts ?? (plan.ok ? plan.value.handCuts : undefined);
            const done = stageDone("trim", visit, feet[limb]);
            return (
              <li key={limb} data-done={done}>
                <button type="button" className="work-foot" onClick={() => goTo({ limb })}>
                  <b>{limb}</b>
                  <span>{wording.limb(limb)}</span>
                </button>
                <span className="work-plan">
                  {missing.length > 0 || !plan.ok || !cuts ? (
                    <span className="quiet">
                      {plan.ok ? "not measured yet: measure it before it is cut" : plan.issues[0]?.message}
                    </span>
                  ) : (
                    <>
                      <Fractions text={cutsInWords(cuts, wording)} />
                      <span className="quiet">
                        {leftInWords(plan.value.handPredicted, wording)}
                        {plan.value.limits.thinSole && " Thin sole: less of everything."}
                      </span>
                    </>
                  )}
                </span>
                <span className="quiet">{done ? "trimmed" : kept?.agreed ? "on the sheet" : ""}</span>
              </li>
            );
          })}
        </ol>
        <p className="quiet">
          The foot just finished may be slow to come up again: the horse is often standing on the comfortable
          one. Hind limbs low and in their own range.
        </p>
      </section>
      {(["LF", "LH"] as const).map((left) => (
        <Pair key={left} context={context} plans={plans} left={left} wording={wording} />
      ))}
    </div>
  );
}

interface PairProps {
  context: TrimViewProps["context"];
  plans: Record<Limb, VisitPlan>;
  left: Limb;
  wording: Wording;
}

function Pair({ context, plans, left, wording }: PairProps) {
  const { visit, feet } = context;
  const { save } = useEdits();
  const settings = useSettings();
  const right = pairOf(left);
  const name = left === "LF" ? "Fronts" : "Hinds";
  if ([left, right].some((limb) => plans[limb].missing.length > 0 || !plans[limb].plan.ok))
    return (
      <section className="pair" aria-label={name}>
        <h2>{name}</h2>
        <p className="quiet">Both feet have to be measured before they are planned together.</p>
      </section>
    );
  const found = planPair(
    ...(([left, right] as const).map((limb) => ({
      limb,
      question: plans[limb].asked.question,
      flexural: plans[limb].asked.flexural,
      atOnce: feet[limb].trim?.atOnceWhy !== undefined,
    })) as [PairFoot, PairFoot]),
  );
  if (!found.ok) return <p role="alert">{found.issues[0]?.message}</p>;
  const pair = found.value;
  const worse = pairOf(pair.better);
  const { question } = plans[worse].asked;
  const cuts = forTheHand(question, pair.matched.limits, pair.matched.cuts);
  const changes = cutsInWords(cuts, wording) !== cutsInWords(pair.own.worse.handCuts, wording);
  const taken =
    feet[worse].trim?.plan && cutsInWords(feet[worse].trim.plan.cuts, wording) === cutsInWords(cuts, wording);
  const take = () => {
    // What is dressed besides the toe, and the next stage, belong to the plan whichever way its cuts were come by.
    const kept = feet[worse].trim;
    const stages =
      kept?.atOnceWhy === undefined
        ? visitStages(plans[worse], context.outlooks[worse], visit.date, settings)?.stages
        : undefined;
    const made = agreedPlan(plans[worse].facts.drawn, question, cuts, "hand", false, {
      flares: kept?.plan ? (kept.plan.flares ?? {}) : plans[worse].flares.planned,
      ...(stages?.[1] && { stage: { of: stages.length, next: stages[1].date } }),
    });
    if (!made.ok) return;
    void save(
      footEdit(footPlace("trims", visit, worse, "before"), "trims", feet[worse].trim, {
        path: ["plan"],
        now: made.value,
        label: `${wording.limb(worse)} plan matched`,
      }),
    );
  };
  return (
    <section className="pair" aria-label={name}>
      <h2>{name}</h2>
      <p>
        <PairSaid pair={pair} worse={worse} wording={wording} />
      </p>
      <table className="plan-table">
        <thead>
          <tr>
            <th scope="col">Dorsal angle</th>
            <th scope="col">{left}</th>
            <th scope="col">{right}</th>
            <th scope="col">apart</th>
          </tr>
        </thead>
        <tbody>
          {(["now", "own", "matched"] as const).map((when) => {
            const angle = (limb: Limb) => {
              const plan =
                limb === pair.better ? pair.own.better : when === "matched" ? pair.matched : pair.own.worse;
              return when === "now" ? plan.question.foot.dorsalAngle : plan.predicted.dorsalAngle;
            };
            return (
              <tr key={when}>
                <th scope="row">
                  {when === "now" ? "as they stand" : when === "own" ? "each by its own plan" : "matched"}
                </th>
                <td>{wording.angle(angle(left))}</td>
                <td>{wording.angle(angle(right))}</td>
                <td className="plan-after">{wording.angle(Math.abs(pair.apart[when]))}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {changes && (
        <p>
          <Fractions text={`To match, ${wording.limb(worse)}: ${cutsInWords(cuts, wording)}.`} />{" "}
          <TextButton disabled={taken} onClick={take}>
            {taken ? "On its bench" : "Put it on its bench"}
          </TextButton>
        </p>
      )}
    </section>
  );
}

function PairSaid({ pair, worse, wording }: { pair: PairPlan; worse: Limb; wording: Wording }) {
  const apart = Math.abs(pair.apart.matched);
  const pasterns = Math.abs(pair.pasternsApart);
  return (
    <>
      The {wording.limb(pair.better)} is the better foot and keeps its own plan; it is not lowered to match.
      The {wording.limb(worse)} comes {apart < 0.5 ? "level with it" : `within ${wording.angle(apart)} of it`}
      , as far as its own limits give.
      {Math.abs(pair.matched.remaining.axis) > Math.abs(pair.own.worse.remaining.axis) + 0.5 &&
        ` That costs it ${wording.angle(Math.abs(pair.matched.remaining.axis) - Math.abs(pair.own.worse.remaining.axis))} of its own axis.`}
      {pasterns > 2 &&
        ` The pasterns themselves stand ${wording.angle(pasterns)} apart: that much is the horse, not the trim.`}
    </>
  );
}
