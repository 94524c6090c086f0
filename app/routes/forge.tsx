import { data } from "react-router";
import { loadDrafts } from "~app/data/drafts";
import { readForge } from "~app/data/forge";
import { ForgeView } from "~app/features/forge/ForgeView";
import { HORSE_TABLES } from "~app/data/queries";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useRecords } from "~app/ui/useRecords";
import { LIMBS, type Limb } from "~core/foot/limb";
import type { Route } from "./+types/forge";

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const { visitId, limb } = params;
  if (visitId !== undefined && !LIMBS.includes(limb as Limb))
    throw data(null, { status: 404, statusText: "A shoe is forged for one foot: LF, RF, LH or RH." });
  const found = await readForge(visitId === undefined ? undefined : { visitId, limb: limb as Limb });
  if (!found) throw data(null, { status: 404, statusText: "There is no such visit in this round." });
  await loadDrafts("forge/");
  return { ...found, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Forge · Plumbline" }];

export const shouldRevalidate = readsOnly(...HORSE_TABLES, "forgings", "forged", "steel");

export default function ForgeRoute({ loaderData }: Route.ComponentProps) {
  return <ForgeView {...useRecords(loaderData)} />;
}
