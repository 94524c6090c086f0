import { Select } from "antd";
import { useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { useWording } from "~app/ui/useWording";
import { WALL_PLACE_NAMES, WALL_PLACES, type WallPlace } from "~core/foot/survey/walls";
import { footEdit } from "~core/record/footRecords";
import { curledHeels, levelOrRocker } from "~core/trim/eased";
import type { TrimPlan } from "~core/trim/question";
import type { Trim } from "~core/trim/trimRecord";
import type { Bench } from "./useBench";

/** A rocker as it is offered, mm; a hand fits it to the heel. */
const ROCKER = { lengthMm: 15, depthMm: 2 };
const FLOATS = [1, 2, 3, 4] as const;

/** A curled heel cut level or eased at its front, both with what they do; and places that are to bear nothing. */
export function Eased({ bench, plan }: { bench: Bench; plan: TrimPlan }) {
  const wording = useWording();
  const { save } = useEdits();
  const { blank, trim } = bench;
  const [mm, setMm] = useState<number>(2);
  const put = (path: readonly string[], now: unknown, label: string) =>
    void save(footEdit(blank, "trims", trim, { path, now, label }));
  const { foot } = plan.question;
  const rockers: NonNullable<Trim["rockers"]> = trim?.rockers ?? {};
  const floats: NonNullable<Trim["floats"]> = trim?.floats ?? {};
  return (
    <section className="eased" aria-label="Ease and unload">
      {curledHeels(foot).map((side) => {
        const cut = side === "medial" ? "heelMedial" : "heelLateral";
        const { level, rocker } = levelOrRocker(foot, Math.max(2, bench.cuts[cut]), rockers[side] ?? ROCKER);
        const { lengthMm, depthMm } = rockers[side] ?? ROCKER;
        return (
          <p key={side}>
            <b>The {wording.side(side)} heel is curled.</b>{" "}
            <Fractions
              text={`Level cut: bears ${wording.length(level.backMm)} further back, costs ${wording.cut(level.heightMm)} of height and ${wording.angle(level.angleDeg)}. Eased over ${wording.cut(lengthMm)}, ${wording.cut(depthMm)} deep: about ${wording.length(rocker.backMm)} further back, height and angle kept (an estimate).`}
            />{" "}
            <TextButton
              onClick={() =>
                put(["rockers", side], rockers[side] ? undefined : ROCKER, `${wording.side(side)} heel eased`)
              }
            >
              {rockers[side] ? "Cut it level" : "Ease it instead"}
            </TextButton>
          </p>
        );
      })}
      <p className="eased-float">
        <span>Unload a place</span>
        <Select<WallPlace>
          aria-label="Unload a place"
          placeholder="none"
          value={null}
          options={WALL_PLACES.filter((place) => floats[place] === undefined).map((value) => ({
            value,
            label: wording.inOwnWords(WALL_PLACE_NAMES[value]),
          }))}
          onChange={(place) => put(["floats", place], mm, "a place unloaded")}
          popupMatchSelectWidth={false}
        />
        <span>by</span>
        <Select
          aria-label="Floated by"
          value={mm}
          options={FLOATS.map((value) => ({ value, label: wording.cut(value) }))}
          onChange={setMm}
          popupMatchSelectWidth={false}
        />
      </p>
      {(Object.keys(floats) as WallPlace[]).map((place) => (
        <p key={place}>
          <Fractions
            text={`${wording.inOwnWords(WALL_PLACE_NAMES[place])} floated by ${wording.cut(floats[place] ?? 0)}: its load goes to the wall on either side. No nail there, the shoe is relieved over it, and a hot shoe leaves a gap.`}
          />{" "}
          <TextButton onClick={() => put(["floats", place], undefined, "a place unloaded")}>
            Load it again
          </TextButton>
        </p>
      ))}
    </section>
  );
}
