import type { Limb } from "~core/foot/limb";
import { footPlace } from "~core/record/footRecords";
import { prescribedFor } from "~core/case/standing";
import type { HorseInCare } from "~core/record/horse";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import type { Visit } from "~core/record/visit";
import { adviseShoe } from "~core/shoe/advice/advise";
import { factsOfLife } from "~core/shoe/facts";
import type { ShoeState } from "~core/shoe/foundShoe";
import { ordinaryShoe } from "~core/shoe/specification";

/** What a foot of the demo round was shod with: what its work and ground speak for, or what a vet prescribed. */
export function shodFoot(
  place: { visit: Pick<Visit, "id" | "horseId" | "date">; limb: Limb },
  horse: HorseInCare,
  before: { last: string | undefined; state: ShoeState | undefined },
): ShoeRecord {
  const { limb } = place;
  const prescription = prescribedFor(horse.cases ?? [], limb, place.visit.date);
  const raised = prescription?.raiseDeg;
  const { proposals } = adviseShoe({
    ...factsOfLife({ limb, kind: horse.kind, massKg: horse.massKg }, horse.life),
    ...(prescription && { prescription }),
  });
  const shod = proposals.find(({ spec }) => spec.type !== "bare")?.spec ?? ordinaryShoe(limb, horse.massKg);
  return {
    ...(footPlace("shoes", place.visit, limb, "before") as ShoeRecord),
    spec: raised
      ? {
          ...shod,
          raise: {
            degrees: raised,
            cycles: 3,
            exit: "heel angle within 5° of the wall, then level",
          },
        }
      : shod,
    ...(before.last !== undefined && {
      found: {
        state: before.state ?? "as it was nailed",
        type: shod.type,
        pad: shod.pad,
        nailsMedial: shod.nailsMedial,
        nailsLateral: shod.nailsLateral,
        by: "last visit",
        since: before.last,
      },
    }),
    from: prescription ? "prescription" : "adviser",
    ticks: {
      tack: true,
      look: true,
      drive: true,
      wring: true,
      clench: true,
      edges: true,
      stand: true,
      moves: true,
    },
  };
}
