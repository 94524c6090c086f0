import { deflateSync, crc32 } from "node:zlib";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import type { FootParameters } from "~core/foot/parametric/parameters";
import type { Limb } from "~core/foot/limb";
import type { MarkedPhoto } from "~core/photo/truePhoto";
import type { MeasuredView } from "~core/photo/views";
import type { Shot } from "~core/simulator/camera";
import type { Conditions } from "~core/simulator/conditions";
import { renderScene } from "~core/simulator/render";
import { aimAt, sceneOf, truthInPicture } from "~core/simulator/scene";

/** The data of a picture that says one thing: its focal length, 35 mm equivalent (Exif tag 41989 in its own directory). */
function exifOf(focal35: number): Buffer {
  const data = Buffer.alloc(44);
  data.write("II*\0", 0, "latin1");
  data.writeUInt32LE(8, 4);
  const entry = (at: number, tag: number, type: number, value: number) => {
    data.writeUInt16LE(1, at);
    data.writeUInt16LE(tag, at + 2);
    data.writeUInt16LE(type, at + 4);
    data.writeUInt32LE(1, at + 6);
    data.writeUInt32LE(value, at + 10);
  };
  entry(8, 0x8769, 4, 26);
  entry(26, 0xa405, 3, focal35);
  return data;
}

/**
 * Pixels as a PNG file, without a library: the tests make their own photographs. Its data tell the focal length (35 mm
 * equivalent) where one is given.
 */
function pngFile(pixels: Uint8ClampedArray, width: number, height: number, focal35?: number): Buffer {
  const rows = Buffer.alloc((width * 3 + 1) * height);
  for (let row = 0; row < height; row++)
    for (let column = 0; column < width; column++)
      for (let channel = 0; channel < 3; channel++)
        rows[row * (width * 3 + 1) + 1 + column * 3 + channel] =
          pixels[(row * width + column) * 4 + channel] ?? 0;
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, "latin1"), data]);
    const head = Buffer.alloc(4);
    const tail = Buffer.alloc(4);
    head.writeUInt32BE(data.length);
    tail.writeUInt32BE(crc32(body));
    return Buffer.concat([head, body, tail]);
  };
  const header = Buffer.alloc(13);
  header.writeUInt32BE(width, 0);
  header.writeUInt32BE(height, 4);
  header.set([8, 2, 0, 0, 0], 8);
  return Buffer.concat([
    Buffer.from([137, 80, 78, 71, 13, 10, 26, 10]),
    chunk("IHDR", header),
    ...(focal35 === undefined ? [] : [chunk("eXIf", exifOf(focal35))]),
    chunk("IDAT", deflateSync(rows, { level: 3 })),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}

const SHOT: Shot = {
  slantDeg: 5,
  azimuthDeg: 70,
  rollDeg: 2,
  distanceMm: 1600,
  focal35: 165,
  width: 960,
  height: 720,
};

/** A simulated photograph as a file, and where its marks and corners truly lie in it; its data tell the lens or do not. */
export function photograph(
  view: MeasuredView,
  limb: Limb = "LF",
  change: Partial<FootParameters> = {},
  conditions: Partial<Conditions> = {},
  shot: Partial<Shot> = {},
  knownLens = true,
): { file: { name: string; mimeType: string; buffer: Buffer }; truth: MarkedPhoto; foot: FootParameters } {
  const foot = { ...ordinaryFoot(limb, { kind: "cob", massKg: 520 }), ...change };
  const scene = sceneOf(foot, view);
  const camera = aimAt(scene, { ...SHOT, ...shot });
  const pixels = renderScene(scene, camera, 11, conditions);
  const { focal35 } = { ...SHOT, ...shot };
  const buffer = pngFile(pixels, camera.width, camera.height, knownLens ? focal35 : undefined);
  return {
    file: { name: `${view}.png`, mimeType: "image/png", buffer },
    truth: truthInPicture(scene, camera, false),
    foot,
  };
}

/** As a phone's main lens sees it from arm's length. */
const PHONE: Shot = { ...SHOT, slantDeg: 1, distanceMm: 600, focal35: 26, width: 1600, height: 1200 };

/** A simulated picture as a standing video, for the browser's own stand-in camera: frames of YUV 4:2:0. */
export function videoFile(
  view: MeasuredView,
  shot: Partial<Shot> = {},
  conditions: Partial<Conditions> = {},
): { video: Buffer; truth: MarkedPhoto } {
  const scene = sceneOf(ordinaryFoot("LF", { kind: "cob", massKg: 520 }), view);
  const camera = aimAt(scene, { ...PHONE, ...shot });
  const pixels = renderScene(scene, camera, 11, conditions);
  const { width, height } = camera;
  const [luma, blue, red] = [
    Buffer.alloc(width * height),
    Buffer.alloc((width * height) / 4),
    Buffer.alloc((width * height) / 4),
  ];
  for (let at = 0; at < width * height; at++) {
    const [r = 0, g = 0, b = 0] = pixels.subarray(4 * at, 4 * at + 3);
    luma[at] = 16 + 0.257 * r + 0.504 * g + 0.098 * b;
    const [column, row] = [at % width, Math.floor(at / width)];
    if (column % 2 > 0 || row % 2 > 0) continue;
    const quarter = (row / 2) * (width / 2) + column / 2;
    blue[quarter] = 128 - 0.148 * r - 0.291 * g + 0.439 * b;
    red[quarter] = 128 + 0.439 * r - 0.368 * g - 0.071 * b;
  }
  const frame = Buffer.concat([Buffer.from("FRAME\n"), luma, blue, red]);
  const head = Buffer.from(`YUV4MPEG2 W${width} H${height} F30:1 Ip A1:1 C420jpeg\n`);
  return { video: Buffer.concat([head, frame, frame]), truth: truthInPicture(scene, camera, false) };
}
