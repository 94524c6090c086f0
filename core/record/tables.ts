import type { z } from "zod";
import { appointmentSchema } from "./appointment";
import { callSchema } from "./call";
import { caseSchema } from "../case/caseRecord";
import { filmSchema } from "../radiograph/filmRecord";
import { forgedSchema, forgingSchema, steelSchema } from "../forge/forgeRecord";
import { horseSchema } from "./horse";
import { lookSchema } from "../foot/records/look";
import { photoSchema, pictureSchema } from "../photo/photoRecord";
import { readingSchema } from "../foot/records/reading";
import { protocolSchema } from "../practice/protocol";
import { trySchema } from "../practice/tryRecord";
import { setAsideSchema } from "./setAside";
import { settingsSchema } from "./settings";
import { nailSizeSchema, shoeSchema, sizeSchema } from "../shoe/shoeRecord";
import { trimSchema } from "../trim/trimRecord";
import { visitSchema } from "./visit";
import { watchingSchema } from "../gait/watchingRecord";
import { yardSchema } from "./yard";

/** Everything that is kept and exported, by table, parents before children. */
export const TABLES = {
  yards: yardSchema,
  horses: horseSchema,
  visits: visitSchema,
  pictures: pictureSchema,
  readings: readingSchema,
  trims: trimSchema,
  shoes: shoeSchema,
  watchings: watchingSchema,
  looks: lookSchema,
  photos: photoSchema,
  cases: caseSchema,
  films: filmSchema,
  sizes: sizeSchema,
  nailSizes: nailSizeSchema,
  forgings: forgingSchema,
  forged: forgedSchema,
  steel: steelSchema,
  appointments: appointmentSchema,
  calls: callSchema,
  tries: trySchema,
  protocols: protocolSchema,
  setAside: setAsideSchema,
  settings: settingsSchema,
} as const;

export type TableName = keyof typeof TABLES;
export type RecordOf<Name extends TableName> = z.infer<(typeof TABLES)[Name]>;
export type Records = { [Name in TableName]: RecordOf<Name>[] };

export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

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
