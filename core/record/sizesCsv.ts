import type { Result } from "../result";
import type { NailSize } from "../shoe/nails";
import type { ShoeSize } from "../shoe/sizes";
import { nailSizeSchema, sizeSchema, type NailRow, type SizeRow } from "../shoe/shoeRecord";
import { readTableCsv, tableCsv, type TableShape } from "./tableCsv";

const SIZES = {
  schema: sizeSchema,
  columns: [
    { name: "name", field: "name", text: "as typed" },
    { name: "feet", field: "feet", text: "lower case" },
    { name: "width", field: "width" },
    { name: "length", field: "length" },
    { name: "straight", field: "straight" },
    { name: "web", field: "sectionWidth" },
    { name: "thickness", field: "sectionThickness" },
    { name: "heads", field: "pattern", text: "lower case" },
    { name: "web inside", field: "webMedial", optional: true },
    { name: "web outside", field: "webLateral", optional: true },
    { name: "toe", field: "toe", text: "lower case", optional: true },
    { name: "toe edge", field: "toeEdge", text: "lower case", optional: true },
    { name: "clips", field: "clips", text: "list", optional: true },
    { name: "nail holes", field: "crease", text: "lower case", optional: true },
    { name: "metal", field: "material", text: "lower case", optional: true },
    { name: "section", field: "profile", text: "lower case", optional: true },
    { name: "holes", field: "holes", text: "lower case", optional: true },
    { name: "grams", field: "grams", optional: true },
  ],
} as const satisfies TableShape<ShoeSize>;

const NAILS = {
  schema: nailSizeSchema,
  columns: [
    { name: "name", field: "name", text: "as typed" },
    { name: "heads", field: "pattern", text: "lower case" },
    { name: "length", field: "lengthMm" },
  ],
} as const satisfies TableShape<NailSize>;

/** A table of ready-made shoes as CSV. */
export const sizesCsv = (sizes: readonly ShoeSize[]): string => tableCsv(sizes, SIZES.columns);
/** A table of nails as CSV. */
export const nailsCsv = (nails: readonly NailSize[]): string => tableCsv(nails, NAILS.columns);

/** A CSV as a table of ready-made shoes; see {@link readTableCsv}. */
export const readSizesCsv = (text: string, newId: () => string): Result<SizeRow[]> =>
  readTableCsv<ShoeSize>(text, SIZES, newId);
/** A CSV as a table of nails; see {@link readTableCsv}. */
export const readNailsCsv = (text: string, newId: () => string): Result<NailRow[]> =>
  readTableCsv<NailSize>(text, NAILS, newId);
