import type { HorseFile } from "~app/data/queries";
import { Fractions } from "./Fractions";
import { useWording } from "./useWording";
import type { FootOutlook } from "~core/cycle/horseDue";
import { LIMBS } from "~core/foot/limb";
import { noiseOf } from "~core/foot/records/pairs";
import { toeTarget } from "~core/foot/toeYardstick";
import { sentenceCase } from "~core/foot/wording";
import { awaitedFinds, awaitedInWords } from "~core/visit/livingFindWords";

interface LivingFindsProps {
  file: Pick<HorseFile, "horse" | "looks" | "settings">;
  outlooks: readonly FootOutlook[];
  day: string;
  /** The visit that is to look for them. */
  visitId?: string;
}

/** What was found on this horse's feet and is still looked for, each with where it ought to be today. */
export function LivingFinds({ file, outlooks, day, visitId }: LivingFindsProps) {
  const { horse, looks, settings } = file;
  const wording = useWording();
  const found = LIMBS.flatMap((limb) =>
    awaitedFinds(looks, limb, {
      day,
      ...(visitId !== undefined && { visitId }),
      outlook: outlooks.find((one) => one.limb === limb),
      hemisphere: settings.hemisphere,
      toeLengthMm: toeTarget(horse).toeLengthMm,
      noise: noiseOf(settings),
    }),
  );
  if (found.length === 0) return null;
  return (
    <section className="living-finds" aria-label="Found and still there">
      <h2>Found and still there</h2>
      <ul>
        {found.map((find) => (
          <li key={`${find.limb} ${find.id}`}>
            <b>{sentenceCase(wording.limb(find.limb))}</b>{" "}
            <Fractions text={awaitedInWords(find, day, wording)} />
          </li>
        ))}
      </ul>
    </section>
  );
}
