import { describe, expect, test } from "@jest/globals";
import dcmjs from "dcmjs";
import { readDicom, greyPixels, isDicom } from "./dicom";
import { packedFilm } from "./films.fixture";
import { writeDicom, type GreyFilm } from "./dicomWriter";

/** A small picture: a slope of greys, no two rows alike. */
const film = (more: Partial<GreyFilm> = {}): GreyFilm => ({
  width: 7,
  height: 5,
  values: Uint16Array.from({ length: 35 }, (_, at) => at * 1500),
  mmPerPx: 0.25,
  magnification: 1.06,
  date: "2026-11-03",
  description: "Stand-in",
  ...more,
});
const UID = "123456789";

interface Data {
  dict: Record<string, { Value: unknown[] }>;
}
const { DicomMessage, DicomMetaDictionary, DicomDict } = dcmjs.data;

/** Written by the other library. */
function theirs(change: Record<string, unknown>, syntax = "1.2.840.10008.1.2.1"): Uint8Array {
  const meta = {
    "00020010": { vr: "UI", Value: [syntax] },
    "00020002": { vr: "UI", Value: ["1.2.840.10008.5.1.4.1.1.7"] },
    "00020003": { vr: "UI", Value: ["2.25.5"] },
    "00020012": { vr: "UI", Value: ["2.25.1"] },
  };
  const dict = new DicomDict(meta);
  dict.dict = DicomMetaDictionary.denaturalizeDataset({
    SOPClassUID: "1.2.840.10008.5.1.4.1.1.7",
    SOPInstanceUID: "2.25.5",
    PatientName: "Somebody^Else",
    StudyDate: "20261012",
    Rows: 2,
    Columns: 3,
    SamplesPerPixel: 1,
    PhotometricInterpretation: "MONOCHROME2",
    BitsAllocated: 16,
    BitsStored: 12,
    HighBit: 11,
    PixelRepresentation: 0,
    _vrMap: { PixelData: "OW" },
    PixelData: [Uint16Array.from([0, 100, 200, 300, 400, 4095]).buffer],
    ...change,
  });
  return new Uint8Array(dict.write());
}
const code = (bytes: Uint8Array) => {
  const read = readDicom(bytes);
  return read.ok ? "read" : read.issues[0]?.code;
};

