import { z } from "zod";
import { readLateralFilm } from "~core/radiograph/lateralFilm";
import { finite } from "~core/schema/fields";
import { angle, calculator, mm, point, positive } from "./parts";

const mark = point.describe("picture pixels, x right, y down");

export const radiograph = calculator({
  about: "Measures of a lateral radiograph from its landmarks. It measures; the vet reads it.",
  input: z.strictObject({
    mmPerPx: positive,
    points: z.strictObject({
      groundA: mark,
      groundB: mark,
      tip: mark.describe("tip of the coffin bone"),
      wing: mark.describe("back of its lower border"),
      soleTip: mark.optional().describe("the sole's own surface under the tip"),
      soleWing: mark.optional(),
      faceHigh: mark.describe("dorsal face, under the extensor process"),
      wallHigh: mark,
      wallLow: mark,
      extensor: mark,
      hairline: mark,
      breakover: mark,
      heel: mark,
      joint: z.array(point).describe("joint surface of the short pastern bone's lower end, three or more"),
      pasternFaceLow: mark.optional(),
      pasternFaceHigh: mark.optional(),
    }),
    footLength: positive.optional().describe("mm"),
  }),
  output: z.strictObject({
    palmarAngle: angle.describe("lower border against the ground, + = wing higher"),
    soleDepth: z.strictObject({ tip: mm.optional(), wing: mm.optional() }).optional(),
    tipToGround: mm,
    dorsal: z
      .strictObject({ high: mm, low: mm })
      .describe("from faceHigh and from the tip, square to the line wallHigh-wallLow"),
    capsuleRotation: angle.describe("dorsal face minus wall, both from the ground"),
    boneRotation: angle.optional().describe("dorsal face minus pastern face"),
    coronetExtensor: mm.describe("hairline marker down to the extensor process"),
    cor: z
      .strictObject({ x: finite, y: finite, radius: mm, residual: mm.describe("root mean square") })
      .describe("centre in picture pixels"),
    front: mm.describe("along the ground, breakover to the centre of rotation"),
    support: mm.describe("along the ground, the centre of rotation to the heel contact"),
    frontShare: finite,
    leverIndex: finite.optional().describe("100 x front / footLength"),
  }),
  run: ({ mmPerPx, points, footLength }) => readLateralFilm(points, mmPerPx, footLength),
});
