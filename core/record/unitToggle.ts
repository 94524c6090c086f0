import type { Edit } from "./edit";
import type { Settings } from "./settings";

/** The edit that turns millimetres into inches, or back. */
export const unitToggle = (settings: Settings): Edit => ({
  table: "settings",
  id: "settings",
  path: ["unit"],
  was: settings.unit,
  now: settings.unit === "mm" ? "in" : "mm",
  label: "units",
});
