import { z } from "zod";
import { line } from "../schema/fields";
import type { TableName } from "./tables";

/** One act of one device: the device's id, the act's number there, and when it was by its clock, ms since 1970. */
export const stampSchema = z.tuple([z.string().min(1).max(40), z.int().min(0), z.number().min(0)]);
export type Stamp = z.infer<typeof stampSchema>;

/**
 * Who touched a row last, place by place. `made` counts for every place that has no stamp of its own; a row without any is
 * older than stamps, and known to everybody. `gone`: the row was taken away, and stands again only if there is one.
 */
export const rowStampsSchema = z.strictObject({
  key: z.string().min(1).max(140),
  made: stampSchema.optional(),
  gone: stampSchema.optional(),
  places: z.record(z.string().max(200), stampSchema).optional(),
});
export type RowStamps = z.infer<typeof rowStampsSchema>;

/** The last act of each device whose effects a store holds. */
export const seenSchema = z.record(z.string().min(1).max(40), z.int().min(0));
export type Seen = z.infer<typeof seenSchema>;

/** What a backup tells of the devices that wrote in it. */
export const historySchema = z.strictObject({
  device: z.strictObject({ id: z.string().min(1).max(40), name: line }),
  /** Names of all devices that ever wrote in it, by id. */
  devices: z.record(z.string().min(1).max(40), line),
  seen: seenSchema,
  stamps: z.array(rowStampsSchema),
});
export type History = z.infer<typeof historySchema>;

export const stampKey = (table: TableName, id: string): string => `${table}/${id}`;

/** True where a store that has seen so much holds the effect of an act; what bears no stamp is known to everybody. */
export const knows = (seen: Seen, stamp: Stamp | undefined): boolean =>
  stamp === undefined || (seen[stamp[0]] ?? -1) >= stamp[1];

/** The later of two acts by their clocks; where these agree, the same one whoever asks. */
export function laterStamp(a: Stamp | undefined, b: Stamp | undefined): Stamp | undefined {
  if (!a || !b) return a ?? b;
  if (a[2] !== b[2]) return a[2] > b[2] ? a : b;
  if (a[0] !== b[0]) return a[0] > b[0] ? a : b;
  return a[1] >= b[1] ? a : b;
}
