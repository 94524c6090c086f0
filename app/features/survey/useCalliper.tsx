import type { StageContext } from "~app/stage/stageContext";
import { useWording } from "~app/ui/useWording";
import type { Moment, SoleRecord } from "~core/foot/records/reading";
import { CALLIPER_LENGTHS, checkCalliper } from "~core/foot/survey/calliper";
import { lengthInField } from "~core/foot/wording";
import { typedNumber } from "~core/instrument/typedNumber";
import { withValueAt } from "~core/record/edit";
import { useListLane, type ListItem } from "./useListLane";

/** The sole by calliper: lengths in the order one measures, each a coordinate of a mark; drawn as they are typed. */
export function useCalliper(context: StageContext, moment: Moment, stored: SoleRecord, last: SoleRecord) {
  const wording = useWording();
  const items = CALLIPER_LENGTHS.map(({ id, name, how, mark, axis, sign }): ListItem => ({
    id,
    name: wording.inOwnWords(name),
    hint: wording.inOwnWords(how),
    kind: "length",
    path: ["sole", mark, axis],
    stored: stored[mark]?.[axis],
    last: last[mark]?.[axis],
    show: (value) =>
      lengthInField(Math.abs(value), wording, wording.unit === "mm" && value % 1 !== 0 ? 1 : 0),
    read: (text) => {
      const read = typedNumber("length", text, wording.unit);
      return read.ok ? checkCalliper({ id, name: wording.inOwnWords(name) }, read.value) : read;
    },
    source: "calliper",
    sign,
  }));
  const lane = useListLane(context, moment, items);
  const sole = lane.typedValues.reduce<SoleRecord>(
    (now, { path, value }) => withValueAt(now, path.slice(1), value),
    stored,
  );
  return { ...lane, sole };
}
