import { fail, ok, type Result } from "../result";

/** Degrees Fahrenheit for degrees Celsius, exact. */
export const fahrenheit = (celsius: number): number => celsius * 1.8 + 32;

/**
 * Degrees Celsius from what was typed: a bare number is Celsius, an F behind it makes it Fahrenheit. `10`, `-3,5 °C`,
 * `50 F`. Errors: `number` for anything else.
 */
export function parseTemperature(text: string): Result<number> {
  const [, size, unit] = /^\s*([-−+]?\d+(?:[.,]\d+)?)\s*°?\s*([CcFf]?)\s*$/.exec(text) ?? [];
  if (size === undefined)
    return fail("number", "temperature", `A temperature, as 10 or 50 F, not “${text.trim()}”.`, text);
  const value = Number(size.replace(",", ".").replace("−", "-"));
  return ok(unit?.toUpperCase() === "F" ? (value - 32) / 1.8 : value);
}

/** "10 °C, 50 °F", whole degrees. */
export const temperatureInWords = (celsius: number): string =>
  `${Math.round(celsius)} °C, ${Math.round(fahrenheit(celsius))} °F`.replaceAll("-", "−");
