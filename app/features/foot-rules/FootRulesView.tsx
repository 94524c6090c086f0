import { useId } from "react";
import { useFields, type Field } from "~app/ui/useField";
import { useEdits } from "~app/ui/useEdits";
import { FRONT_LENSES, LENS_FACTS, SIDE_LENSES, type FrontLens, type SideLens } from "~core/foot/lens";
import { LEVEL_BOUNDS, type BoundName } from "~core/constants/bounds";
import { FINDING_RULES } from "~core/visit/findings";
import { lensWords } from "~core/foot/findings/rule";
import { readBounds, showBounds } from "~core/foot/survey/boundsText";
import type { Settings } from "~core/record/settings";
import { Margins } from "./Margins";
import { SheetSettings } from "./SheetSettings";
import { RuleInput } from "./RuleInput";
import "~app/ui/rulesTable.css";
import "./footRules.css";

const BOUND_NAMES = Object.keys(LEVEL_BOUNDS) as BoundName[];

/** How Plumbline reads a foot: the lenses that are aimed by, the bounds between the levels, and every rule. */
export function FootRulesView({ settings }: { settings: Settings }) {
  return (
    <div className="page foot-rules">
      <header className="page-head">
        <div>
          <h1>How a foot is read</h1>
          <p className="quiet">
            Every aim, every bound and every rule behind a finding. Bounds are yours to change.
          </p>
        </div>
      </header>
      <Lenses settings={settings} />
      <Margins settings={settings} />
      <SheetSettings settings={settings} />
      <BoundsTable settings={settings} />
      <section aria-label="Rules">
        <h2>What is said, and when</h2>
        <table className="rules-table">
          <thead>
            <tr>
              <th scope="col">When</th>
              <th scope="col">Then</th>
              <th scope="col">Speaks for</th>
            </tr>
          </thead>
          <tbody>
            {FINDING_RULES.map((rule) => (
              <tr key={rule.id}>
                <th scope="row">{rule.when}</th>
                <td>{rule.next}</td>
                <td className="quiet">{lensWords(rule)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}

function Lenses({ settings }: { settings: Settings }) {
  const { save } = useEdits();
  const choose = (key: "frontBack" | "bare" | "side", lens: FrontLens | SideLens) =>
    void save({
      table: "settings",
      id: "settings",
      path: ["lenses", key],
      was: settings.lenses[key],
      now: lens,
      label: "your lens",
    });
  const row = (key: "frontBack" | "bare" | "side", lens: FrontLens | SideLens) => {
    const { name, aim, strong, weak } = LENS_FACTS[lens];
    return (
      <tr key={lens}>
        <th scope="row">
          <label className="lens-radio">
            <input
              type="radio"
              name={key}
              checked={settings.lenses[key] === lens}
              onChange={() => choose(key, lens)}
            />
            {name}
            {key === "bare" && <span className="visually-hidden">, bare feet</span>}
          </label>
        </th>
        <td>{aim}</td>
        <td>{strong}</td>
        <td>{weak}</td>
      </tr>
    );
  };
  return (
    <section aria-label="Your lenses">
      <h2>Your lenses</h2>
      <p className="quiet">What feet are aimed at where a horse has no lens of its own.</p>
      <table className="rules-table">
        <thead>
          <tr>
            <th scope="col">Front to back, shod feet</th>
            <th scope="col">Aim</th>
            <th scope="col">Strong when</th>
            <th scope="col">Weak when</th>
          </tr>
        </thead>
        <tbody>{FRONT_LENSES.map((lens) => row("frontBack", lens))}</tbody>
        <thead>
          <tr>
            <th scope="col" colSpan={4}>
              Front to back, bare feet
            </th>
          </tr>
        </thead>
        <tbody>{FRONT_LENSES.map((lens) => row("bare", lens))}</tbody>
        <thead>
          <tr>
            <th scope="col">Side to side</th>
            <th scope="col">Aim</th>
            <th scope="col">Strong when</th>
            <th scope="col">Weak when</th>
          </tr>
        </thead>
        <tbody>{SIDE_LENSES.map((lens) => row("side", lens))}</tbody>
      </table>
    </section>
  );
}

function BoundsTable({ settings }: { settings: Settings }) {
  const ids = useId();
  const fields = Object.fromEntries(
    BOUND_NAMES.map((name): [BoundName, Field<[number, number]>] => [
      name,
      {
        draftKey: `settings/bounds/${name}`,
        stored: settings.bounds[name],
        show: showBounds,
        read: readBounds,
        edit: (was, now) => ({
          table: "settings",
          id: "settings",
          path: ["bounds", name],
          was,
          now,
          label: `bounds of ${LEVEL_BOUNDS[name].validFor}`,
        }),
      },
    ]),
  ) as Record<BoundName, Field<[number, number]>>;
  const { view, type, settle } = useFields<BoundName, [number, number]>(fields);
  return (
    <section aria-label="Bounds">
      <h2>Steady, drifting, act</h2>
      <p className="quiet">Up to the first number it is steady, beyond the second it is to be acted on.</p>
      <table className="rules-table">
        <thead>
          <tr>
            <th scope="col">Of</th>
            <th scope="col">House</th>
            <th scope="col">Yours</th>
            <th scope="col">Source</th>
          </tr>
        </thead>
        <tbody>
          {BOUND_NAMES.map((name) => {
            const { value, unit, validFor, source, sure } = LEVEL_BOUNDS[name];
            const { text, typed, issue } = view(name);
            return (
              <tr key={name}>
                <th scope="row" id={`${ids}-${name}`}>
                  {validFor} <span className="quiet">{unit}</span>
                </th>
                <td className="bounds-house">{showBounds(value)}</td>
                <td>
                  <RuleInput
                    labelledBy={`${ids}-${name}`}
                    text={text}
                    typed={typed}
                    issue={issue}
                    placeholder="as the house"
                    onType={(next) => type(name, next)}
                    onSettle={() => settle(name)}
                  />
                </td>
                <td className="quiet">
                  {source} ({sure})
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}
