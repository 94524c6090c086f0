/** Exact by definition (international inch, 1959). */
export const MM_PER_INCH = 25.4;

export const DAYS_PER_YEAR = 365.25;
