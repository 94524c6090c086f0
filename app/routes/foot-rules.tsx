import { loadDrafts } from "~app/data/drafts";
import { readSettings } from "~app/data/queries";
import { FootRulesView } from "~app/features/foot-rules/FootRulesView";
import type { Route } from "./+types/foot-rules";

export async function clientLoader() {
  await loadDrafts("settings/");
  return readSettings();
}

export const meta: Route.MetaFunction = () => [{ title: "How a foot is read · Plumbline" }];

export default function FootRulesRoute({ loaderData }: Route.ComponentProps) {
  return <FootRulesView settings={loaderData} />;
}
