import ICAL from "ical.js";
import { fail, ok, type Result } from "../result";

/** One card: what it is called by, and where somebody is reached. */
export interface Card {
  name: string;
  org: string;
  /** Each with its kind, such as `cell` or `home`, where the card tells one. */
  phones: { text: string; kind: string }[];
  emails: { text: string; kind: string }[];
  address: string;
  note: string;
  place: { latitude: string; longitude: string } | undefined;
}

/** A property of a card as the parser has it. */
type Property = [
  name: string,
  parameters: Record<string, string | string[]>,
  type: string,
  ...values: unknown[],
];

/**
 * A file of contact cards: vCard 2.1, 3.0 (RFC 2426) and 4.0 (RFC 6350), each card by its own version. Pictures are left out.
 * Errors: `not-a-card` for a card that does not end.
 */
export function readCards(text: string): Result<Card[]> {
  try {
    const parsed: unknown = ICAL.parse(asVersion3(text.replace(/^\uFEFF/gm, "")));
    const list = (Array.isArray(parsed) && typeof parsed[0] === "string" ? [parsed] : parsed) as [
      string,
      Property[],
    ][];
    return ok(list.map(([, properties]) => cardOf(properties)));
  } catch {
    return fail("not-a-card", "", "This file of cards is damaged: a card does not end.");
  }
}

function cardOf(properties: readonly Property[]): Card {
  const all = (name: string) => properties.filter(([own]) => own.replace(/^.*\./, "") === name);
  const wordsOf = ([, , , ...values]: Property, between = " ") =>
    (values.flat(2) as unknown[])
      .map((part) => String(part).trim())
      .filter((part) => part !== "")
      .join(between);
  const first = (name: string, between?: string) => {
    const [found] = all(name);
    return found ? wordsOf(found, between) : "";
  };
  const reached = (name: string, scheme: RegExp) =>
    all(name).flatMap((property) => {
      const found = wordsOf(property).replace(scheme, "");
      return found === "" ? [] : [{ text: found, kind: kindOf(property[1]) }];
    });
  const [, latitude, longitude] = /^(?:geo:)?(-?[\d.]+)[,;\s]+(-?[\d.]+)/.exec(first("geo")) ?? [];
  return {
    name: first("fn") || nameOf(all("n")[0]),
    org: first("org"),
    phones: reached("tel", /^tel:/i),
    emails: reached("email", /^mailto:/i),
    address: first("adr", ", "),
    note: first("note"),
    place: latitude !== undefined && longitude !== undefined ? { latitude, longitude } : undefined,
  };
}

/** Family; given; middle; before; after: as it is said. */
function nameOf(property: Property | undefined): string {
  const [family, given, middle, before, after] = ((property?.[3] ?? []) as unknown[]).flat().map(String);
  return [before, given, middle, family, after].filter(Boolean).join(" ");
}

/** Kinds that say how a number is reached, and not that it is a number. */
const SAID_KINDS = ["cell", "mobile", "home", "work", "fax", "pager", "main", "other"];

function kindOf({ type }: Record<string, string | string[]>): string {
  const kinds = [type ?? []].flat().flatMap((one) => one.toLowerCase().split(","));
  return SAID_KINDS.find((kind) => kinds.includes(kind)) ?? "";
}

/** What is as large as a picture, and is not asked for. */
const LARGE = /^(?:[^:;]*\.)?(?:PHOTO|LOGO|SOUND|KEY|AGENT)[;:]/i;
const KINDS_WITHOUT_NAME = /^(?:QUOTED-PRINTABLE|BASE64|B|8BIT|7BIT)$/i;

/**
 * Cards of version 2.1 in the notation of 3.0: parameters by name, quoted-printable decoded by its charset, the signs of 3.0
 * before commas. Other cards stay as they are.
 */
function asVersion3(text: string): string {
  return text
    .split(/(?=^BEGIN:VCARD)/im)
    .map((card) => {
      if (!/^VERSION:2\.1\s*$/im.test(card)) return withoutLarge(unfolded(card)).join("\r\n");
      // A picture in base64 ends with an empty line; quoted-printable goes on where a line ends with "=".
      const joined = card.replace(/=\r?\n[ \t]?/g, (end, at: number) => (isQuoted(card, at) ? "" : end));
      return withoutLarge(unfolded(joined)).map(line21).join("\r\n");
    })
    .join("\r\n");
}

/** True where the line that a place lies in is quoted-printable. */
function isQuoted(card: string, at: number): boolean {
  // Lines that go on are joined from the first on: the beginning may be several lines back.
  let start = card.lastIndexOf("\n", at - 1) + 1;
  while (start > 1 && /=\r?\n$/.test(card.slice(0, start))) start = card.lastIndexOf("\n", start - 2) + 1;
  return /^[^:]*QUOTED-PRINTABLE[^:]*:/i.test(card.slice(start, start + 300));
}

const unfolded = (card: string): string[] =>
  card
    .replace(/\r?\n[ \t]/g, "")
    .split(/\r?\n/)
    .filter((line) => line.trim() !== "");

/** Lines without what is large; a base64 body that is not folded goes with it. */
function withoutLarge(lines: readonly string[]): string[] {
  const kept: string[] = [];
  let inLarge = false;
  for (const line of lines) {
    if (/^(?:[\w.-]+)(?:;[^:]*)?:/.test(line)) inLarge = LARGE.test(line);
    if (!inLarge) kept.push(line);
  }
  return kept;
}

function line21(line: string): string {
  const colon = line.indexOf(":");
  if (colon === -1) return line;
  const [name = "", ...parameters] = line.slice(0, colon).split(";");
  if (/^VERSION$/i.test(name)) return "VERSION:3.0";
  let value = line.slice(colon + 1);
  const said = (wanted: string) =>
    parameters.find((one) => one.toUpperCase().startsWith(`${wanted}=`))?.slice(wanted.length + 1) ?? "";
  const isEncoded =
    /^QUOTED-PRINTABLE$/i.test(said("ENCODING")) || parameters.some((one) => /^QUOTED-PRINTABLE$/i.test(one));
  if (isEncoded) value = quotedPrintable(value, said("CHARSET"));
  const kinds = parameters
    .filter((one) => !one.includes("=") && !KINDS_WITHOUT_NAME.test(one))
    .concat(said("TYPE") || []);
  const sign = value.replace(/\r?\n/g, "\\n").replace(/(?<!\\),/g, "\\,");
  return `${name}${kinds.length > 0 ? `;TYPE=${kinds.join(",")}` : ""}:${sign}`;
}

/** Text of quoted-printable (RFC 2045) in UTF-8, or in a charset of one byte a letter. */
function quotedPrintable(text: string, charset: string): string {
  const bytes = text.replace(/=([0-9A-F]{2})/gi, (_, hex: string) =>
    String.fromCharCode(Number.parseInt(hex, 16)),
  );
  if (charset !== "" && !/^(?:utf-?8|us-ascii)$/i.test(charset)) return bytes;
  try {
    return decodeURIComponent(
      [...bytes]
        .map((one) => (one > "\u00FF" ? one : `%${one.charCodeAt(0).toString(16).padStart(2, "0")}`))
        .join(""),
    );
  } catch {
    return bytes;
  }
}
