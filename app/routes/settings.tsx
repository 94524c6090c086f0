import { readSettings } from "~app/data/queries";
import { SettingsView } from "~app/features/settings/SettingsView";
import type { Route } from "./+types/settings";

export const clientLoader = () => readSettings();

export const meta: Route.MetaFunction = () => [{ title: "Settings · Plumbline" }];

export default function SettingsRoute({ loaderData }: Route.ComponentProps) {
  return <SettingsView settings={loaderData} />;
}
