import { data } from "react-router";
import { feetAt, readFootAt } from "~app/data/footAt";
import { HORSE_TABLES, readHorsesAndYards } from "~app/data/queries";
import { GroundView } from "~app/features/ground/GroundView";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { LIMBS, type Limb } from "~core/foot/limb";
import type { Route } from "./+types/ground";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const { visitId, limb } = params;
  if (visitId !== undefined && !LIMBS.includes(limb as Limb))
    throw data(null, { status: 404, statusText: "A shoe stands under one foot: LF, RF, LH or RH." });
  const [foot, { horses }] = await Promise.all([
    visitId === undefined ? undefined : readFootAt({ visitId, limb: limb as Limb }),
    readHorsesAndYards(),
  ]);
  if (visitId !== undefined && !foot)
    throw data(null, { status: 404, statusText: "There is no such visit in this round." });
  return { foot, horses };
}

export const meta: Route.MetaFunction = () => [{ title: "Ground · Plumbline" }];

export const shouldRevalidate = readsOnly(...HORSE_TABLES);

export default function GroundRoute({ loaderData }: Route.ComponentProps) {
  const { foot, horses } = useRecords(loaderData);
  return <GroundView foot={foot && { ...foot, feet: feetAt(foot.visit, foot.file) }} horses={horses} />;
}
