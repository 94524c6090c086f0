import type { Measure } from "~core/foot/measures";
import { MEASURES } from "~core/foot/measures";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { SideView } from "~app/drawing/SideView";
import { SoleView } from "~app/drawing/SoleView";
import { useWording } from "~app/ui/useWording";

interface FootPicturesProps {
  foot: FootParameters;
  ghost: FootParameters | undefined;
  ghostName: string;
  /** What was not measured and is drawn as a guess. */
  guessed: readonly Measure[];
  filledName?: string;
}

/** Side and sole at one scale, and what of them is only a guess. */
export function FootPictures({ foot, ghost, ghostName, guessed, filledName }: FootPicturesProps) {
  const wording = useWording();
  const guess = guessed.length === MEASURES.length;
  const shared = { foot, ghost, wording, guess };
  return (
    <section className="pictures sheet" aria-label="The foot, drawn to scale">
      <div className="pictures-row">
        <figure>
          <figcaption>Sole, from below</figcaption>
          <SoleView {...shared} title={`Sole of the ${wording.limb(foot.limb)} from below`} />
        </figure>
        <figure>
          <figcaption>From the outside</figcaption>
          <SideView {...shared} title={`Side view of the ${wording.limb(foot.limb)}`} />
        </figure>
      </div>
      <p className="pictures-key quiet">
        {filledName && <span>filled: {filledName} · </span>}
        {ghost && ghostName && <span>dashed: {ghostName} · </span>}
        {guess
          ? "nothing measured yet: this is a pale guess"
          : guessed.length > 0
            ? `not measured, drawn as a guess: ${guessed.map((one) => wording.measure(one).toLowerCase()).join(", ")} · halves are an estimate`
            : "the plumb line’s place is an estimate until the sole is surveyed"}
      </p>
    </section>
  );
}
