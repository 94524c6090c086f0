import { Link } from "react-router";
import { shortDay } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { visitFoot, type FootRecords } from "~core/visit/visitFoot";
import { LIMBS } from "~core/foot/limb";
import type { Visit } from "~core/record/visit";

interface TimelineProps {
  visits: readonly Visit[];
  records: FootRecords;
}

/** The visits, newest first: toe length before and after of each foot, and what was said. */
export function Timeline({ visits, records }: TimelineProps) {
  const wording = useWording();
  if (visits.length === 0) return null;
  const show = (mm: number | undefined) =>
    mm === undefined ? "–" : wording.length(mm).replace(/ (mm|in)$/, "");
  return (
    <section className="timeline" aria-label="Visits">
      <h2>Visits</h2>
      <table>
        <thead>
          <tr>
            <th scope="col">Day</th>
            {LIMBS.map((limb) => (
              <th scope="col" key={limb}>
                {limb} toe, {wording.unit}
              </th>
            ))}
            <th scope="col">Watch, notes</th>
          </tr>
        </thead>
        <tbody>
          {visits.toReversed().map((visit) => (
            <tr key={visit.id}>
              <th scope="row">
                <Link className="link" to={`/visits/${visit.id}`}>
                  {shortDay(visit.date)}
                </Link>
                {visit.status !== "signed" && <span className="brass"> {visit.status}</span>}
              </th>
              {LIMBS.map((limb) => {
                const { values } = visitFoot(visit, limb, records);
                return (
                  <td key={limb}>
                    {show(values.before.toeLength?.value)} → <b>{show(values.after.toeLength?.value)}</b>
                  </td>
                );
              })}
              <td className="timeline-notes">
                {[visit.watch, ...Object.values(visit.notes)].filter(Boolean).join(" · ")}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
