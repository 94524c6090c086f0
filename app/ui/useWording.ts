import { useMemo } from "react";
import { useRecords } from "./useRecords";
import { useRouteLoaderData } from "react-router";
import { DEFAULT_SETTINGS, type Settings } from "~core/record/settings";
import { wordingFor, type Wording } from "~core/foot/wording";

const NO_SETTINGS = { settings: DEFAULT_SETTINGS };

/** The user's settings as the root loader read them, with what is on its way to the store laid over. */
export function useSettings(): Settings {
  const read = useRouteLoaderData("root") as { settings: Settings } | undefined;
  return useRecords(read ?? NO_SETTINGS).settings;
}

/** How this user reads numbers and sides. */
export function useWording(): Wording {
  const settings = useSettings();
  return useMemo(() => wordingFor(settings), [settings]);
}
