/** A number of things in words: "1 horse", "12 horses". `many` where the plural is not made with an s. */
export const counted = (count: number, one: string, many = `${one}s`): string =>
  `${count} ${count === 1 ? one : many}`;

/** An interval in words: "every week", "every 6 weeks". */
export const everyWeeks = (weeks: number): string => (weeks === 1 ? "every week" : `every ${weeks} weeks`);
