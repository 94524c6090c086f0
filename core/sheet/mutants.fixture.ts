import { readFileSync } from "node:fs";
import { caseOf } from "../case/case.fixture";
import { wordingFor } from "../foot/wording";
import { seededRandom, type Random } from "../math/random";
import { mergeSides, type Side } from "../merge/merge";
import { pictureType } from "../photo/pictureFile";
import { readDicom } from "../radiograph/dicom";
import { readAppointments } from "../record/appointmentsIcs";
import { makeBackup, writeBackup, type Backup } from "../record/backupText";
import { readBackup } from "../record/backup";
import { peopleFrom, readPeople } from "../record/peopleIn";
import { guessedMapping } from "../record/columnNames";
import { records } from "../record/records.fixture";
import { DEFAULT_SETTINGS } from "../record/settings";
import { nailsCsv, readNailsCsv, readSizesCsv, sizesCsv } from "../record/sizesCsv";
import type { Issue, Result } from "../result";
import { EXAMPLE_NAILS } from "../shoe/nails";
import { EXAMPLE_SIZES } from "../shoe/sizes";
import { readReply } from "./replyIn";
import { VET_FILE_VERSION, VET_REPLY } from "./vetFile";

/** A kind of file that enters, a sound one of it, and what reads it. */
export interface Entry {
  name: string;
  sound: Uint8Array;
  read: (bytes: Uint8Array) => Result<unknown>;
}

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const text = (of: Uint8Array): string => new TextDecoder().decode(of);
const newId = () => "new";
const wording = wordingFor(DEFAULT_SETTINGS);
const horse = { id: "h", name: "Dunlin" };

const HISTORY = {
  device: { id: "a", name: "Phone" },
  devices: { a: "Phone" },
  seen: { a: 3 },
  stamps: [{ key: "visits/v", made: ["a", 1, 1000] as [string, number, number] }],
};
const HERE: Side = { records: records(), history: { ...HISTORY, device: { id: "b", name: "Laptop" } } };

/** A backup is read, and what was read is brought into another device's records. */
function readAndMerge(of: Uint8Array): Result<Backup> {
  const read = readBackup(text(of));
  if (read.ok && read.value.history)
    mergeSides(HERE, { records: read.value.records, history: read.value.history }, { act: ["b", 9, 9] });
  return read;
}

export const entries = (): Entry[] => [
  {
    name: "backup",
    sound: bytes(writeBackup({ ...makeBackup(records(), "2026-11-23T08:00:00Z"), history: HISTORY })),
    read: readAndMerge,
  },
  {
    name: "vet's answer",
    sound: bytes(
      JSON.stringify({
        format: VET_REPLY,
        version: VET_FILE_VERSION,
        caseId: caseOf().id,
        horseId: horse.id,
        horse: horse.name,
        answers: null,
        by: "The vet",
        on: "2026-11-23",
        agreed: [],
        says: "Go on.",
      }),
    ),
    read: (of) => readReply(text(of), { ...caseOf(), horseId: horse.id }, horse, newId, wording),
  },
  {
    name: "sizes",
    sound: bytes(sizesCsv(EXAMPLE_SIZES.slice(0, 8))),
    read: (of) => readSizesCsv(text(of), newId),
  },
  { name: "nails", sound: bytes(nailsCsv(EXAMPLE_NAILS)), read: (of) => readNailsCsv(text(of), newId) },
  {
    name: "people",
    sound: bytes("horse,yard,phone,kg\r\nWren,Ferryfield,0123,430\r\nMoth,Marl Farm,,510\r\n"),
    read: (of) => {
      const read = readPeople(text(of));
      if (!read.ok) return read;
      const found = peopleFrom(
        read.value,
        guessedMapping(read.value.columns),
        { yards: [], horses: [] },
        newId,
      );
      return found.issues.length > 0 ? { ok: false, issues: found.issues } : { ok: true, value: found };
    },
  },
  {
    name: "cards",
    sound: bytes(
      "BEGIN:VCARD\r\nVERSION:4.0\r\nFN:A Person\r\nTEL:0123\r\nADR:;;1 Lane;Town;;;\r\nEND:VCARD\r\n",
    ),
    read: (of) => readPeople(text(of)),
  },
  {
    name: "calendar",
    sound: bytes(
      "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTART:20261123T090000Z\r\nDTEND:20261123T100000Z\r\nRRULE:FREQ=WEEKLY;COUNT=5\r\nSUMMARY:Dentist\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n",
    ),
    read: (of) =>
      readAppointments(text(of), "2026-11-01", "2027-01-31", (instant) => ({
        date: instant.toISOString().slice(0, 10),
        at: instant.toISOString().slice(11, 16),
      })),
  },
  { name: "radiograph", sound: new Uint8Array(readFileSync("public/demo/film.dcm")), read: readDicom },
  {
    name: "picture",
    sound: new Uint8Array(readFileSync("public/mark.svg")),
    read: (of) => pictureType(of),
  },
];

