import { loadDrafts } from "~app/data/drafts";
import { readSettings } from "~app/data/queries";
import { SettingsView } from "~app/features/settings/SettingsView";
import type { Route } from "./+types/settings";

export async function clientLoader() {
  await loadDrafts("settings/");
  return readSettings();
}

export const meta: Route.MetaFunction = () => [{ title: "Settings · Plumbline" }];

export default function SettingsRoute({ loaderData }: Route.ComponentProps) {
  return <SettingsView settings={loaderData} />;
}
