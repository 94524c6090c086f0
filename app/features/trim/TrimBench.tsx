import { TextButton } from "~app/ui/TextButton";
import { Button } from "antd";
import { LENS_FACTS } from "~core/foot/lens";
import { FindingList } from "~app/ui/FindingList";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { useNarrow } from "~app/ui/useNarrow";
import { useWording } from "~app/ui/useWording";
import { heelPoint } from "~core/foot/parametric/parameters";
import { PLAN_WANT_NAMES } from "~core/trim/footQuestion";
import { answerInWords } from "~core/trim/choiceWords";
import { leftInWords, limitInWords, ownerWords, saidStops, shoeInWords } from "~core/trim/planWords";
import { isConundrum } from "~core/trim/strokes";
import { trimBench } from "~core/visit/trimBench";
import { FootPictures } from "~app/stage/FootPictures";
import { Conundrum } from "./Conundrum";
import { RearCut, SideCut, SoleCut } from "./CutOverlays";
import { CutRows } from "./CutRows";
import { Eased } from "./Eased";
import { FlareRows } from "./FlareRows";
import { FurtherBack } from "./FurtherBack";
import { Stages } from "./Stages";
import { PlanTable } from "./PlanTable";
import { TellOwner } from "./TellOwner";
import { TrimLenses } from "./TrimLenses";
import type { TrimViewProps } from "./trimView";

