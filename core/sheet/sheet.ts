import type { VetFile } from "./vetFile";

/** One part of a sheet; every text is plain and is escaped by whoever writes it out. */
export type SheetPart =
  | { kind: "heading"; text: string }
  | { kind: "text"; text: string; strong?: boolean }
  | { kind: "list"; items: string[] }
  | { kind: "facts"; rows: [name: string, value: string][] }
  | { kind: "table"; head: string[]; rows: string[][]; note?: string; widths?: number[] }
  | { kind: "pictures"; pictures: { pictureId: string; caption: string }[] };

/** A sheet that is handed over: what it says, and for the vet the same as data. */
export interface Sheet {
  for: "owner" | "vet";
  title: string;
  subtitle: string;
  parts: SheetPart[];
  /** The small print. */
  foot: string;
  data?: VetFile;
}

/** A picture as it goes into a sheet. */
export interface SheetPicture {
  bytes: Uint8Array<ArrayBuffer>;
  width: number;
  height: number;
}
export type SheetPictures = ReadonlyMap<string, SheetPicture>;

/** Every picture that a sheet shows, by its id. */
export const picturesOf = ({ parts }: Pick<Sheet, "parts">): string[] =>
  parts.flatMap((part) => (part.kind === "pictures" ? part.pictures.map(({ pictureId }) => pictureId) : []));

/** What a sheet contains, said before it leaves. */
export function contentsOf(sheet: Sheet): string[] {
  const pictures = picturesOf(sheet).length;
  const rows = sheet.parts.reduce((sum, part) => sum + (part.kind === "table" ? part.rows.length : 0), 0);
  const headings = sheet.parts.flatMap((part) =>
    part.kind === "heading" ? [part.text.charAt(0).toLowerCase() + part.text.slice(1)] : [],
  );
  return [
    `${sheet.title}: ${sheet.subtitle}`,
    pictures === 0 ? "no pictures" : pictures === 1 ? "one picture" : `${pictures} pictures`,
    `${rows} rows of measures`,
    ...(headings.length > 0 ? [headings.join(", ")] : []),
    ...(sheet.data
      ? [
          "the same as data inside the HTML file: the horse’s name, kind and weight, the case with its log, measures, radiographs’ numbers",
          "a form with which the vet can answer; it works inside that file alone and sends nothing",
        ]
      : []),
    "not in it: telephone numbers of the yard, other horses, prices, your settings",
  ];
}
