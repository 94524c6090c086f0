import { describe, expect, test } from "@jest/globals";
import { caseSchema } from "~core/case/caseRecord";
import { caseRows } from "~core/casework/caseBoard";
import { filmNumbers } from "~core/radiograph/filmNumbers";
import { filmSchema } from "~core/radiograph/filmRecord";
import { isDicom, readDicom } from "~core/radiograph/dicom";
import { defectsOf } from "~core/casework/defects";
import { readFileSync } from "node:fs";
import { demoFilms } from "./filmed";
import { demoPhotos } from "./pictured";
import { round, wording } from "./round.fixture";

const films = demoFilms(round).map(({ film }) => film);
const photos = demoPhotos(round).map(({ photo }) => photo);
const rows = caseRows({ ...round, films, photos }, "2026-11-23", wording);
const caseOfHorse = (name: string) => {
  const id = round.horses.find((horse) => horse.name === name)?.id;
  const row = rows.find(({ one }) => one.horseId === id);
  if (!row) throw new Error(`no case of ${name}`);
  return row;
};

describe("the cases of the demo round", () => {
  test("are records as any other", () => {
    expect(round.cases).toHaveLength(4);
    for (const one of round.cases) expect(caseSchema.parse(one)).toEqual(one);
  });

  test("a staged raise is ready to leave its stage on both fronts", () => {
    const { feet, alerts } = caseOfHorse("Major Oak");
    expect(feet.map(({ stage, ready, shoeings }) => [stage?.id, ready, shoeings])).toEqual([
      ["raised", true, 3],
      ["raised", true, 3],
    ]);
    expect(alerts.map(({ kind }) => kind)).toEqual(["ready"]);
  });

  test("a resected wall is followed over eight months: it grows down, and shortens once it comes to the ground", () => {
    const { one, alerts } = caseOfHorse("Mossback");
    const own = { photos: photos.filter(({ horseId }) => horseId === one.horseId), looks: [] };
    const seen = defectsOf(one, "LF", own);
    expect(seen).toHaveLength(7);
    const days = (Date.parse(seen.at(-1)!.date) - Date.parse(seen[0]!.date)) / 86_400_000;
    expect(days).toBeGreaterThan(240);
    const below = seen.map((then) => then.below!);
    expect([...below].sort((a, b) => a - b)).toEqual(below);
    expect(seen[0]!.length).toBeCloseTo(38, 0);
    expect(seen.at(-1)!.length!).toBeLessThan(20);
    expect(alerts.map(({ kind }) => kind)).toEqual(["overdue"]);
  });

  test("a laminitis has films at two dates: the bone turns back, the sole thickens", () => {
    const { one, feet } = caseOfHorse("Damson");
    const own = films.filter(
      ({ horseId, view, limb }) => horseId === one.horseId && view === "lateral" && limb === "LF",
    );
    const numbers = own.map((film) =>
      Object.fromEntries(filmNumbers(film).map(({ id, value }) => [id, value])),
    );
    expect(numbers.map((all) => all["capsuleRotation"]!.toFixed(0))).toEqual(["8", "5"]);
    expect(numbers.map((all) => all["soleTip"]!.toFixed(0))).toEqual(["8", "12"]);
    expect(feet.map(({ ready }) => ready)).toEqual([false, false]);
  });

  test("a prescription runs out this week", () => {
    const { alerts, prescription } = caseOfHorse("Sixpence");
    expect(prescription).toMatchObject({ state: "expires", days: 3 });
    expect(alerts.map(({ kind }) => kind)).toEqual(["expires"]);
  });
});

describe("the films of the demo round", () => {
  test("each is a record as any other, called a stand-in, and shipped as a picture", () => {
    expect(films.length).toBeGreaterThanOrEqual(5);
    for (const { film, file } of demoFilms(round)) {
      expect(filmSchema.parse(film)).toEqual(film);
      expect(film.standIn).toBe(true);
      expect(readFileSync(`public/demo/${file}`).subarray(0, 2)).toEqual(Buffer.from([0xff, 0xd8]));
    }
  });

  test("one is shipped as DICOM, and says that it is no real foot", () => {
    const bytes = new Uint8Array(readFileSync("public/demo/film.dcm"));
    expect(isDicom(bytes)).toBe(true);
    const read = readDicom(bytes);
    expect(read.ok && read.value.spacing).toMatchObject({
      mmPerPx: 0.45,
      at: "detector",
      magnification: 1.04,
    });
    expect(Buffer.from(bytes).includes("Stand-in, no real foot")).toBe(true);
  });
});
