import { PickOne } from "~app/ui/PickOne";
import { useEdits } from "~app/ui/useEdits";
import {
  FRONT_LENSES,
  LENS_FACTS,
  SIDE_LENSES,
  type FrontLens,
  type LensChoice,
  type SideLens,
} from "~core/foot/lens";
import type { Horse } from "~core/record/horse";

interface LensBarProps {
  horse: Horse;
  /** The lenses that count for this foot. */
  chosen: LensChoice;
  /** A second front-to-back lens laid over the first. */
  second: FrontLens | undefined;
  onSecond: (lens: FrontLens | undefined) => void;
}

/** Which aim the foot is held against, for this horse; and a second one to lay over it. */
export function LensBar({ horse, chosen, second, onSecond }: LensBarProps) {
  const { save } = useEdits();
  const choose = (key: "frontBack" | "side", lens: FrontLens | SideLens) =>
    void save({
      table: "horses",
      id: horse.id,
      path: ["lenses"],
      was: horse.lenses,
      now: { ...horse.lenses, [key]: lens },
      label: `lens for ${horse.name}`,
    });
  const select = <Lens extends FrontLens | SideLens>(
    label: string,
    lenses: readonly Lens[],
    value: Lens | undefined,
    onChange: (lens: Lens | undefined) => void,
    none?: string,
  ) => (
    <PickOne<Lens | "">
      className={none === undefined ? "lens-select" : "lens-select lens-second"}
      label={label}
      title={value && LENS_FACTS[value].aim}
      value={value ?? ""}
      options={[
        ...(none === undefined ? [] : [{ value: "" as const, label: none }]),
        ...lenses.map((lens) => ({ value: lens, label: LENS_FACTS[lens].name })),
      ]}
      onPick={(lens) => onChange(lens === "" ? undefined : lens)}
    />
  );
  return (
    <div className="lens-bar" role="group" aria-label="Lenses for this horse">
      <span className="quiet">Front to back</span>
      {select(
        "Front to back lens",
        FRONT_LENSES,
        chosen.frontBack,
        (lens) => lens && choose("frontBack", lens),
      )}
      <span className="quiet">against</span>
      {select(
        "Lay a second lens over it",
        FRONT_LENSES.filter((lens) => lens !== chosen.frontBack),
        second,
        onSecond,
        "no other",
      )}
      <span className="quiet">Side to side</span>
      {select("Side to side lens", SIDE_LENSES, chosen.side, (lens) => lens && choose("side", lens))}
    </div>
  );
}
