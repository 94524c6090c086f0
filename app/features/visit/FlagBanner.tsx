import { NumberInput } from "~app/ui/NumberInput";
import { Button } from "antd";
import { useState } from "react";
import { useFields } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { openFlags, RED_FLAG_ADVICE, RED_FLAGS, type RedFlag } from "~core/caution/redFlags";
import type { Visit } from "~core/record/visit";
import { ok } from "~core/result";

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

/** One flag's answer; the reason is kept letter by letter as every text is. */
function FlagAnswer({ visit, flag }: { visit: Visit; flag: RedFlag }) {
  const { save } = useEdits();
  const [asked, setAsked] = useState(false);
  const raised = visit.flags[flag];
  const { view, type, settle } = useFields({
    because: {
      draftKey: `${visit.id}/flags/${flag}`,
      stored: raised?.because ?? "",
      show: (text: string) => text,
      read: (text) => ok(text),
      edit: (was, now) => ({
        table: "visits",
        id: visit.id,
        path: ["flags", flag, "because"],
        was: was ?? "",
        now: now ?? "",
        label: "red flag",
      }),
    },
  });
  const because = view("because");
  const answer = (kind: "told the vet" | "not needed") => {
    if (because.text.trim() === "") return setAsked(true);
    settle("because");
    const change = (key: "answer" | "at", now: string) =>
      ({
        table: "visits",
        id: visit.id,
        path: ["flags", flag, key],
        was: raised?.[key],
        now,
        label: "red flag answered",
      }) as const;
    void save(change("answer", kind), change("at", new Date().toISOString()));
  };
  const missing = asked && because.text.trim() === "";
  return (
    <div className="flag-answer">
      <p>
        <b>{RED_FLAGS[flag]}.</b> {RED_FLAG_ADVICE[flag]}
      </p>
      <div className="flag-row">
        <NumberInput
          inputMode="text"
          label={`Who was told, or why it is not needed: ${RED_FLAGS[flag]}`}
          placeholder="who was told and when, or why not needed"
          view={{ text: because.text, typed: because.typed, issue: missing || undefined }}
          maxLength={400}
          onType={(next) => type("because", next)}
          onSettle={() => settle("because")}
        />
        <Button onClick={() => answer("told the vet")}>Told the vet</Button>
        <Button onClick={() => answer("not needed")}>Not needed, because …</Button>
      </div>
      {missing && <p role="alert">Say in a word who was told, or why it is not needed.</p>}
    </div>
  );
}
