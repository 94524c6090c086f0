import { PickOne } from "~app/ui/PickOne";
import { useWording } from "~app/ui/useWording";
import { SIDES } from "~core/foot/limb";
import type { Shoeing } from "~app/stage/useShoe";

const DEGREES = [1, 1.5, 2, 3, 4];

/** A wedge under one side: which, and how much. The checks ask first whether the trim can do it. */
export function SideWedge({ shoeing }: { shoeing: Shoeing }) {
  const wording = useWording();
  const { sideWedge } = shoeing.spec;
  return (
    <div className="raise-fields">
      <label className="spec-field">
        <span>Wedge under one side</span>
        <PickOne
          value={sideWedge?.side ?? "none"}
          options={[
            { value: "none", label: "none" },
            ...SIDES.map((side) => ({ value: side as string, label: wording.side(side) })),
          ]}
          onPick={(side) =>
            shoeing.put({
              sideWedge:
                side === "none"
                  ? undefined
                  : { degrees: sideWedge?.degrees ?? 2, side: side as "medial" | "lateral" },
            })
          }
        />
      </label>
      {sideWedge && (
        <label className="spec-field">
          <span>How much</span>
          <PickOne
            value={sideWedge.degrees}
            options={[...new Set([...DEGREES, sideWedge.degrees])]
              .sort((a, b) => a - b)
              .map((value) => ({ value, label: wording.angle(value) }))}
            onPick={(degrees) => shoeing.put({ sideWedge: { ...sideWedge, degrees } })}
          />
        </label>
      )}
    </div>
  );
}
