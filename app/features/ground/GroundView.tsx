import { useState } from "react";
import type { FootAt } from "~app/data/footAt";
import type { Horse } from "~core/record/horse";
import { GroundByMeasures } from "./GroundByMeasures";
import { GroundOfFoot } from "./GroundOfFoot";
import { WhichFoot } from "./WhichFoot";
import "./ground.css";

interface GroundViewProps {
  foot: FootAt | undefined;
  horses: Horse[];
}

/** What a shoe does on the ground that this horse goes on: a foot of the records, or one by two measures. */
export function GroundView({ foot, horses }: GroundViewProps) {
  const [by, setBy] = useState<"foot" | "measures">("foot");
  if (foot) return <GroundOfFoot key={`${foot.visit.id}${foot.limb}`} at={foot} />;
  return (
    <div className="page ground">
      <header className="page-head">
        <div>
          <h1>Ground</h1>
          <p className="quiet">
            What a shoe does where the horse works: differences between shoes, on which ground there are any,
            and who pays. A simplified model, for comparing; it foretells no patient.
          </p>
        </div>
      </header>
      <WhichFoot horses={horses} by={by} onBy={setBy} />
      {by === "measures" && <GroundByMeasures />}
    </div>
  );
}
