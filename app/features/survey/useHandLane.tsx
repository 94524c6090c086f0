import type { StageContext } from "~app/stage/stageContext";
import { useWording } from "~app/ui/useWording";
import { checkHandMeasure, HAND_MEASURES, isSigned, type HandMeasure } from "~core/foot/handMeasures";
import type { Measured } from "~core/foot/measures";
import type { Moment, Reading } from "~core/foot/records/reading";
import { lengthInField, type Wording } from "~core/foot/wording";
import { typedNumber } from "~core/instrument/typedNumber";
import { withValueAt } from "~core/record/edit";
import { useListLane, type ListItem } from "./useListLane";

const keptAt = (reading: Reading | undefined, { group, id }: HandMeasure): Measured | undefined =>
  (reading?.[group] as Partial<Record<string, Measured>> | undefined)?.[id];

function show({ kind }: HandMeasure, value: number, wording: Wording): string {
  const size = Math.abs(value);
  const text = kind === "length" ? lengthInField(size, wording) : String(Math.round(size * 10) / 10);
  return value < 0 && text !== "0" ? `−${text}` : text;
}

/** What gauge, rule and level give beyond the fast lane, one after the other in the order of the hand. */
export function useHandLane(context: StageContext, moment: Moment, before: Reading | undefined) {
  const wording = useWording();
  const existing = context.feet[context.limb].reading[moment];
  const items = HAND_MEASURES.map((one): ListItem => {
    const name = wording.inOwnWords(one.name);
    return {
      id: one.id,
      name,
      hint: wording.inOwnWords(one.how),
      kind: one.kind,
      signed: isSigned(one),
      path: [one.group, one.id],
      stored: keptAt(existing, one),
      last: keptAt(before, one),
      show: (value) => show(one, value, wording),
      read: (text) => {
        const read = typedNumber(one.kind, text, wording.unit, isSigned(one));
        return read.ok ? checkHandMeasure({ ...one, name }, read.value) : read;
      },
      source: one.source,
    };
  });
  const lane = useListLane(context, moment, items);
  /** The reading with what is being typed in it, so that drawing and findings follow the hand. */
  const withTyped = (reading: Reading): Reading =>
    lane.typedValues.reduce((now, { path, value }) => withValueAt(now, path, value), reading);
  return { ...lane, withTyped };
}
