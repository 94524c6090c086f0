import { Button } from "antd";
import { useMemo } from "react";
import { Link, useNavigate } from "react-router";
import type { FootAt } from "~app/data/footAt";
import { useShoe } from "~app/stage/useShoe";
import { shortDay } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { PickOne } from "~app/ui/PickOne";
import { isFore, LIMBS } from "~core/foot/limb";
import { groundsOf, HARDEST } from "~core/ground/grounds";
import { paceLoad } from "~core/ground/loads";
import { NO_LIFE } from "~core/shoe/facts";
import { groundOfFoot, type GroundChoice } from "~core/visit/groundShoes";
import { GroundBenchView } from "./GroundBenchView";
import { useStanding } from "./useStanding";

/** A foot of the records on the ground that its horse goes on. */
export function GroundOfFoot({ at }: { at: FootAt }) {
  const { visit, file, limb, feet } = at;
  const { horse } = file;
  const wording = useWording();
  const navigate = useNavigate();
  const shoeing = useShoe(at);
  const { shoe } = shoeing;
  const foot = feet[limb];
  /* eslint-disable react-hooks/exhaustive-deps -- feet are worked out from `file` and `visit` */
  const bench = useMemo(
    () => groundOfFoot(shoe, foot, { massKg: horse.massKg, signed: visit.status === "signed" }, wording),
    [shoe, file, visit, limb],
  );
  /* eslint-enable react-hooks/exhaustive-deps */
  const goesOn = groundsOf((horse.life ?? NO_LIFE).footing);
  const fore = isFore(limb);
  const stands = useStanding({
    ground: goesOn[0] ?? HARDEST,
    newtons: paceLoad("walk", horse.massKg, fore),
  });
  const open = visit.status === "open";
  const take = (choice: GroundChoice) =>
    open && choice.from !== "on" ? (
      choice.from === "chosen" ? (
        <span className="verdigris">taken</span>
      ) : (
        <Button
          aria-label={`Take it: ${choice.name}`}
          onClick={() => {
            shoeing.take(choice.spec, choice.from === "advised" ? "adviser" : "own");
            void navigate(`/visits/${visit.id}/shoe?foot=${limb}&view=fit`);
          }}
        >
          Take it to the visit
        </Button>
      )
    ) : undefined;
  return (
    <div className="page ground">
      <header className="page-head ground-head">
        <div>
          <h1>Ground</h1>
          <p className="quiet">
            <Link className="link" to={`/horses/${horse.id}`}>
              {horse.name}
            </Link>
            , {horse.massKg} kg ·{" "}
            <PickOne
              className="ground-foot"
              label="Foot"
              value={limb}
              options={LIMBS.map((value) => ({ value, label: wording.limb(value) }))}
              onPick={(next) => void navigate(`/ground/${visit.id}/${next}${location.search}`)}
            />{" "}
            · {open ? "today’s visit" : `as left on ${shortDay(visit.date)}`}
            {goesOn.length > 0 && ` · goes on ${goesOn.map(({ name }) => name.toLowerCase()).join(", ")}`}
            {!bench.measured && " · outline not measured: an ordinary foot’s shape"}
          </p>
        </div>
        <p className="ground-ways">
          {open && (
            <Link className="link" to={`/visits/${visit.id}/shoe?foot=${limb}`}>
              Back to the shoe
            </Link>
          )}
          <Link className="link" to="/ground">
            Another foot
          </Link>
        </p>
      </header>
      <GroundBenchView bench={bench} stands={stands} limb={limb} massKg={horse.massKg} take={take} />
    </div>
  );
}
