import { Chip } from "~app/ui/Chip";
import { useEdits } from "~app/ui/useEdits";
import { RED_FLAG_NAMES, RED_FLAGS, type RedFlag } from "~core/caution/redFlags";
import type { Visit } from "~core/record/visit";

/** The questions whose yes belongs to the vet. A yes raises the banner; a second tap takes a slip of the finger back. */
export function RedFlags({ visit }: { visit: Visit }) {
  const { save } = useEdits();
  const toggle = (flag: RedFlag) =>
    void save({
      table: "visits",
      id: visit.id,
      path: ["flags", flag],
      was: visit.flags[flag],
      now: visit.flags[flag] ? undefined : { note: "", because: "" },
      label: "red flag",
    });
  return (
    <section className="red-flags" aria-label="Anything for the vet?">
      <h2>Anything for the vet?</h2>
      <p className="quiet">Tap what is so. Nothing tapped means nothing seen.</p>
      <div className="red-flag-list">
        {RED_FLAG_NAMES.map((flag) => (
          <Chip
            key={flag}
            className="chip-flag"
            on={visit.flags[flag] !== undefined}
            onClick={() => toggle(flag)}
          >
            {RED_FLAGS[flag]}
          </Chip>
        ))}
      </div>
    </section>
  );
}
