import { useId } from "react";
import { Fractions } from "~app/ui/Fractions";
import { NumberInput } from "~app/ui/NumberInput";
import { useFields, type Field } from "~app/ui/useField";
import { useWording } from "~app/ui/useWording";
import { cutInField, readMm } from "~app/stage/cutText";
import { sentenceCase } from "~core/foot/wording";
import { flareLimitInWords, FLARE_NAMES } from "~core/trim/flares";
import { FLARE_PLACES, MOST_FLARE_MM, type FlarePlace } from "~core/trim/trimRecord";
import type { Bench } from "./useBench";

/** Where the wall is dressed besides the toe: how much is planned, and why no more. Nothing to show on an even wall. */
export function FlareRows({ bench, widths }: { bench: Bench; widths: { was: number; now: number } }) {
  const wording = useWording();
  const ids = useId();
  const { flares, flaresNow, blank } = bench;
  const { view, type, settle } = useFields(
    Object.fromEntries(
      FLARE_PLACES.map((place): [FlarePlace, Field<number>] => [
        place,
        {
          draftKey: `${blank.id}.flare.${place}`,
          stored: flaresNow[place] ?? 0,
          show: (mm) => cutInField(mm, wording),
          read: (text) => readMm(place, FLARE_NAMES[place], MOST_FLARE_MM, text, wording),
          edit: (_, mm) => bench.flareEdit(place, mm ?? 0),
        },
      ]),
    ) as Record<FlarePlace, Field<number>>,
  );
  const shown = flares.limits.filter(
    ({ place, most, by }) => most > 0 || by === "broken" || flaresNow[place],
  );
  if (shown.length === 0) return null;
  return (
    <section className="flares" aria-label="Flares and quarters">
      <h3>Flares and quarters</h3>
      <p className="quiet">
        From the outside, lower half of the wall only. These do not enter the angle
        {Math.abs(widths.was - widths.now) < 0.5 ? "." : ": "}
        {Math.abs(widths.was - widths.now) >= 0.5 && (
          <Fractions text={`width ${wording.length(widths.was)} → ${wording.length(widths.now)}.`} />
        )}
      </p>
      {shown.map((limit) => {
        const { place, most } = limit;
        const { text, issue, value } = view(place);
        const past = (typeof value === "number" ? value : 0) - most;
        return (
          <div key={place} className="flare-row" data-past={past > 0.01}>
            <label htmlFor={`${ids}-${place}`}>
              {sentenceCase(wording.inOwnWords(FLARE_NAMES[place]))}
              <span className="quiet">
                <Fractions text={flareLimitInWords(limit, wording)} />
              </span>
            </label>
            <span className="cut-number">
              <NumberInput
                id={`${ids}-${place}`}
                view={{ text, issue }}
                saidBy={issue || past > 0.01 ? `${ids}-${place}-said` : undefined}
                onType={(next) => type(place, next)}
                onSettle={() => settle(place)}
              />
              <span className="quiet">{wording.unit}</span>
            </span>
            {(issue ?? (past > 0.01 || undefined)) && (
              <p className="ember" id={`${ids}-${place}-said`} role={issue ? "alert" : undefined}>
                <Fractions text={issue?.message ?? `${wording.cut(past)} past the limit.`} />
              </p>
            )}
          </div>
        );
      })}
    </section>
  );
}
