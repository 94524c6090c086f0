import { PickOne } from "~app/ui/PickOne";
import { useWording } from "~app/ui/useWording";
import type { Raise } from "~core/shoe/specification";
import { LineOfWhy } from "~app/stage/LineOfWhy";
import type { ShoeViewProps } from "./shoeView";

const DEGREES = [1, 2, 3, 4, 5, 6, 8, 10];
const CYCLES = [1, 2, 3, 4, 6];

/** A raise as a stage: how much, for how many cycles, and what ends it. */
export function RaiseFields({ context, shoeing }: Pick<ShoeViewProps, "context" | "shoeing">) {
  const wording = useWording();
  const { raise } = shoeing.spec;
  const raised = (parts: Partial<Raise>) => ({
    raise: { degrees: 2, cycles: 2, exit: "", ...raise, ...parts },
  });
  const put = (parts: Partial<Raise>) => shoeing.put(raised(parts));
  return (
    <div className="raise-fields">
      <label className="spec-field">
        <span>Raise</span>
        <PickOne
          value={raise?.degrees ?? 0}
          options={[0, ...new Set([...DEGREES, ...(raise ? [raise.degrees] : [])])]
            .sort((a, b) => a - b)
            .map((value) => ({ value, label: value === 0 ? "none" : wording.angle(value) }))}
          onPick={(degrees) => {
            if (degrees === 0) shoeing.put({ raise: undefined });
            else put({ degrees });
          }}
        />
      </label>
      {raise && (
        <>
          <label className="spec-field">
            <span>For cycles</span>
            <PickOne
              value={raise.cycles}
              options={CYCLES.map((value) => ({ value, label: String(value) }))}
              onPick={(cycles) => put({ cycles })}
            />
          </label>
          <LineOfWhy
            label="Until, the exit test"
            hint="Heel angle within 5° of the wall, then level"
            draftKey={`${context.visit.id}.${context.limb}.shoe.exit`}
            stored={raise.exit}
            edit={(exit) => shoeing.specEdits(raised({ exit }))}
          />
        </>
      )}
    </div>
  );
}
