import type { FootFacts } from "~core/foot/findings/facts";
import { MARK_FACTS, SURVEY_MARKS } from "~core/foot/survey/marks";
import { shortDay } from "~app/ui/days";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";

const GROUPS = { toe: "Toe", heels: "Heels", frog: "Frog", hairline: "Hairline" } as const;

/** The numbers behind the drawings: the survey, the ratios with their levels and bounds, every mark. */
export function FootTables({ facts }: { facts: FootFacts }) {
  const wording = useWording();
  const { survey, ratios, marks, earlier } = facts;
  const mm = (value: number | undefined) => (value === undefined ? "missing" : wording.length(value));
  const rows: [name: string, value: string][] = [
    ["Sulcus", mm(survey.sulcus)],
    ["True apex, twice the sulcus", mm(survey.trueApex)],
    ["Foot length", mm(survey.footLength)],
    ["Width", mm(survey.width)],
    ["Width to length", survey.widthToLength?.toFixed(2) ?? "missing"],
    ["COR by the widest part", mm(survey.cor?.widest)],
    ["COR by the apex", mm(survey.cor?.apex)],
    ["COR by the bars", mm(survey.cor?.bars)],
    ["COR by the diagonals", mm(survey.cor?.diagonals)],
    ...(facts.filmed
      ? [
          [`COR by the radiograph of ${shortDay(facts.filmed.date)}`, mm(survey.cor?.film)] as [
            string,
            string,
          ],
        ]
      : []),
    [facts.filmed ? "COR, as it counts" : "COR, median", mm(survey.cor?.median)],
    ["Its spread", mm(survey.cor?.spread)],
    ["Front half", mm(survey.front)],
    ["Back half, where the heels ought to be", mm(survey.back)],
    ["Support, where they are", mm(survey.support)],
    ["Toe excess", mm(survey.toeExcess)],
    [facts.filmed ? "Coffin tip, by the radiograph" : "Coffin tip, estimate", mm(survey.coffinTip)],
    ["Breakover by survey", mm(survey.breakover)],
    [
      wording.inOwnWords("Half width, medial / lateral"),
      `${mm(survey.halfWidth.medial)} / ${mm(survey.halfWidth.lateral)}`,
    ],
    [
      wording.inOwnWords("Heel half width, medial / lateral"),
      `${mm(survey.heelHalfWidth.medial)} / ${mm(survey.heelHalfWidth.lateral)}`,
    ],
    [
      wording.inOwnWords("Heel forward, medial / lateral"),
      `${mm(survey.heelForward.medial)} / ${mm(survey.heelForward.lateral)}`,
    ],
    [
      wording.inOwnWords("Bar bend, medial / lateral"),
      `${mm(survey.barBend.medial)} / ${mm(survey.barBend.lateral)}`,
    ],
    [
      wording.inOwnWords("Drift, to lateral / to the toe"),
      `${mm(survey.drift?.lateral)} / ${mm(survey.drift?.toe)}`,
    ],
  ];
  return (
    <details className="foot-tables">
      <summary>The numbers behind the drawings</summary>
      <div className="foot-tables-grid">
        <table aria-label="Survey of the sole">
          <tbody>
            {rows.map(([name, value]) => (
              <tr key={name}>
                <th scope="row">{name}</th>
                <td className={value.startsWith("missing") ? "quiet" : ""}>
                  <Fractions text={value} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <table aria-label="Ratios">
          <thead>
            <tr>
              <th scope="col">How far from true</th>
              <th scope="col">now</th>
              <th scope="col">{earlier ? shortDay(earlier.date) : "was"}</th>
              <th scope="col">level</th>
            </tr>
          </thead>
          <tbody>
            {ratios.length === 0 && (
              <tr>
                <td colSpan={4} className="quiet">
                  missing: needs the sole’s marks, the walls or a side view
                </td>
              </tr>
            )}
            {ratios.map(({ name, group, label, value, unit, level, bounds }) => {
              const before = earlier?.state.ratios.find((one) => one.name === name)?.value;
              return (
                <tr key={name}>
                  <th scope="row" title={`steady to ${bounds[0]}, act beyond ${bounds[1]}`}>
                    <span className="quiet">{GROUPS[group]}</span> {label}
                  </th>
                  <td>
                    {value.toFixed(unit === "" ? 2 : 1)}
                    {unit}
                  </td>
                  <td className="quiet">{before === undefined ? "" : before.toFixed(unit === "" ? 2 : 1)}</td>
                  <td className={`level-${level.replaceAll(" ", "-")}`}>{level}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
        <table aria-label="Marks of the sole, in millimetres">
          <thead>
            <tr>
              <th scope="col">Mark</th>
              <th scope="col">out</th>
              <th scope="col">ahead</th>
            </tr>
          </thead>
          <tbody>
            {SURVEY_MARKS.map((mark) => (
              <tr key={mark}>
                <th scope="row">{wording.inOwnWords(MARK_FACTS[mark].name)}</th>
                <td>{marks[mark]?.x?.toFixed(1) ?? "missing"}</td>
                <td>{marks[mark]?.y?.toFixed(1) ?? "missing"}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </details>
  );
}
