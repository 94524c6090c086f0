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
