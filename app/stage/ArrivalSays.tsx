import { arrivalEffects, type ArrivalEffect } from "~core/caution/arrival";
import type { Visit } from "~core/record/visit";

interface ArrivalSaysProps {
  visit: Pick<Visit, "arrival" | "horn">;
  /** Only what moves this. */
  only?: ArrivalEffect["moves"];
}

/** What follows from what was told on arrival: for the window, as a caution, as a mark on what is read. */
export function ArrivalSays({ visit, only }: ArrivalSaysProps) {
  const effects = arrivalEffects(visit.arrival, visit.horn).filter(({ moves }) => !only || moves === only);
  if (effects.length === 0) return null;
  return (
    <ul className="arrival-says" aria-label="From what was told on arrival">
      {effects.map(({ tap, moves, says }) => (
        <li key={`${tap} ${moves}`} className={moves === "caution" ? "ember" : "quiet"}>
          {says}
        </li>
      ))}
    </ul>
  );
}
