import { TypedField } from "~app/ui/TypedField";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { ALUMINIUM_WORKS, STEEL_COLOURS } from "~core/constants/colours";
import { gramsPerMetre, nailStations, SECTIONS } from "~core/forge/sections";
import { TRADE_ALLOWANCES } from "~core/forge/stock";
import { change } from "~core/record/change";
import { settingsSchema } from "~core/record/settings";
import { fail, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { lengthInField } from "~core/foot/wording";

const ALLOWANCES: { path: readonly string[]; label: string; house: number }[] = [
  {
    path: ["toe", "0"],
    label: "Toe, width and length under 9 1/2 in (241 mm)",
    house: TRADE_ALLOWANCES.toe[0],
  },
  { path: ["toe", "1"], label: "Toe, under 14 in (356 mm)", house: TRADE_ALLOWANCES.toe[1] },
  { path: ["toe", "2"], label: "Toe, from 14 in on", house: TRADE_ALLOWANCES.toe[2] },
  {
    path: ["wideLess"],
    label: "Less in sections of 1 1/4 in (32 mm) and wider",
    house: TRADE_ALLOWANCES.wideLess,
  },
  { path: ["bump"], label: "Bump swallowed at the toe", house: TRADE_ALLOWANCES.bump },
  { path: ["stretch"], label: "Stretch of each creased branch", house: TRADE_ALLOWANCES.stretch },
];

/** What hangs on the wall of a forge: allowances, sections, nails, colours, and the cautions of fire. */
export function TablesView() {
  const wording = useWording();
  return (
    <div className="forge-tables">
      <Allowances />
      <section aria-label="Colours">
        <h2>Colours of mild steel, in shade</h2>
        <ul className="colour-list">
          {STEEL_COLOURS.value.map(({ name, fromC, toC, swatch }) => (
            <li key={name}>
              <span className="swatch" style={{ background: swatch }} aria-hidden />
              <span>{name}</span>
              <span className="quiet">{fromC === 0 ? `under ${toC} °C` : `${fromC} to ${toC} °C`}</span>
            </li>
          ))}
        </ul>
        <p className="quiet">
          Approximate: sun hides a colour, dusk shows it too early. Aluminium is worked at about{" "}
          {ALUMINIUM_WORKS.value.fromC} to {ALUMINIUM_WORKS.value.toC} °C, shows no colour and collapses near{" "}
          {ALUMINIUM_WORKS.value.collapsesC} °C: test it with a pine stick or a marker.
        </p>
      </section>
      <section aria-label="Sections">
        <h2>Sections, with what a metre weighs</h2>
        <table className="sections-table">
          <thead>
            <tr>
              <th scope="col">Section</th>
              <th scope="col">Steel</th>
              <th scope="col">Aluminium</th>
              <th scope="col">Mostly for</th>
            </tr>
          </thead>
          <tbody>
            {SECTIONS.map((section) => (
              <tr key={`${section.width} ${section.thickness}`}>
                <th scope="row">
                  <Fractions text={`${wording.cut(section.width)} × ${wording.cut(section.thickness)}`} />
                </th>
                <td>{(gramsPerMetre(section, "steel") / 1000).toFixed(2)} kg</td>
                <td>{(gramsPerMetre(section, "aluminium") / 1000).toFixed(2)} kg</td>
                <td className="quiet">{section.use}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Nail stations">
        <h2>Where nails stand along a branch</h2>
        <p className="quiet">
          Of an ordinary shape, as hundredths of a branch from the middle of the toe. The marks of a drawn
          shoe are its own.
        </p>
        <table className="sections-table">
          <tbody>
            {[2, 3, 4, 5].map(nailStations).map(({ nails, parts }) => (
              <tr key={nails}>
                <th scope="row">{nails} a side</th>
                {parts.map((part) => (
                  <td key={part}>{Math.round(part * 100)}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}

function Allowances() {
  const wording = useWording();
  const settings = useSettings();
  const { forge } = settings;
  const show = (mm: number) => lengthInField(mm, { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1);
  return (
    <section aria-label="Allowances" className="forge-allowances">
      <h2>Allowances</h2>
      <p className="quiet">
        Yours to change: the rule and both totals follow. Emptied, the trade’s value stands again.
      </p>
      {ALLOWANCES.map(({ path, label, house }) => {
        const [name, step] = path as ["toe", string] | ["bump" | "stretch" | "wideLess", undefined];
        const value = name === "toe" ? (forge.allowances.toe[Number(step)] ?? house) : forge.allowances[name];
        return (
          <div key={label} className="allowance">
            <TypedField
              label={label}
              unit={wording.unit}
              draftKey={`forge/allowances/${path.join("/")}`}
              stored={value}
              show={show}
              read={(text): Result<number> => {
                if (text.trim() === "") return { ok: true, value: house };
                const read = parseLength(text, wording.unit);
                if (!read.ok) return read;
                const toe = forge.allowances.toe.map((mm, index) =>
                  index === Number(step) ? read.value : mm,
                );
                const checked = settingsSchema.shape.forge.safeParse({
                  ...forge,
                  allowances: { ...forge.allowances, ...(name === "toe" ? { toe } : { [name]: read.value }) },
                });
                return checked.success
                  ? read
                  : fail("out-of-range", label, checked.error.issues[0]?.message ?? "");
              }}
              edit={(_, mm = house) =>
                name === "toe"
                  ? change("settings", settings, ["forge", "allowances", "toe", step as "0"], mm, "allowance")
                  : change("settings", settings, ["forge", "allowances", name], mm, "allowance")
              }
            />
          </div>
        );
      })}
    </section>
  );
}
