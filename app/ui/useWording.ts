import { useRouteLoaderData } from "react-router";
import { DEFAULT_SETTINGS, type Settings } from "~core/record/settings";
import { wordingFor, type Wording } from "~core/foot/wording";

/** The user's settings as the root loader read them. */
export function useSettings(): Settings {
  return (useRouteLoaderData("root") as { settings: Settings } | undefined)?.settings ?? DEFAULT_SETTINGS;
}

/** How this user reads numbers and sides. */
export const useWording = (): Wording => wordingFor(useSettings());
