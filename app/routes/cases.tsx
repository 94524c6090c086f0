import { CARE_TABLES, readAllCases, readCare } from "~app/data/cases";
import { horseNames } from "~app/data/queries";
import { CasesView } from "~app/features/case/CasesView";
import { todayHere } from "~app/ui/days";
import { readsOnly } from "~app/ui/readsOnly";
import { useCaseRows } from "~app/ui/useCaseRows";
import type { Route } from "./+types/cases";

export async function clientLoader() {
  const [care, horses] = await Promise.all([readAllCases().then(readCare), horseNames()]);
  return { care, horses, today: todayHere() };
}

export const meta: Route.MetaFunction = () => [{ title: "Cases · Plumbline" }];

export const shouldRevalidate = readsOnly(...CARE_TABLES, "horses");

export default function CasesRoute({ loaderData }: Route.ComponentProps) {
  const { care, horses, today } = loaderData;
  const rows = useCaseRows(care, today);
  return <CasesView rows={rows} horses={horses} />;
}