/** The decision: four cuts on the foot as it stands, what they do, what stops them, what they leave. */
export function TrimBench({ context, bench, show }: TrimViewProps) {
  const { visit, limb, goTo } = context;
  const wording = useWording();
  const narrow = useNarrow();
  const { plan, cuts, facts, wants, missing, second, secondLens, done } = bench;
  const { drawn } = facts;
  if (!plan || missing.length > 0)
    return (
      <div className="trim-empty">
        <h2>Nothing to plan from yet</h2>
        {bench.plan === undefined && !bench.done.ok ? (
          <p role="alert" className="ember">
            {bench.done.issues[0]?.message}
          </p>
        ) : (
          <p>
            Measure {missing.map((want) => PLAN_WANT_NAMES[want]).join(", ")} of the {wording.limb(limb)}{" "}
            first; then the walls above the live sole. What was taken without a plan can still be noted on the
            cut sheet.
          </p>
        )}
        <div className="trim-actions">
          <Button type="primary" size="large" onClick={() => goTo({ stage: "survey" })}>
            Measure this foot
          </Button>
          <Button size="large" onClick={() => show("sheet")}>
            Note what was taken
          </Button>
        </div>
      </div>
    );
  const {
    after,
    lines,
    otherPlan,
    otherLines,
    past,
    reasons,
    refusals,
    shoe,
    rest,
    verdict,
    sides,
    compared,
    crescent,
    widths,
    held,
    worse,
    frog,
    vetFirst,
  } = trimBench(
    {
      facts,
      plan,
      lenses: bench.lenses,
      cuts,
      flares: bench.flaresNow,
      flexural: bench.asked.flexural,
      done,
      second: second && secondLens ? { lens: secondLens, planned: second } : undefined,
    },
    wording,
  );
  const answers =
    otherPlan && secondLens && isConundrum(plan.question.foot)
      ? [
          answerInWords({ lens: bench.lenses.frontBack, plan }, bench.raise?.own, wording),
          answerInWords({ lens: secondLens, plan: otherPlan }, bench.raise?.second, wording),
        ]
      : undefined;
  const overlay = { lines, second: otherLines, cuts, most: plan.limits.most, wording, onMove: bench.move };
  return (
    <div className="bench trim-bench">
      <FootPictures
        foot={drawn}
        ghost={undefined}
        ghostName=""
        guessed={facts.guessed}
        filledName="as it stands"
        surveyed={facts.survey.front !== undefined && facts.survey.support !== undefined}
        tiltDeg={facts.rear.hairlineTilt}
        sole={{
          marks: facts.marks,
          corY: facts.survey.cor?.median,
          planned: after?.foot,
          overlay: (geometry) => (
            <SoleCut geometry={geometry} foot={drawn} crescent={crescent} {...overlay} />
          ),
        }}
        sideOverlay={(geometry) => <SideCut geometry={geometry} {...overlay} />}
        rearOverlay={(geometry) => <RearCut geometry={geometry} {...overlay} widths={widths} />}
      />
      <section className="trim-side" aria-label="The plan">
        {narrow && <TrimLenses context={context} bench={bench} />}
        <PlanTable
          bench={bench}
          plan={plan}
          after={after?.predicted}
          other={otherPlan ?? (bench.byHand ? plan : undefined)}
          otherName={LENS_FACTS[otherPlan && secondLens ? secondLens : bench.lenses.frontBack].name}
        />
        {!after && (
          <p role="alert" className="ember">
            {done.ok ? "" : done.issues[0]?.message}
          </p>
        )}
        {after && (
          <div className={`plan-said${Math.abs(after.predicted.axis) < 0.5 ? "" : " plan-said-left"}`}>
            <p className="plan-left">{leftInWords(after.predicted, wording)}</p>
            {shoeInWords(shoe, plan.question.finish, wording).map((line) => (
              <p key={line}>
                <Fractions text={line} />
              </p>
            ))}
          </div>
        )}
        {[vetFirst, worse, frog].map(
          (said) =>
            said && (
              <p key={said} className="plan-worse">
                <Fractions text={said} />
              </p>
            ),
        )}
        {(held ?? (bench.trim?.strictPlane && "")) !== undefined && (
          <p className="plan-held">
            <Fractions text={held ?? "The plane of the live sole as it is, whatever it costs the axis."} />{" "}
            <TextButton
              onClick={() => void bench.choose("strictPlane", bench.trim?.strictPlane ? undefined : true)}
            >
              {bench.trim?.strictPlane ? "Hold the axis again" : "The plane as it is"}
            </TextButton>
          </p>
        )}
        {!bench.byHand && saidStops(plan).length > 0 && (
          <ul className="plan-stops" aria-label="What stopped it">
            {saidStops(plan).map((name) => (
              <li key={name}>
                <Fractions text={limitInWords(name, plan, wording)} />
              </li>
            ))}
          </ul>
        )}
        {verdict && (
          <p className="plan-verdict">
            <Fractions text={verdict} />
          </p>
        )}
        {sides.length > 0 && (
          <div className="plan-compared">
            {sides.map((line) => (
              <p key={line}>{line}</p>
            ))}
          </div>
        )}
        {answers && (
          <div className="plan-compared">
            {answers.map((line) => (
              <p key={line}>
                <Fractions text={line} />
              </p>
            ))}
          </div>
        )}
        {compared && (
          <div className="plan-compared">
            <p>
              <Fractions text={compared.how} />
            </p>
            {compared.why?.map((line) => (
              <p key={line} className="quiet">
                {line}
              </p>
            ))}
          </div>
        )}
        {wants.length > 0 && (
          <p className="plan-wants">
            <b>Cautious, because not all was measured.</b> Most would change with{" "}
            {wants
              .slice(0, 2)
              .map(
                ({ want, mm }) => `${wording.inOwnWords(PLAN_WANT_NAMES[want])} (up to ${wording.cut(mm)})`,
              )
              .join(" and ")}
            . <TextButton onClick={() => goTo({ stage: "survey" })}>Measure</TextButton>
          </p>
        )}
        <div className="trim-actions">
          <Button
            type="primary"
            size="large"
            disabled={past.length > 0}
            onClick={() => {
              bench.agree();
              show("sheet");
            }}
          >
            {bench.kept?.agreed ? "Back to the cut sheet" : "Start the cut sheet"}
          </Button>
          {bench.kept && (
            <Button size="large" onClick={bench.reset}>
              The lenses’ plan again
            </Button>
          )}
          {rest >= 1 && (
            <Button
              size="large"
              onClick={() =>
                bench.moveAll({
                  ...cuts,
                  toe: cuts.toe + rest,
                  heelMedial: cuts.heelMedial + rest,
                  heelLateral: cuts.heelLateral + rest,
                })
              }
            >
              {wording.cut(rest)} more all round
            </Button>
          )}
        </div>
      </section>
      <div className="trim-cuts">
        <CutRows bench={bench} />
        <FurtherBack bench={bench} />
        <Stages bench={bench} />
        <FlareRows bench={bench} widths={{ was: widths.was.width, now: widths.now.width }} />
        <Eased bench={bench} plan={plan} />
        <p className="quiet trim-note">
          {past.length > 0
            ? "A sheet is not started past a limit. What a hand has taken already can be noted on the sheet."
            : "Worked out from plane geometry and from what was measured. Stop at live sole, whatever it says here."}
        </p>
      </div>
      <section className="ledger trim-why" aria-label="Reasons">
        <div>
          {reasons.length > 0 && (
            <table className="reason-table">
              <caption>Why this cut</caption>
              <tbody>
                {reasons.map(({ finding, does }) => (
                  <tr key={finding.id}>
                    <th scope="row">
                      <Fractions text={finding.text} />
                    </th>
                    <td>
                      <Fractions text={does} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </div>
        <div>
          {refusals.length > 0 && <FindingList findings={refusals} />}
          <TellOwner
            visit={visit}
            text={ownerWords(plan, cuts, wording.limb(limb), wording, {
              flares: bench.flaresNow,
              stages: bench.stage && { of: bench.stage.of, next: shortDay(bench.stage.next) },
            })}
          />
        </div>
        <Conundrum plan={plan} heelsAt={heelPoint(drawn, "lateral")[1]} />
      </section>
    </div>
  );
}
