import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { Choice } from "~app/stage/Choice";
import { SIDES } from "~core/foot/limb";
import { CLEFT_LEANS, HEEL_HORN, TUBULE_RUNS, type Look } from "~core/foot/records/look";
import type { Edit } from "~core/record/edit";

interface HornTapsProps {
  look: Look | undefined;
  edit: (path: readonly string[], now: unknown, label: string) => Edit;
}

/** Cleft, tubules and heel horn: what the foot shows of where it carries, each a tap. */
export function HornTaps({ look, edit }: HornTapsProps) {
  const wording = useWording();
  const { save } = useEdits();
  const words = Object.fromEntries(CLEFT_LEANS.map((lean) => [wording.inOwnWords(lean), lean]));
  return (
    <section aria-label="Cleft, tubules and heels">
      <h2>Cleft, tubules and heels</h2>
      <Choice
        label="Cleft leans"
        options={Object.keys(words)}
        value={look?.cleft && wording.inOwnWords(look.cleft)}
        usual={"upright"}
        onChoose={(lean) => void save(edit(["cleft"], lean && words[lean], "cleft"))}
      />
      {SIDES.map((side) => (
        <Choice
          key={side}
          label={`Tubules, ${wording.side(side)} quarter`}
          options={TUBULE_RUNS}
          value={look?.tubules?.[side]}
          usual="straight"
          onChoose={(runs) => void save(edit(["tubules", side], runs, "tubules"))}
        />
      ))}
      {SIDES.map((side) => (
        <Choice
          key={side}
          label={`Horn of the ${wording.side(side)} heel`}
          options={HEEL_HORN}
          value={look?.heelHorn?.[side]}
          usual="strong"
          onChoose={(horn) => void save(edit(["heelHorn", side], horn, "heel horn"))}
        />
      ))}
    </section>
  );
}
