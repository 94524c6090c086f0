import { Fractions } from "~app/ui/Fractions";
import { useNarrow } from "~app/ui/useNarrow";
import type { ShoeCheck } from "~core/shoe/check";
import { LineOfWhy } from "~app/stage/LineOfWhy";
import { disputesOf } from "~core/shoe/advice/disputes";
import { Disputes } from "./Disputes";
import type { ShoeViewProps } from "./shoeView";
import { counted } from "~core/units/counted";

/** Every check with its number: what wants an answer first, what is in order as one quiet list. */
export function Checks({ context, shoeing }: ShoeViewProps) {
  const { bench, open, draft } = shoeing;
  const narrow = useNarrow();
  const isOpen = (check: ShoeCheck) => open.includes(check);
  const kept = bench.checks.filter((check) => !check.ok && !isOpen(check));
  const fine = bench.checks.filter(({ ok }) => ok);
  return (
    <section className="checks" aria-label="Checks">
      <h2 data-worked-out>
        {open.length === 0
          ? "Checks: all in order"
          : `${counted(open.length, "check wants", "checks want")} an answer`}
      </h2>
      <ul className="check-list" data-worked-out>
        {[...open, ...kept].map((check) => (
          <li
            key={check.id}
            className="check"
            data-state={check.impossible ? "impossible" : isOpen(check) ? "open" : "kept"}
          >
            <p>
              <b>{check.name}.</b> <Fractions text={check.text} />
            </p>
            {check.mend && isOpen(check) && <p className="quiet">{check.mend}</p>}
            {check.impossible ? (
              <p className="ember">Steel cannot be made so: change it.</p>
            ) : (
              <LineOfWhy
                key={`${context.limb} ${check.id}`}
                label={isOpen(check) ? "Keep it, because" : "Kept, because"}
                hint="One line of why"
                draftKey={`${context.visit.id}.${context.limb}.shoe.kept.${check.id}`}
                stored={draft.kept[check.id] ?? ""}
                edit={(why) =>
                  shoeing.editsOf((now) => {
                    const { [check.id]: _gone, ...rest } = now.kept;
                    return { kept: why === "" ? rest : { ...rest, [check.id]: why } };
                  })
                }
              />
            )}
          </li>
        ))}
      </ul>
      <Disputes disputes={disputesOf(bench.spec, shoeing.shoe.shoeFacts)} />
      {fine.length > 0 && (
        <details open={!narrow}>
          <summary>{fine.length} in order</summary>
          <ul className="check-fine">
            {fine.map((check) => (
              <li key={check.id}>
                <span className="check-tick" aria-label="in order">
                  ✓
                </span>
                <span>
                  <b>{check.name}</b> <Fractions text={check.text} />
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </section>
  );
}
