import { useId } from "react";
import { NumberInput } from "~app/ui/NumberInput";
import { useFields, type Field } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { cutInField, readFlare } from "~app/stage/cutText";
import { footEdit } from "~core/record/footRecords";
import { sentenceCase } from "~core/foot/wording";
import { FLARE_NAMES } from "~core/trim/flares";
import { FLARE_PLACES, type FlarePlace } from "~core/trim/trimRecord";
import type { Bench } from "./useBench";

/** What was really dressed at each place besides the toe. */
export function FlaresTaken({ bench }: { bench: Bench }) {
  const wording = useWording();
  const ids = useId();
  const { trim, blank, flaresNow } = bench;
  const { view, type, settle } = useFields(
    Object.fromEntries(
      FLARE_PLACES.map((place): [FlarePlace, Field<number>] => [
        place,
        {
          draftKey: `${blank.id}.taken.${place}`,
          stored: trim?.flares?.[place],
          show: (mm) => cutInField(mm, wording),
          read: (text) => readFlare(place, text, wording),
          edit: (was, now) =>
            footEdit(blank, "trims", trim, { path: ["flares", place], was, now, label: "dressed, taken" }),
        },
      ]),
    ) as Record<FlarePlace, Field<number>>,
  );
  const shown = FLARE_PLACES.filter((place) => flaresNow[place] ?? trim?.flares?.[place]);
  return shown.map((place) => {
    const { text, issue } = view(place);
    return (
      <div key={place} className="taken">
        <label htmlFor={`${ids}-${place}`} className="quiet">
          {sentenceCase(wording.inOwnWords(FLARE_NAMES[place]))}, taken
        </label>
        <NumberInput
          id={`${ids}-${place}`}
          view={{ text, issue }}
          onType={(next) => type(place, next)}
          onSettle={() => settle(place)}
        />
        <span className="quiet">{wording.unit}</span>
        {issue && (
          <p className="ember" role="alert">
            {issue.message}
          </p>
        )}
      </div>
    );
  });
}
