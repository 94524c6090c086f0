import { readFileSync } from "node:fs";
import { describe, expect, test } from "@jest/globals";
import { layPicture } from "~core/photo/thenNow";
import { photoSchema } from "~core/photo/photoRecord";
import { pictureType } from "~core/photo/pictureFile";
import { demoPhotos } from "./pictured";
import { round } from "./round.fixture";

describe("the pictures of the demo round", () => {
  const photos = demoPhotos(round);

  test("each belongs to a visit of its horse, is called simulated and is a record as any other", () => {
    expect(photos.length).toBeGreaterThanOrEqual(8);
    for (const { photo } of photos) {
      expect(photoSchema.parse(photo)).toEqual(photo);
      const visit = round.visits.find(({ id }) => id === photo.visitId);
      expect([visit?.horseId, visit?.date]).toEqual([photo.horseId, photo.date]);
      expect(photo.simulated).toBe(true);
    }
  });

  test("each is shipped as a picture and laid over the others of its view by its marks", () => {
    for (const { photo, file } of photos) {
      expect(pictureType(readFileSync(`public/demo/${file}`))).toEqual({ ok: true, value: "image/jpeg" });
      expect(layPicture(photo)).toMatchObject({ ok: true, value: { by: "marks" } });
    }
  });

  test("a round without these horses has no pictures", () => {
    expect(demoPhotos({ horses: [], visits: [] })).toEqual([]);
  });
});
