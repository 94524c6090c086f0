import { Segmented } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { tellingVisit } from "~app/data/footAt";
import { PickOne } from "~app/ui/PickOne";
import { useWording } from "~app/ui/useWording";
import { LIMBS, type Limb } from "~core/foot/limb";
import type { Horse } from "~core/record/horse";

interface WhichFootProps {
  horses: Horse[];
  by: "foot" | "measures";
  onBy: (by: "foot" | "measures") => void;
}

/** Whose foot is stood on the ground: a horse's, as its last or open visit knows it, or one by two measures. */
export function WhichFoot({ horses, by, onBy }: WhichFootProps) {
  const wording = useWording();
  const navigate = useNavigate();
  const [horseId, setHorseId] = useState("");
  const [limb, setLimb] = useState<Limb>("LF");
  const [none, setNone] = useState<Horse | undefined>(undefined);
  const go = async (of: string, foot: Limb) => {
    const visit = await tellingVisit(of);
    if (visit) void navigate(`/ground/${visit.id}/${foot}`);
    else setNone(horses.find(({ id }) => id === of));
  };
  return (
    <section className="which-foot" aria-label="Which foot">
      <Segmented
        aria-label="From"
        options={[
          { value: "foot", label: "A horse’s foot" },
          { value: "measures", label: "Two measures" },
        ]}
        value={by}
        onChange={(value) => onBy(value as WhichFootProps["by"])}
      />
      {by === "foot" && (
        <>
          <PickOne
            label="Horse"
            value={horseId}
            options={[
              { value: "", label: "Choose a horse" },
              ...[...horses]
                .sort((a, b) => a.name.localeCompare(b.name))
                .map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onPick={(id) => {
              setHorseId(id);
              setNone(undefined);
              if (id !== "") void go(id, limb);
            }}
          />
          <PickOne
            label="Foot"
            value={limb}
            options={LIMBS.map((value) => ({ value, label: wording.limb(value) }))}
            onPick={(value) => {
              setLimb(value);
              if (horseId !== "") void go(horseId, value);
            }}
          />
        </>
      )}
      {none && by === "foot" && (
        <p role="alert">
          Nothing was measured on {none.name} yet.{" "}
          <Link className="link" to={`/horses/${none.id}`}>
            Start a visit
          </Link>
          , or go by two measures.
        </p>
      )}
      {horses.length === 0 && by === "foot" && (
        <p className="quiet">There is no horse in this round yet: two measures do.</p>
      )}
    </section>
  );
}