/** Text that has hurt other programs. */
const HOSTILE = [
  "<img src=x onerror=alert(1)>",
  '=HYPERLINK("http://x")',
  "__proto__",
  "constructor",
  "\u0000",
  "\uD800",
  "\u202E",
  "1e999",
  "-0",
  "NaN",
  "null",
  "9".repeat(400),
  "[".repeat(50_000),
  '{"a":'.repeat(20_000),
  '"'.repeat(999),
  "a".repeat(300_000),
  "RRULE:FREQ=SECONDLY\r\n",
  "../../../../etc",
  "🐴".repeat(300),
];
const VALUES: unknown[] = [null, true, -1, 1e308, "", [], {}, [[]], "x".repeat(20_001), 0.1, "2026-02-30"];

/** A sound file with one to four things wrong with it. */
export function mutant({ name, sound }: Entry, random: Random): Uint8Array {
  const below = (most: number) => Math.floor(random() * most);
  const pick = <T>(list: readonly T[]): T => list[below(list.length)] as T;
  // Files of JSON are changed in what they say as often as in their bytes.
  if ((name === "backup" || name === "vet's answer") && random() < 0.5) {
    const whole = JSON.parse(text(sound)) as Record<string, unknown>;
    for (let times = 1 + below(3); times > 0; times--) {
      let at: Record<string, unknown> = whole;
      for (let depth = below(6); depth > 0; depth--) {
        const inner = Object.values(at).filter((one) => typeof one === "object" && one !== null);
        if (inner.length === 0) break;
        at = pick(inner) as Record<string, unknown>;
      }
      const keys = Object.keys(at);
      const key = random() < 0.8 && keys.length > 0 ? pick(keys) : pick(HOSTILE).slice(0, 300);
      if (random() < 0.2) Reflect.deleteProperty(at, key);
      else if (Array.isArray(at) && random() < 0.3) at.push(structuredClone(at[0] as unknown));
      else
        Object.defineProperty(at, key, {
          value: random() < 0.5 ? structuredClone(pick(VALUES)) : pick(HOSTILE),
          enumerable: true,
          configurable: true,
          writable: true,
        });
    }
    return bytes(JSON.stringify(whole));
  }
  let now = sound;
  for (let times = 1 + below(4); times > 0; times--) {
    const at = below(now.length + 1);
    const way = below(6);
    if (way === 0) now = now.slice(0, at);
    else if (way === 1) now = now.slice(at);
    else if (way === 2) {
      now = now.slice();
      for (let flips = 1 + below(8); flips > 0 && now.length > 0; flips--)
        now[below(now.length)] = below(256);
    } else if (way === 3) now = joined(now.slice(0, at), bytes(pick(HOSTILE)), now.slice(at));
    else if (way === 4) now = joined(now.slice(0, at), now.slice(below(now.length + 1)));
    else now = joined(now.slice(0, at), now.slice(Math.max(0, at - below(200))), now.slice(at));
  }
  return now;
}

function joined(...parts: Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    all.set(part, at);
    at += part.length;
  }
  return all;
}

/** What became of mutants of all kinds: those that broke something are kept by their seed. */
export interface Attack {
  tried: number;
  taken: number;
  refused: number;
  slowestMs: number;
  broken: string[];
}

/** Reads so many mutants, in turn one of each kind; `now` is a clock, ms. */
export function attack(count: number, seed: number, now: () => number): Attack {
  const kinds = entries();
  const found: Attack = { tried: 0, taken: 0, refused: 0, slowestMs: 0, broken: [] };
  for (let one = 0; one < count; one++) {
    const kind = kinds[one % kinds.length] as Entry;
    const file = mutant(kind, seededRandom(seed + one));
    const from = now();
    let read: Result<unknown> | undefined;
    try {
      read = kind.read(file);
    } catch (error) {
      found.broken.push(`${kind.name} ${seed + one}: threw ${String(error).slice(0, 200)}`);
    }
    const took = now() - from;
    found.tried += 1;
    found.slowestMs = Math.max(found.slowestMs, took);
    if (took > 2000) found.broken.push(`${kind.name} ${seed + one}: ${Math.round(took)} ms`);
    if (read?.ok) found.taken += 1;
    else if (read) {
      found.refused += 1;
      if (read.issues.length === 0 || read.issues.some(says))
        found.broken.push(`${kind.name} ${seed + one}: refused without saying why`);
    }
  }
  return found;
}

const says = ({ message, code }: Issue): boolean => message.trim() === "" || code.trim() === "";
