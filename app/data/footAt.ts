import { visitFoot, type VisitFoot } from "~core/visit/visitFoot";
import { LIMBS, type Limb } from "~core/foot/limb";
import type { Visit } from "~core/record/visit";
import { fileInCare, readHorseFile, visitById, type HorseFile } from "./queries";
import { session } from "./session";

/** A foot at a visit, with all that its shoe is worked out from. */
export interface FootAt {
  visit: Visit;
  file: ReturnType<typeof fileInCare>;
  limb: Limb;
  feet: Record<Limb, VisitFoot>;
}

export const feetAt = (visit: Visit, file: HorseFile): Record<Limb, VisitFoot> =>
  Object.fromEntries(LIMBS.map((one) => [one, visitFoot(visit, one, file)])) as Record<Limb, VisitFoot>;

/** Undefined where the visit is not in this round. */
export async function readFootAt({
  visitId,
  limb,
}: {
  visitId: string;
  limb: Limb;
}): Promise<FootAt | undefined> {
  const visit = await visitById(visitId);
  const read = visit && (await readHorseFile(visit.horseId));
  if (!visit || !read) return undefined;
  const file = fileInCare(read);
  return { visit, file, limb, feet: feetAt(visit, file) };
}

/** The visit that tells most of a horse's feet today: the one that is open, else the last one signed. */
export async function tellingVisit(horseId: string): Promise<Visit | undefined> {
  const visits = (await session.db.visits.where("horseId").equals(horseId).toArray()).sort((a, b) =>
    a.date.localeCompare(b.date),
  );
  return (
    visits.find(({ status }) => status === "open") ?? visits.findLast(({ status }) => status === "signed")
  );
}
