/** A number from the trade or the literature: never without its unit, its source and how sure it is. */
export interface Entry<T> {
  value: T;
  unit: string;
  source: string;
  validFor: string;
  sure: "published" | "common practice" | "assumption";
}
