import { makeBackup, writeBackup } from "./backupText";
import { nothingRead } from "../foot/records/reading";
import { DEFAULT_SETTINGS } from "./settings";
import { noRecords, type Records } from "./tables";
import { blankVisit } from "./visit";

/** One yard, one horse, one signed visit with one reading: what the specifications of records start from. */
export const records = (): Records => ({
  ...noRecords(),
  yards: [{ id: "y", name: "Ferryfield", person: "", phone: "", access: "" }],
  horses: [
    {
      id: "h",
      yardId: "y",
      name: "Dunlin",
      kind: "cob",
      massKg: 500,
      use: "maintenance",
      finish: "trim",
      habits: "",
      notes: "",
    },
  ],
  visits: [
    {
      id: "v",
      horseId: "h",
      date: "2026-11-02",
      status: "signed",
      ...blankVisit(),
      notes: { watch: "lands flat" },
      next: { due: "2026-11-30", windowStart: "2026-11-27", reason: "cap", day: 28 },
    },
  ],
  readings: [
    {
      id: "v.LF.before",
      visitId: "v",
      horseId: "h",
      limb: "LF",
      moment: "before",
      date: "2026-11-02",
      ...nothingRead(),
      values: { toeLength: { value: 91.5, source: "calliper" } },
    },
  ],
  settings: [DEFAULT_SETTINGS],
});
/** The same as a backup, after a change. */
export const file = (change: (made: Records) => void = () => undefined, madeAt = "2026-11-23T08:00:00Z") => {
  const made = records();
  change(made);
  return writeBackup(makeBackup(made, madeAt));
};
