import type { z } from "zod";
import type { TABLES } from "./schemas";

export type TableName = keyof typeof TABLES;
export type RecordOf<Name extends TableName> = z.infer<(typeof TABLES)[Name]>;
export type Records = { [Name in TableName]: RecordOf<Name>[] };

/** The tables by name, parents before children. Names are known everywhere; what a row may be, only where rows are checked. */
export const TABLE_NAMES = [
  "yards",
  "horses",
  "visits",
  "pictures",
  "readings",
  "trims",
  "shoes",
  "watchings",
  "looks",
  "photos",
  "cases",
  "films",
  "sizes",
  "nailSizes",
  "forgings",
  "forged",
  "steel",
  "appointments",
  "calls",
  "tries",
  "protocols",
  "setAside",
  "settings",
] as const satisfies readonly TableName[];

export const isTable = (name: string): name is TableName => (TABLE_NAMES as readonly string[]).includes(name);

export const noRecords = (): Records => ({
  yards: [],
  horses: [],
  visits: [],
  pictures: [],
  readings: [],
  trims: [],
  shoes: [],
  watchings: [],
  looks: [],
  photos: [],
  cases: [],
  films: [],
  sizes: [],
  nailSizes: [],
  forgings: [],
  forged: [],
  steel: [],
  appointments: [],
  calls: [],
  tries: [],
  protocols: [],
  setAside: [],
  settings: [],
});

/** Fields that point from one table's rows to another's, or to its own. */
export const LINKS: { from: TableName; field: string; to: TableName }[] = [
  { from: "horses", field: "yardId", to: "yards" },
  { from: "horses", field: "companionId", to: "horses" },
  { from: "visits", field: "horseId", to: "horses" },
  { from: "readings", field: "visitId", to: "visits" },
  { from: "readings", field: "horseId", to: "horses" },
  { from: "trims", field: "visitId", to: "visits" },
  { from: "trims", field: "horseId", to: "horses" },
  { from: "shoes", field: "visitId", to: "visits" },
  { from: "shoes", field: "horseId", to: "horses" },
  { from: "watchings", field: "visitId", to: "visits" },
  { from: "watchings", field: "horseId", to: "horses" },
  { from: "watchings", field: "stillId", to: "pictures" },
  { from: "looks", field: "visitId", to: "visits" },
  { from: "looks", field: "horseId", to: "horses" },
  { from: "calls", field: "horseId", to: "horses" },
  { from: "photos", field: "visitId", to: "visits" },
  { from: "photos", field: "horseId", to: "horses" },
  { from: "photos", field: "pictureId", to: "pictures" },
  { from: "cases", field: "horseId", to: "horses" },
  { from: "cases", field: "paperId", to: "pictures" },
  { from: "films", field: "horseId", to: "horses" },
  { from: "films", field: "pictureId", to: "pictures" },
];
