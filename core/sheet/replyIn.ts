import type { Case, Prescription } from "../case/caseRecord";
import type { Wording } from "../foot/wording";
import type { Horse } from "../record/horse";
import { change } from "../record/change";
import { sameValue, type Edit } from "../record/edit";
import { fail, ok, type Result } from "../result";
import { issuesOf } from "../schema/issues";
import { VET_FILE_VERSION, VET_REPLY, vetReplySchema, type VetReply } from "./vetFile";

/** What an answer would change, field by field, and the edits that do it. */
export interface ReplyRead {
  reply: VetReply;
  changes: { name: string; was: string; now: string }[];
  edits: Edit[];
}

/** An answer no larger than this is read, bytes. */
export const MOST_REPLY_BYTES = 1_000_000;

/**
 * Reads a vet's answer to a case. Nothing is changed by reading: the answer says what it would change.
 *
 * Errors: `not-json`, `foreign` for another file, `newer` for one of a later version, `other-horse` and `other-case` for
 * one that belongs elsewhere, `older` where the prescription has been changed since the sheet went out, `bad` for a value
 * that is none, `closed` for a case that is closed.
 */
export function readReply(
  text: string,
  one: Case,
  horse: Pick<Horse, "id" | "name">,
  newId: () => string,
  wording: Wording,
): Result<ReplyRead> {
  if (text.length > MOST_REPLY_BYTES) return fail("too-large", "", "This file is too large to be an answer.");
  let found: unknown;
  try {
    found = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch {
    return fail("not-json", "", "This file is not an answer: it is damaged, or of another kind.");
  }
  const head = found as { format?: unknown; version?: unknown } | null;
  if (head === null || typeof head !== "object" || head.format !== VET_REPLY)
    return fail("foreign", "format", "This is not an answer to a Plumbline sheet.");
  if (typeof head.version === "number" && head.version > VET_FILE_VERSION)
    return fail("newer", "version", "Written by a newer Plumbline. Update first.");
  const read = vetReplySchema.safeParse(found);
  if (!read.success)
    return { ok: false, issues: issuesOf(read.error).map((issue) => ({ ...issue, code: "bad" })) };
  const reply = read.data;
  if (reply.horseId !== horse.id)
    return fail(
      "other-horse",
      "horseId",
      `This answer belongs to ${reply.horse || "another horse"}, not to ${horse.name}.`,
    );
  if (reply.caseId !== one.id)
    return fail("other-case", "caseId", `This answer belongs to another case of ${horse.name}.`);
  if (one.status === "closed") return fail("closed", "caseId", "This case is closed. Open it again first.");
  if (!sameValue(reply.answers ?? undefined, one.prescription))
    return fail(
      "older",
      "answers",
      `This answers an older sheet: the prescription has been changed since. Nothing was taken. It says: ${saying(reply.prescription, wording) || "no change"}${reply.says ? `; “${reply.says}”` : ""}`,
    );
  const stages = new Set(one.stages.flatMap(({ id, feet }) => feet.map((limb) => `${id} ${limb}`)));
  const agreed = reply.agreed.filter((key) => stages.has(key) && one.vetAgreed[key] === undefined);
  const label = `answer of ${reply.by}`;
  const changed = reply.prescription && !sameValue(reply.prescription, one.prescription);
  return ok({
    reply,
    changes: [
      ...(changed ? differences(one.prescription, reply.prescription, wording) : []),
      ...agreed.map((key) => ({
        name: `Leaving ${stageName(one, key, wording)}`,
        was: "not agreed",
        now: `agreed on ${reply.on}`,
      })),
      ...(reply.says ? [{ name: "Into the log", was: "", now: reply.says }] : []),
    ],
    edits: [
      ...(changed ? [change("cases", one, ["prescription"], reply.prescription, label)] : []),
      ...agreed.map((key) => change("cases", one, ["vetAgreed", key], reply.on, label)),
      change(
        "cases",
        one,
        ["log", newId()],
        {
          on: reply.on,
          by: reply.by,
          says: reply.says || (changed ? "Prescription changed." : "Answered the sheet."),
        },
        label,
      ),
    ],
  });
}

const FIELDS: readonly (readonly [key: keyof Prescription, name: string])[] = [
  ["by", "Prescribed by"],
  ["written", "Written on"],
  ["until", "Until"],
  ["feet", "Feet"],
  ["weeks", "Longest interval, weeks"],
  ["says", "What it says"],
  ["type", "Shoe"],
  ["toe", "Toe"],
  ["toeEdge", "Toe’s ground edge"],
  ["support", "Ends at"],
  ["pad", "Pad"],
  ["raiseDeg", "Raise, degrees"],
];

const shown = (one: Prescription | undefined, key: keyof Prescription, wording: Wording): string => {
  const value = one?.[key];
  if (value === undefined || value === "") return "–";
  return key === "feet"
    ? (one?.feet ?? []).map((limb) => wording.limb(limb)).join(", ")
    : wording.inOwnWords(String(value));
};

const differences = (was: Prescription | undefined, now: Prescription | undefined, wording: Wording) =>
  FIELDS.filter(([key]) => !sameValue(was?.[key], now?.[key])).map(([key, name]) => ({
    name,
    was: shown(was, key, wording),
    now: shown(now, key, wording),
  }));

const saying = (one: Prescription | undefined, wording: Wording): string =>
  FIELDS.flatMap(([key, name]) =>
    shown(one, key, wording) === "–" ? [] : [`${name.toLowerCase()} ${shown(one, key, wording)}`],
  ).join(", ");

function stageName({ stages }: Case, key: string, wording: Wording): string {
  const stage = stages.find(({ id, feet }) => feet.some((limb) => `${id} ${limb}` === key));
  const limb = stage?.feet.find((one) => `${stage.id} ${one}` === key);
  return stage && limb ? `“${stage.name}”, ${wording.limb(limb)}` : key;
}
