import { CautionsView } from "~app/features/cautions/CautionsView";
import type { Route } from "./+types/cautions";

export const meta: Route.MetaFunction = () => [{ title: "Cautions · Plumbline" }];

export default function CautionsRoute() {
  return <CautionsView />;
}
