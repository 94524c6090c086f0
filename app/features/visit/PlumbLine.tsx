import { Link } from "react-router";
import type { StageContext } from "~app/stage/stageContext";
import { Mark } from "~app/ui/Mark";
import { stageDone } from "~core/visit/progress";
import type { VisitFoot } from "~core/visit/visitFoot";
import { LIMBS, type Limb } from "~core/foot/limb";
import { type Visit } from "~core/record/visit";
import { STAGE_NAMES, STAGES, type Stage } from "~core/constants/stages";

interface PlumbLineProps {
  visit: Visit;
  stage: Stage;
  limb: Limb;
  feet: Record<Limb, VisitFoot>;
  goTo: StageContext["goTo"];
  children: React.ReactNode;
}

/** The spine of a visit: nine knots on a line, the bob at the present one, a dot a foot. */
export function PlumbLine({ visit, stage, limb, feet, goTo, children }: PlumbLineProps) {
  const here = STAGES.indexOf(stage);
  return (
    <nav className="plumb-rail" aria-label="Stages of the visit">
      <Link to="/" className="plumb-home">
        <Mark /> Plumbline
      </Link>
      <ol className="knots">
        {STAGES.map((one, index) => {
          const done = LIMBS.filter((foot) => stageDone(one, visit, feet[foot]));
          const place = index < here ? "past" : index === here ? "here" : "ahead";
          return (
            <li key={one} className={`knot knot-${place}`}>
              <Link
                to={`/visits/${visit.id}/${one}?foot=${limb}`}
                onClick={(event) => {
                  // With a key held the browser opens it elsewhere, as for every link.
                  if (event.ctrlKey || event.metaKey || event.shiftKey || event.altKey) return;
                  event.preventDefault();
                  goTo({ stage: one });
                }}
                aria-current={place === "here" ? "step" : undefined}
                aria-label={`${STAGE_NAMES[one]}, ${done.length} of 4 feet`}
              >
                <span className="knot-mark" aria-hidden="true" />
                <span className="knot-name">{STAGE_NAMES[one]}</span>
                <span className="knot-dots" aria-hidden="true">
                  {LIMBS.map((foot) => (
                    <i key={foot} className={done.includes(foot) ? "done" : ""} />
                  ))}
                </span>
              </Link>
            </li>
          );
        })}
      </ol>
      <div className="plumb-foot">{children}</div>
    </nav>
  );
}
