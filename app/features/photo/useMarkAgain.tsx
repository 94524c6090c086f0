import { useState } from "react";
import { useEdits } from "~app/ui/useEdits";
import { useSettings } from "~app/ui/useWording";
import type { FootValues } from "~core/foot/measures";
import type { ImagePoint, Vector } from "~core/geometry/vector";
import { pairsOf, pairsOfReadings } from "~core/foot/records/pairs";
import { pairEdit, pairsSaid } from "~app/stage/pairEdit";
import { counted } from "~core/units/counted";

type Points = Partial<Record<string, ImagePoint>>;

interface MarkAgain {
  date: string;
  /** Marks of the foot, without the scale, which is not placed again. */
  marks: readonly string[];
  first: Points;
  /** What marks say by themselves. */
  valuesOf: (points: Points) => FootValues;
}

/**
 * The marks of a picture placed a second time without seeing the first: how steady this hand is. Marks and reading stay
 * what they were; the scale is taken as it is.
 */
export function useMarkAgain({ date, marks, first, valuesOf }: MarkAgain) {
  const settings = useSettings();
  const { save } = useEdits();
  const [second, setSecond] = useState<Points>();
  const [said, setSaid] = useState<string>();
  const scale = Object.fromEntries(
    Object.entries(first).filter(([name]) => name.startsWith("card") || name.startsWith("scale")),
  );
  const wanted = marks.filter((mark) => first[mark]);
  const keep = () => {
    if (!second) return;
    const pairs = pairsOfReadings(date, valuesOf(first), valuesOf({ ...scale, ...second }));
    const edit = pairEdit(settings, pairs, "picture marked again");
    if (pairs.length > 0) void save(edit);
    const counts = (["angle", "length"] as const).filter((kind) => pairsOf(pairs, kind).length > 0);
    setSaid(
      pairs.length === 0
        ? "These marks make no measure by themselves: no pair."
        : `${counted(pairs.length, "pair")} kept. ${counts.map((kind) => pairsSaid(edit.now, kind, pairsOf(edit.now, kind).length)).join(" ")}`,
    );
    setSecond(undefined);
  };
  return {
    marking: second !== undefined,
    /** What stands on the picture meanwhile. */
    points: second ? { ...scale, ...second } : first,
    /** How many are placed, of how many. */
    placed: `${Object.keys(second ?? {}).length + 1} of ${wanted.length}`,
    next: second && wanted.find((mark) => !second[mark]),
    place: (mark: string, at: Vector) => setSecond((now) => now && { ...now, [mark]: [at[0], at[1]] }),
    start: () => {
      setSaid(undefined);
      setSecond({});
    },
    leave: () => setSecond(undefined),
    keep,
    said,
  };
}
