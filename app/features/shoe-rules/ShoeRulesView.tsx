import { useWording } from "~app/ui/useWording";
import { SHOE_RULES } from "~core/shoe/advice/advise";
import { BASES, type Base, type Dressing, type ShoeRule } from "~core/shoe/advice/rule";
import { SPEC_NAMES, type SpecField } from "~core/shoe/specification";
import { clipsInWords, edgesInWords } from "~core/shoe/specWords";
import "~app/ui/rulesTable.css";

/** Every rule that the shoe bench argues from: when, then, because, against, and how well it is supported. */
export function ShoeRulesView() {
  const wording = useWording();
  return (
    <div className="page">
      <header className="page-head">
        <div>
          <h1>How a shoe is argued for</h1>
          <p className="quiet">
            Rules weigh whole shoes against each other and shape them. Their weights only order the list: a
            prescription outranks them all, and so do you, with a line of why.
          </p>
        </div>
      </header>
      <table className="rules-table">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">Then</th>
            <th scope="col">Because</th>
            <th scope="col">Against it</th>
            <th scope="col">Supported by</th>
          </tr>
        </thead>
        <tbody>
          {SHOE_RULES.map((rule) => (
            <tr key={rule.id}>
              <th scope="row">{wording.inOwnWords(rule.when)}</th>
              <td>
                {wording.inOwnWords(rule.then)}
                <span className="quiet rule-weighs">{wording.inOwnWords(weighs(rule))}</span>
              </td>
              <td data-label="Because">{wording.inOwnWords(rule.because)}</td>
              <td data-label="Against it">{wording.inOwnWords(rule.against)}</td>
              <td className="quiet">
                {rule.support}; {rule.source}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What a rule wants of a shoe, whatever the foot: "section concave, nail holes creased, narrow web". */
function wantsInWords({ web, leastWidth: _least, clips, edges, ...rest }: Dressing): string {
  const fields = (Object.entries(rest) as [SpecField, unknown][]).flatMap(([field, value]) =>
    typeof value === "string" || typeof value === "number" ? [`${SPEC_NAMES[field]} ${value}`] : [],
  );
  return [
    ...fields,
    web ? `${web} web` : "",
    clips ? clipsInWords(clips) || "no clips" : "",
    edges ? edgesInWords({ edges }) : "",
  ]
    .filter((part) => part !== "")
    .join(", ");
}

/** Which whole shoes a rule speaks for and against, in words. */
function weighs({ bases = {}, rulesOut = [], gives, only }: ShoeRule): string {
  const named = (sign: 1 | -1) =>
    (Object.entries(bases) as [Base, number][])
      .filter(([, weight]) => sign * weight > 0)
      .sort((a, b) => sign * (b[1] - a[1]))
      .map(([one]) => BASES[one].toLowerCase());
  const wants = gives && typeof gives !== "function" ? wantsInWords(gives) : "";
  const parts = [
    wants
      ? `wants ${wants}${only ? ` on ${only.map((one) => BASES[one].toLowerCase()).join(", ")}` : ""}`
      : "",
    named(1).length > 0 ? `for ${named(1).join(", ")}` : "",
    named(-1).length > 0 ? `against ${named(-1).join(", ")}` : "",
    rulesOut.length > 0 ? `never ${rulesOut.map((one) => BASES[one].toLowerCase()).join(", ")}` : "",
  ].filter(Boolean);
  return parts.join("; ");
}
