// draws one picture with laid foot
import { writeFileSync } from "node:fs";
import { execSync } from "node:child_process";
import { ordinaryFoot } from "~core/foot/parametric/fit";
import { seededRandom } from "~core/math/random";
import { HAND_SD_MM } from "~core/photo/fill";
import { layIn, FIRST_TAPS } from "~core/suggest/suggest";
import { outcome, subject, tapped } from "./suggestions";
const view = process.argv[2] as "sole", want = Number(process.argv[3] ?? 0), seed = Number(process.argv[4] ?? 7);
const random = seededRandom(seed);
for (let i = 0; i <= want; i++) {
  const one = subject(random, 1280, view);
  const points = Object.fromEntries((process.argv[5]?.split(",") ?? FIRST_TAPS[view]).map((mark) => [mark, tapped(random, one.truth, mark)]));
  if (i < want) continue;
  const found = layIn({ photo: { ...one.truth, view, points }, picture: { width: 1280, height: 960, rgba: one.rgba }, base: ordinaryFoot(one.foot.limb, { kind: "horse", massKg: 500 }), handSdMm: HAND_SD_MM });
  if (!found.ok) throw new Error(found.issues[0]?.message);
  const { fitted, toPicture } = found.value;
  const out = Buffer.alloc(1280 * 960 * 3);
  for (let p = 0; p < 1280 * 960; p++) for (let c = 0; c < 3; c++) out[3 * p + c] = Math.min(255, 1.6 * (one.rgba[4 * p + c] ?? 0));
  const dot = (x: number, y: number, r: number, c: readonly number[]) => { for (let dy = -r; dy <= r; dy++) for (let dx = -r; dx <= r; dx++) { const q = 3 * ((Math.round(y) + dy) * 1280 + Math.round(x) + dx); for (let ch = 0; ch < 3; ch++) out[q + ch] = c[ch] ?? 0; } };
  const line = (a: readonly number[], b: readonly number[], c: readonly number[]) => { for (let t = 0; t <= 1; t += 0.02) dot((a[0] ?? 0) + ((b[0] ?? 0) - (a[0] ?? 0)) * t, (a[1] ?? 0) + ((b[1] ?? 0) - (a[1] ?? 0)) * t, 0, c); };
  for (const [name, edge] of Object.entries(fitted.laid.edges)) {
    edge.forEach((p, k) => { if (k) line(toPicture(edge[k - 1] as never), toPicture(p), [255, 0, 0]); });
    fitted.edges[name]?.at.forEach((p, k) => { const [x, y] = toPicture(p); dot(x, y, 1, (fitted.edges[name]?.clear[k] ?? 0) > 0.3 ? [0, 255, 255] : [90, 90, 160]); });
  }
  for (const [mark, at] of Object.entries(one.truth.points)) if (at) { const m = fitted.place(mark)?.at; if (m) line(at, toPicture(m), [255, 255, 0]); dot(at[0], at[1], 2, [0, 255, 0]); }
  writeFileSync("/tmp/z.ppm", Buffer.concat([Buffer.from("P6 1280 960 255\n"), out]));
  const c = one.truth.points[view === "sole" ? "sulcusFront" : view === "side" ? "hairlineToe" : "limbLow"] ?? [400, 400];
  execSync(`convert /tmp/z.ppm -crop 600x600+${Math.max(0, Math.round(c[0] - 300))}+${Math.max(0, Math.round(c[1] - 300))} +repage /tmp/shots/z${view}${want}.png`);
}
if (process.env["DBG"]) { const random2 = seededRandom(seed); for (let i = 0; i <= want; i++) { const one = subject(random2, 1280, view); const points = Object.fromEntries(FIRST_TAPS[view].map((mark) => [mark, tapped(random2, one.truth, mark)])); if (i < want) continue; const f = layIn({ photo: { ...one.truth, view, points }, picture: { width: 1280, height: 960, rgba: one.rgba }, base: ordinaryFoot(one.foot.limb, { kind: "horse", massKg: 500 }), handSdMm: HAND_SD_MM }); if (f.ok) console.log("fit", JSON.stringify(f.value.fitted.laid.foot), "\ntrue", JSON.stringify(one.foot), one.slantDeg); } }
