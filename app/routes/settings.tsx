import { loadDrafts } from "~app/data/drafts";
import { SettingsView } from "~app/features/settings/SettingsView";
import { useSettings } from "~app/ui/useWording";
import type { Route } from "./+types/settings";

export const clientLoader = () => loadDrafts("settings/");

export const meta: Route.MetaFunction = () => [{ title: "Settings · Plumbline" }];

export default function SettingsRoute() {
  return <SettingsView settings={useSettings()} />;
}
