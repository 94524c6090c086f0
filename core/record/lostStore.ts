import { z } from "zod";

/** What the store of one's own round held when it was last looked at: kept beside it, where its loss does not reach. */
export const heldSchema = z.object({
  /** The filling of the store, as a device. */
  device: z.string(),
  horses: z.int().min(1),
  /** Ms since 1970. */
  at: z.number(),
  /** The last backup that was made of it. */
  backup: z.object({ at: z.number(), folder: z.boolean() }).optional(),
});
export type Held = z.infer<typeof heldSchema>;

/** The store as it is found now. */
interface Found {
  device: string;
  horses: number;
}

/** True where a store that held horses is gone: an empty one, filled anew, stands in its place. */
export const isLost = (held: Held | undefined, { device, horses }: Found): boolean =>
  held !== undefined && horses === 0 && held.device !== device;

/** What is to be noted of a store; `held` stays where it tells of a store that is gone. Undefined: nothing. */
export function heldNow(
  held: Held | undefined,
  found: Found & Pick<Held, "at" | "backup">,
): Held | undefined {
  if (isLost(held, found)) return held;
  return found.horses > 0 ? found : undefined;
}

/** What was lost, and where it may be had again; `day` says a moment as a day. */
export function lostInWords(
  { horses, at, backup }: Held,
  day: (ms: number) => string,
): { lost: string; again: string } {
  const many = horses === 1 ? "one horse" : `${horses} horses`;
  const lost = `On ${day(at)} ${many} stood here. A browser throws a store away that it finds damaged, and does not ask.`;
  const again = backup
    ? `The last backup was made on ${day(backup.at)}${backup.folder ? ", into the folder that you chose" : ""}: bring it in, and only what came after it has to be written down again.`
    : "No backup was made here. If another device has your round, its backup brings it back.";
  return { lost, again };
}
