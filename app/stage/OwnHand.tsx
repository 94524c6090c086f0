import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { biasInWords } from "~core/trim/done";
import { useOwnHand } from "./useOwnHand";
import { counted } from "~core/units/counted";

/** A habit of this practitioner's hand over all feet planned and measured again, once there is enough to say so. */
export function OwnHand() {
  const wording = useWording();
  const found = useOwnHand();
  if (!found || found.feet === 0) return null;
  return (
    <section className="own-hand" aria-label="Your own hand">
      <h3>Your own hand</h3>
      {found.bias.length === 0 ? (
        <p className="quiet">
          {counted(found.feet, "foot", "feet")} planned and measured again: no habit that stands out from the
          noise.
        </p>
      ) : (
        found.bias.map((bias) => (
          <p key={bias.measure}>
            <Fractions text={biasInWords(bias, wording)} />
          </p>
        ))
      )}
    </section>
  );
}
