import { Segmented, Select } from "antd";
import { useCallback, useMemo, useState } from "react";
import { TrendChart } from "~app/charts/trend/Chart";
import {
  isLength,
  TREND_MEASURES,
  TREND_NAMES,
  trendModel,
  type TrendMeasure,
} from "~app/charts/trend/model";
import { shortDay } from "~app/ui/days";
import { useSettings } from "~app/ui/useWording";
import { footHistory, type FootOutlook } from "~core/cycle/horseDue";
import { LIMBS, type Limb } from "~core/foot/limb";
import type { Reading } from "~core/foot/records/reading";
import { noiseOf } from "~core/foot/records/pairs";
import { wordingFor } from "~core/foot/wording";

/** How one measure of one foot has gone, with the noise of measuring and the forecast. */
export function Trend({
  readings,
  outlooks,
}: {
  readings: readonly Reading[];
  outlooks: readonly FootOutlook[];
}) {
  const settings = useSettings();
  const [measure, setMeasure] = useState<TrendMeasure>("toeLength");
  const [limb, setLimb] = useState<Limb>("LF");
  const model = useMemo(
    () =>
      trendModel(
        measure,
        footHistory(readings, limb),
        outlooks.find((one) => one.limb === limb),
        noiseOf(settings),
      ),
    [measure, limb, readings, outlooks, settings],
  );
  const show = useCallback(
    (value: number) => {
      const wording = wordingFor(settings);
      return isLength(measure) ? wording.length(value) : wording.angle(value);
    },
    [measure, settings],
  );
  return (
    <section className="horse-trend" aria-label="Trend">
      <div className="trend-head">
        <h2>How it has gone</h2>
        <Segmented aria-label="Foot" options={[...LIMBS]} value={limb} onChange={setLimb} />
        <Select
          aria-label="Measure"
          value={measure}
          onChange={setMeasure}
          options={TREND_MEASURES.map((value) => ({ value, label: TREND_NAMES[value] }))}
          style={{ minWidth: 170 }}
        />
      </div>
      {model ? (
        <>
          <TrendChart
            model={model}
            show={show}
            shortDay={shortDay}
            title={`${TREND_NAMES[measure]} of ${limb} over the visits`}
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
