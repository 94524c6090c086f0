import { TypedField } from "~app/ui/TypedField";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { ALUMINIUM_WORKS, STEEL_COLOURS } from "~core/constants/colours";
import { gramsPerMetre, nailStations, SECTIONS } from "~core/forge/sections";
import { TRADE_ALLOWANCES } from "~core/forge/stock";
import { change } from "~core/record/change";
import { settingsSchema } from "~core/record/settings";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { TOE_STEPS_MM } from "~core/constants/forge";
import { FORGE_KINDS } from "~core/forge/kinds";
import { lengthInField, sentenceCase } from "~core/foot/wording";

const ALLOWANCES: { path: readonly string[]; label: string; house: number }[] = [
  {
    path: ["toe", "0"],
    label: "Toe, below the first step",
    house: TRADE_ALLOWANCES.toe[0],
  },
  { path: ["toe", "1"], label: "Toe, below the second step", house: TRADE_ALLOWANCES.toe[1] },
  { path: ["toe", "2"], label: "Toe, from the second step on", house: TRADE_ALLOWANCES.toe[2] },
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

/** Bump and stretch of each kind of shoe, where a smith keeps others than the general ones; and the table's steps. */
function KindTable() {
  const wording = useWording();
  const settings = useSettings();
  const { forge } = settings;
  const show = (mm: number) => lengthInField(mm, { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1);
  const checked = (next: object, mm: number): Result<number> => {
    const read = settingsSchema.shape.forge.safeParse({ ...forge, ...next });
    return read.success ? ok(mm) : fail("out-of-range", "forge", read.error.issues[0]?.message ?? "", mm);
  };
  const steps = forge.allowances.steps ?? [...TOE_STEPS_MM];
  return (
    <>
      <div className="kind-table">
        {steps.map((step, index) => (
          <TypedField
            key={index}
            label={index === 0 ? "First step, width and length" : "Second step"}
            unit={wording.unit}
            draftKey={`forge/steps/${index}`}
            stored={step}
            show={show}
            read={(text): Result<number> => {
              if (text.trim() === "") return ok(TOE_STEPS_MM[index] ?? step);
              const read = parseLength(text, wording.unit);
              if (!read.ok) return read;
              const next = steps.map((one, at) => (at === index ? read.value : one));
              return checked({ allowances: { ...forge.allowances, steps: next } }, read.value);
            }}
            edit={(_, mm) =>
              change(
                "settings",
                settings,
                ["forge", "allowances", "steps"],
                steps.map((one, at) => (at === index ? (mm ?? one) : one)) as [number, number],
                "steps of the toe’s allowance",
              )
            }
          />
        ))}
      </div>
      <details className="kinds">
        <summary>Bump and stretch by kind of shoe</summary>
        <p className="quiet">Empty: as below, for every shoe.</p>
        <div className="kind-table">
          {FORGE_KINDS.flatMap((kind) =>
            (["bump", "stretch"] as const).map((name) => (
              <TypedField
                key={`${kind} ${name}`}
                label={`${sentenceCase(kind)}, ${name}`}
                unit={wording.unit}
                placeholder={show(forge.allowances[name])}
                draftKey={`forge/kinds/${kind}/${name}`}
                stored={forge.kinds?.[kind]?.[name]}
                show={(mm) => (mm === undefined ? "" : show(mm))}
                read={(text): Result<number | undefined> => {
                  if (text.trim() === "") return ok(undefined);
                  const read = parseLength(text, wording.unit);
                  if (!read.ok) return read;
                  return checked({ kinds: { [kind]: { [name]: read.value } } }, read.value);
                }}
                edit={(_, mm) =>
                  change(
                    "settings",
                    settings,
                    ["forge", "kinds"],
                    { ...forge.kinds, [kind]: { ...forge.kinds?.[kind], [name]: mm } },
                    `${name} of a ${kind} shoe`,
                  )
                }
              />
            )),
          )}
        </div>
      </details>
    </>
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
      <KindTable />
    </section>
  );
}
