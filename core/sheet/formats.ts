import { z } from "zod";
import { RECORD_VERSION } from "../record/migrations";
import { historySchema } from "../record/stamps";
import { TABLE_NAMES } from "../record/tables";
import { TABLES } from "../record/schemas";
import { VET_FILE_VERSION, vetFileSchema, vetReplySchema } from "./vetFile";

/** A backup as this version writes it. */
const backupSchema = z.strictObject({
  format: z.literal("plumbline-backup"),
  version: z.literal(RECORD_VERSION),
  madeAt: z.iso.datetime({ offset: true }),
  records: z.strictObject(
    Object.fromEntries(TABLE_NAMES.map((name) => [name, z.array(TABLES[name] as z.ZodType)])),
  ),
  leftOut: z.array(z.strictObject({ table: z.enum(TABLE_NAMES), row: z.unknown() })).optional(),
  history: historySchema.optional(),
});

const published = (title: string, schema: z.ZodType): object => ({
  title,
  ...z.toJSONSchema(schema, { io: "output" }),
});

/** The JSON Schema of every file of JSON that leaves or enters, by the name that it is published under. */
export const publishedSchemas = (): Record<string, object> => ({
  backup: published(`Plumbline backup, records version ${RECORD_VERSION}`, backupSchema),
  "vet-sheet": published(`Plumbline vet's sheet, version ${VET_FILE_VERSION}`, vetFileSchema),
  "vet-answer": published(`Plumbline vet's answer, version ${VET_FILE_VERSION}`, vetReplySchema),
});
