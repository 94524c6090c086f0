import { useWording } from "~app/ui/useWording";
import type { Raise } from "~core/shoe/specification";
import { LineOfWhy } from "./LineOfWhy";
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
        <select
          value={raise?.degrees ?? 0}
          onChange={(event) => {
            const degrees = Number(event.target.value);
            if (degrees === 0) shoeing.put({ raise: undefined });
            else put({ degrees });
          }}
        >
          <option value={0}>none</option>
          {[...new Set([...DEGREES, ...(raise ? [raise.degrees] : [])])]
            .sort((a, b) => a - b)
            .map((degrees) => (
              <option key={degrees} value={degrees}>
                {wording.angle(degrees)}
              </option>
            ))}
        </select>
      </label>
      {raise && (
        <>
          <label className="spec-field">
            <span>For cycles</span>
            <select value={raise.cycles} onChange={(event) => put({ cycles: Number(event.target.value) })}>
              {CYCLES.map((cycles) => (
                <option key={cycles} value={cycles}>
                  {cycles}
                </option>
              ))}
            </select>
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
