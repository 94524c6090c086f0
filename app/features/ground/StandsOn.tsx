import { Segmented, Slider } from "antd";
import { useNarrow } from "~app/ui/useNarrow";
import { groundPlace, GROUNDS, isSoft, stiffnessAt } from "~core/ground/grounds";
import { HELD_LOADS, PACE_NAMES, PACES, paceLoad } from "~core/ground/loads";
import { readStanding, STANDING_FIELDS, type StandingField } from "~core/ground/standingFields";
import { AskedNumber } from "./AskedNumber";
import type { Stands } from "./useStanding";

interface StandsOnProps {
  stands: Stands;
  massKg: number;
  fore: boolean;
}

/** The slider goes in quarters from one named ground to the next; what is finer is typed. */
const QUARTERS = 4;

const LOADS = { from: 500, to: 7000, step: 50 } as const;

/** On which ground, under which load; what nobody measured stands folded away. */
export function StandsOn({ stands, massKg, fore }: StandsOnProps) {
  const { standing, ground, named, drag, keep } = stands;
  const { stiffness, load, spring } = standing;
  const narrow = useNarrow();
  const pace = PACES.find((one) => paceLoad(one, massKg, fore) === load.newtons);
  const far = load.newtons < HELD_LOADS.from || load.newtons > HELD_LOADS.to;
  const number = (field: StandingField, value: number) => (
    <AskedNumber
      key={`${field}${value}`}
      label={STANDING_FIELDS[field].label}
      unit={STANDING_FIELDS[field].unit}
      value={value}
      read={(text) => readStanding(field, text)}
      onKeep={(now) => keep({ [field]: now })}
    />
  );
  return (
    <section className="stands-on" aria-label="Ground and load">
      <div className="stands-ground">
        <p className="stands-name">
          <b>{named ? ground.name : `Near ${ground.name.toLowerCase()}`}</b>{" "}
          <span className="quiet">
            {isSoft(stiffness) ? "soft" : "firm"}, {stiffness} N/mm³
          </span>
        </p>
        <Slider
          ariaLabelForHandle="Ground, hard to soft"
          min={0}
          max={QUARTERS * (GROUNDS.length - 1)}
          value={Math.round(QUARTERS * groundPlace(stiffness))}
          tooltip={{ open: false }}
          marks={Object.fromEntries(GROUNDS.map(({ name }, at) => [QUARTERS * at, narrow ? "" : name]))}
          onChange={(value) => drag("stiffness", stiffnessAt(value / QUARTERS))}
          onChangeComplete={(value) => keep({ stiffness: stiffnessAt(value / QUARTERS) })}
        />
        {narrow && (
          <p className="stands-ends quiet">
            <span>road</span>
            <span>deep sand</span>
          </p>
        )}
      </div>
      <div className="stands-load">
        <p className="stands-name">
          <b>{load.newtons} N</b>{" "}
          <span className="quiet">
            on this foot
            {far && `, beyond the ${HELD_LOADS.from} to ${HELD_LOADS.to} N that the model was held to`}
          </span>
        </p>
        {!narrow && (
          <Slider
            ariaLabelForHandle="Load on this foot, N"
            min={LOADS.from}
            max={LOADS.to}
            step={LOADS.step}
            value={load.newtons}
            tooltip={{ open: false }}
            onChange={(value) => drag("newtons", value)}
            onChangeComplete={(value) => keep({ newtons: value })}
          />
        )}
        <Segmented
          aria-label="Pace"
          size="middle"
          options={PACES.map((one) => ({ value: one, label: PACE_NAMES[one] }))}
          value={pace ?? ""}
          onChange={(one) => keep({ newtons: paceLoad(one as (typeof PACES)[number], massKg, fore) })}
        />
      </div>
      <details className="stands-more">
        <summary>By number, and what nobody measured</summary>
        <div>
          {number("stiffness", stiffness)}
          {number("newtons", load.newtons)}
          {number("lead", load.lead)}
          {number("x", load.x)}
          {number("spring", spring)}
        </div>
      </details>
    </section>
  );
}
