import { ShoeRulesView } from "~app/features/shoe-rules/ShoeRulesView";
import type { Route } from "./+types/shoe-rules";

export const meta: Route.MetaFunction = () => [{ title: "How a shoe is argued for · Plumbline" }];

export default function ShoeRulesRoute() {
  return <ShoeRulesView />;
}
