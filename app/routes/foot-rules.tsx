import { loadDrafts } from "~app/data/drafts";
import { FootRulesView } from "~app/features/foot-rules/FootRulesView";
import { useSettings } from "~app/ui/useWording";
import type { Route } from "./+types/foot-rules";

export const clientLoader = () => loadDrafts("settings/");

export const meta: Route.MetaFunction = () => [{ title: "How a foot is read · Plumbline" }];

export default function FootRulesRoute() {
  return <FootRulesView settings={useSettings()} />;
}
