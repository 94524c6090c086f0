import { Tap } from "~app/ui/Tap";
import { TextButton } from "~app/ui/TextButton";
import { useState } from "react";
import { useNavigate } from "react-router";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { LIMBS, type Limb } from "~core/foot/limb";
import { CALL_KINDS, type Call, type CallKind } from "~core/record/call";
import type { Horse } from "~core/record/horse";

/** A call between visits in two taps: what happened, on which foot. Then to where it is fitted into the day. */
export function Happened({ horse, today }: { horse: Horse; today: string }) {
  const wording = useWording();
  const navigate = useNavigate();
  const { save } = useEdits();
  const [kind, setKind] = useState<CallKind>();
  const log = async (limb: Limb) => {
    if (!kind) return;
    const id = crypto.randomUUID();
    const call: Call = {
      id,
      horseId: horse.id,
      date: today,
      kind,
      limb,
      cause: "not seen",
      found: false,
      note: "",
    };
    const label = `${horse.name}: ${kind}`;
    await save({ table: "calls", id, path: [], was: undefined, now: call, label });
    void navigate("/rounds?view=calls");
  };
  return (
    <section className="happened" aria-label="Between visits">
      <p className="quiet">{kind ? `${kind}: which foot?` : "Something happened?"}</p>
      <div className="happened-taps">
        {kind
          ? LIMBS.map((limb) => (
              <Tap key={limb} onClick={() => void log(limb)}>
                {wording.limb(limb)}
              </Tap>
            ))
          : CALL_KINDS.map((one) => (
              <Tap key={one} onClick={() => setKind(one)}>
                {one}
              </Tap>
            ))}
        {kind && <TextButton onClick={() => setKind(undefined)}>Back</TextButton>}
      </div>
    </section>
  );
}
