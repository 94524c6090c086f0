import { Button } from "antd";
import { useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import { openFlags, RED_FLAG_ADVICE, RED_FLAGS, type RedFlag } from "~core/caution/redFlags";
import type { Visit } from "~core/record/visit";

/** The one banner of a visit: it stands on every stage until each flag was told to the vet or is not needed because … */
export function FlagBanner({ visit }: { visit: Visit }) {
  const open = openFlags(visit.flags);
  if (open.length === 0) return null;
  return (
    <section className="flag-banner" role="alert" aria-label="For the vet">
      <p className="flag-title">
        {open.length === 1
          ? "One thing for the vet. Do not shoe on before it is answered."
          : `${open.length} things for the vet. Do not shoe on before they are answered.`}
      </p>
      {open.map((flag) => (
        <FlagAnswer key={flag} visit={visit} flag={flag} />
      ))}
    </section>
  );
}

function FlagAnswer({ visit, flag }: { visit: Visit; flag: RedFlag }) {
  const { save } = useEdits();
  const raised = visit.flags[flag];
  const [because, setBecause] = useState(raised?.because ?? "");
  const [asked, setAsked] = useState(false);
  const answer = (kind: "told the vet" | "not needed") => {
    if (because.trim() === "") return setAsked(true);
    void save({
      table: "visits",
      id: visit.id,
      path: ["flags", flag],
      was: raised,
      now: { ...raised, answer: kind, because: because.trim(), at: new Date().toISOString() },
      label: "red flag answered",
    });
  };
  return (
    <div className="flag-answer">
      <p>
        <b>{RED_FLAGS[flag]}.</b> {RED_FLAG_ADVICE[flag]}
      </p>
      <div className="flag-row">
        <input
          aria-label={`Who was told, or why it is not needed: ${RED_FLAGS[flag]}`}
          aria-invalid={asked && because.trim() === ""}
          placeholder="who was told and when, or why not needed"
          value={because}
          maxLength={400}
          onChange={(event) => setBecause(event.target.value)}
        />
        <Button onClick={() => answer("told the vet")}>Told the vet</Button>
        <Button onClick={() => answer("not needed")}>Not needed, because …</Button>
      </div>
      {asked && because.trim() === "" && (
        <p role="alert">Say in a word who was told, or why it is not needed.</p>
      )}
    </div>
  );
}
