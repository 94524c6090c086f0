import { shortDay } from "~app/ui/days";
import type { Limb } from "~core/foot/limb";
import type { Visit } from "~core/record/visit";

/** How the horse answered on the feet of a case, visit by visit, newest first. */
export function Observations({ feet, visits }: { feet: readonly Limb[]; visits: readonly Visit[] }) {
  const seen = visits
    .filter(({ observed }) =>
      feet.some((limb) => (observed[limb]?.seen.length ?? 0) > 0 || observed[limb]?.note),
    )
    .toReversed();
  if (seen.length === 0) return null;
  return (
    <section className="case-observed" aria-label="How it answers">
      <h2>How it answers</h2>
      <dl>
        {seen.slice(0, 6).map((visit) => (
          <div key={visit.id}>
            <dt>{shortDay(visit.date)}</dt>
            <dd>
              {feet
                .flatMap((limb) => {
                  const one = visit.observed[limb];
                  const said = [...(one?.seen ?? []), ...(one?.note ? [one.note] : [])];
                  return said.length > 0 ? [`${limb} ${said.join(", ")}`] : [];
                })
                .join(" · ")}
            </dd>
          </div>
        ))}
      </dl>
      <p className="quiet">Observations, noted at Set.</p>
    </section>
  );
}
