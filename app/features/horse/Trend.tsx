import { Segmented, Select } from "antd";
import { useCallback, useMemo, useState } from "react";
import { TrendChart } from "~app/charts/trend/Chart";
import { trendModel } from "~app/charts/trend/model";
import { shortDay } from "~app/ui/days";
import { useSettings } from "~app/ui/useWording";
import type { FootOutlook } from "~core/cycle/horseDue";
import { LIMBS, type Limb } from "~core/foot/limb";
import type { Reading } from "~core/foot/records/reading";
import { noiseOf } from "~core/foot/records/pairs";
import { trendsOfFoot, trendVisits } from "~core/foot/records/trends";
import { sentenceCase, wordingFor } from "~core/foot/wording";

/** How one measure of one foot has gone, with the noise of measuring and the forecast. */
export function Trend({
  readings,
  outlooks,
}: {
  readings: readonly Reading[];
  outlooks: readonly FootOutlook[];
}) {
  const settings = useSettings();
  const [chosen, setChosen] = useState("toeLength");
  const [limb, setLimb] = useState<Limb>("LF");
  const offered = useMemo(() => trendsOfFoot(readings, limb), [readings, limb]);
  const measure = offered.find(({ id }) => id === chosen) ?? offered[0];
  const model = useMemo(
    () =>
      measure &&
      trendModel(
        measure,
        trendVisits(readings, limb, measure),
        outlooks.find((one) => one.limb === limb),
        noiseOf(settings),
      ),
    [measure, limb, readings, outlooks, settings],
  );
  const kind = measure?.kind;
  const show = useCallback(
    (value: number) => {
      const wording = wordingFor(settings);
      return kind === "length"
        ? wording.length(value)
        : kind === "angle"
          ? wording.angle(value)
          : value.toFixed(2);
    },
    [kind, settings],
  );
  const wording = wordingFor(settings);
  const nameOf = (name: string): string => sentenceCase(wording.inOwnWords(name));
  const groups = [...new Set(offered.map(({ group }) => group))].map((group) => ({
    label: group,
    title: group,
    options: offered
      .filter((one) => one.group === group)
      .map(({ id, name }) => ({ value: id, label: nameOf(name) })),
  }));
  return (
    <section className="horse-trend" aria-label="Trend">
      <div className="trend-head">
        <h2>How it has gone</h2>
        <Segmented aria-label="Foot" options={[...LIMBS]} value={limb} onChange={setLimb} />
        <Select
          aria-label="Measure"
          value={measure?.id ?? null}
          onChange={setChosen}
          options={groups}
          showSearch
          optionFilterProp="label"
          popupMatchSelectWidth={false}
          style={{ minWidth: 220, maxWidth: "100%" }}
        />
      </div>
      {model && measure ? (
        <>
          <TrendChart
            model={model}
            show={show}
            shortDay={shortDay}
            title={`${nameOf(measure.name)} of ${limb} over the visits`}
          />
          <p className="quiet trend-key">
            Open before, filled after each trim. Inside the band around what was last left, nothing has
            changed beyond the noise of measuring ({noiseOf(settings).source}). Dotted: forecast, central 80
            %.
          </p>
        </>
      ) : (
        <p className="quiet">Nothing measured on this foot yet.</p>
      )}
    </section>
  );
}
