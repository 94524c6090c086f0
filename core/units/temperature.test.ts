import { describe, expect, test } from "@jest/globals";
import { fahrenheit, parseTemperature, temperatureInWords } from "./temperature";

describe("temperatures", () => {
  test.each([
    ["10", 10],
    [" -3,5 °C", -3.5],
    ["−5", -5],
    ["50 F", 10],
    ["32°f", 0],
    ["-40 F", -40],
  ])("%s is %d degrees C", (text, celsius) => {
    const read = parseTemperature(text);
    expect(read.ok && read.value).toBeCloseTo(celsius, 9);
  });

  test.each(["", "hot", "10 K", "1e3", "10 20"])("“%s” is none, and it says what would be", (text) => {
    const read = parseTemperature(text);
    expect(!read.ok && read.issues[0]?.message).toContain("as 10 or 50 F");
  });

  test("both are said", () => {
    expect(fahrenheit(100)).toBe(212);
    expect(temperatureInWords(-4.6)).toBe("−5 °C, 24 °F");
  });
});