describe("DICOM", () => {
  test.each([8, 16] as const)(
    "what is written here in %s bits is read by an independent parser, value by value",
    (bits) => {
      const made = film({ bits });
      const bytes = writeDicom(made, UID);
      const { dict } = DicomMessage.readFile(bytes.buffer) as Data;
      const value = (tag: string) => dict[tag]?.Value[0];
      expect([value("00280010"), value("00280011"), value("00280100")]).toEqual([5, 7, bits]);
      expect(value("00080020")).toBe("20261103");
      expect(Number((dict["00181164"]?.Value[0] as string | number) ?? 0)).toBeCloseTo(0.25, 6);
      const pixels = value("7FE00010") as ArrayBuffer;
      const read = bits === 8 ? new Uint8Array(pixels).subarray(0, 35) : new Uint16Array(pixels);
      expect([...read]).toEqual([...made.values].map((grey) => (bits === 8 ? grey >> 8 : grey)));
    },
  );

  test("and by ours: size, greys, spacing, enlargement, day", () => {
    const read = readDicom(writeDicom(film(), UID));
    expect(read.ok && read.value).toMatchObject({
      width: 7,
      height: 5,
      date: "2026-11-03",
      spacing: { mmPerPx: 0.25, at: "detector", magnification: 1.06 },
    });
    expect(read.ok && read.value.pixels.kind === "grey" && [...read.value.pixels.values]).toEqual([
      ...film().values,
    ]);
  });

  test("what another library wrote is read: greys, window, and a spacing that was calibrated to the foot", () => {
    const read = readDicom(
      theirs({
        WindowCenter: 200,
        WindowWidth: 400,
        PixelSpacing: [0.18, 0.18],
        ImagerPixelSpacing: [0.2, 0.2],
      }),
    );
    if (!read.ok) throw new Error(read.issues[0]?.message);
    expect(read.value).toMatchObject({
      width: 3,
      height: 2,
      date: "2026-10-12",
      spacing: { mmPerPx: 0.18, at: "foot" },
    });
    expect([...greyPixels(read.value)].filter((_, at) => at % 4 === 0)).toEqual([0, 64, 127, 191, 255, 255]);
  });

  test("small greys that are white are turned over, signed and rescaled ones read", () => {
    const inverted = readDicom(
      theirs({ PhotometricInterpretation: "MONOCHROME1", WindowCenter: 200, WindowWidth: 400 }),
    );
    expect(inverted.ok && greyPixels(inverted.value)[0]).toBe(255);
    const signed = readDicom(
      theirs({
        PixelRepresentation: 1,
        PixelData: [Int16Array.from([-100, 0, 100, 0, 0, 100]).buffer],
        RescaleSlope: 2,
        RescaleIntercept: 50,
        WindowCenter: 50,
        WindowWidth: 400,
      }),
    );
    expect(signed.ok && greyPixels(signed.value)[4]).toBe(127);
  });

  test("a JPEG inside is handed out as it lies there", () => {
    const jpeg = Uint8Array.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3, 4, 0xff, 0xd9]);
    const read = readDicom(
      theirs(
        {
          BitsAllocated: 8,
          BitsStored: 8,
          HighBit: 7,
          PixelData: [jpeg.buffer],
          _vrMap: { PixelData: "OB" },
        },
        "1.2.840.10008.1.2.4.50",
      ),
    );
    if (!read.ok || read.value.pixels.kind !== "jpeg") throw new Error("not a jpeg");
    expect([...read.value.pixels.bytes.subarray(0, 10)]).toEqual([...jpeg]);
  });

  test("16 bits without a window are not burnt white: a film whose greys lie above 32,767 keeps them apart", () => {
    const greys = [30_000, 34_000, 40_000, 50_000, 60_000, 65_535];
    const read = readDicom(
      theirs({ BitsStored: 16, HighBit: 15, PixelData: [Uint16Array.from(greys).buffer] }),
    );
    if (!read.ok || read.value.pixels.kind !== "grey") throw new Error("not read");
    expect([read.value.pixels.low, read.value.pixels.high]).toEqual([30_000, 65_535]);
    const shown = [...greyPixels(read.value)].filter((_, at) => at % 4 === 0);
    expect(new Set(shown).size).toBe(6);
    expect(shown).toEqual(shown.toSorted((a, b) => a - b));
  });

  test.each(["big endian", "deflated", "run length"] as const)(
    "a film that is %s is read, grey by grey",
    (way) => {
      const greys = [1, 2, 3, 200, 254, 255];
      const read = readDicom(packedFilm(greys, way));
      if (!read.ok || read.value.pixels.kind !== "grey") throw new Error(JSON.stringify(read));
      expect([...read.value.pixels.values]).toEqual(greys);
      const large = readDicom(packedFilm([0, 300, 700, 40_000, 65_535, 256], way));
      expect(large.ok && large.value.pixels.kind === "grey" && [...large.value.pixels.values]).toEqual([
        0, 300, 700, 40_000, 65_535, 256,
      ]);
    },
  );

  test("one that breaks off is damaged, whichever way it is packed", () => {
    for (const way of ["big endian", "deflated", "run length"] as const) {
      const whole = packedFilm([1, 2, 3, 200, 254, 255], way);
      expect(code(whole.slice(0, whole.length - 14))).toMatch(/damaged|foreign/);
    }
  });

  test("a JPEG whose small values are white says so", () => {
    const change = { BitsAllocated: 8, PixelData: [new ArrayBuffer(10)], _vrMap: { PixelData: "OB" } };
    const inverted = (photometric: string) => {
      const read = readDicom(
        theirs({ ...change, PhotometricInterpretation: photometric }, "1.2.840.10008.1.2.4.50"),
      );
      return read.ok && read.value.pixels.kind === "jpeg" && read.value.pixels.inverted;
    };
    expect([inverted("MONOCHROME1"), inverted("MONOCHROME2")]).toEqual([true, false]);
  });

  test("how much the beam enlarged is told outright, or by the two distances from its source", () => {
    const magnification = (more: Record<string, unknown>) => {
      const read = readDicom(theirs({ ImagerPixelSpacing: [0.2, 0.2], ...more }));
      return read.ok && read.value.spacing?.magnification;
    };
    const apart = { DistanceSourceToDetector: "1100", DistanceSourceToPatient: "1000" };
    expect(magnification(apart)).toBeCloseTo(1.1, 9);
    expect(magnification({ ...apart, EstimatedRadiographicMagnificationFactor: "1.05" })).toBe(1.05);
    expect(magnification({ ...apart, DistanceSourceToPatient: "0" })).toBe(1);
    expect(magnification({})).toBe(1);
  });

  test.each([
    ["1.2.840.10008.1.2.4.70", "lossless JPEG"],
    ["1.2.840.10008.1.2.4.80", "JPEG-LS"],
    ["1.2.840.10008.1.2.4.91", "JPEG 2000"],
    ["1.2.3", "the transfer syntax 1.2.3"],
  ])("how a film is packed that is not read is called by its name: %s", (syntax, name) => {
    const read = readDicom(theirs({}, syntax));
    expect(!read.ok && read.issues[0]).toMatchObject({
      code: "compressed",
      message: expect.stringContaining(name),
    });
  });

  test("anything else is a clear error: not DICOM, cut off, compressed, many frames, colour, no square pixels, too large", () => {
    const own = writeDicom(film(), UID);
    expect(code(Uint8Array.from([1, 2, 3]))).toBe("foreign");
    expect(isDicom(own)).toBe(true);
    expect(code(own.slice(0, own.length - 30))).toMatch(/foreign|damaged/);
    expect(code(theirs({}, "1.2.840.10008.1.2.4.90"))).toBe("compressed");
    expect(code(theirs({ NumberOfFrames: "4" }))).toBe("frames");
    expect(code(theirs({ SamplesPerPixel: 3, PhotometricInterpretation: "RGB" }))).toBe("colour");
    expect(code(theirs({ PixelSpacing: [0.2, 0.3] }))).toBe("pixels");
    expect(code(theirs({ Rows: 14_200, Columns: 14_200 }))).toBe("too-large");
    expect(code(theirs({ Rows: 200 }))).toBe("damaged");
  });
});
