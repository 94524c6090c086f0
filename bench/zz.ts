import { seededRandom } from "~core/math/random";
import { outcome, subject } from "./suggestions";
import { MEASURED_VIEWS, PHOTO_MARKS, type MeasuredView } from "~core/photo/views";
const n = Number(process.argv[2] ?? 40), seed = Number(process.argv[3] ?? 7);
const views = process.argv[4] ? [process.argv[4] as MeasuredView] : MEASURED_VIEWS;
for (const view of views) {
  const random = seededRandom(seed);
  const all = Array.from({ length: n }, () => outcome(random, subject(random, 1280, view), process.argv[5]?.split(",")));
  const m = all.flatMap((o) => o.misses);
  const q = (xs: number[], p: number) => [...xs].sort((a, b) => a - b)[Math.floor(p * xs.length)]?.toFixed(2);
  const sure = m.filter((x) => x.sure);
  console.log(view, "suggested/pic", (m.length / n).toFixed(1), "within2", (100 * m.filter((x) => x.off <= 2).length / m.length).toFixed(1), "median", q(m.map((x) => x.off), .5), "| sure", (100 * sure.length / m.length).toFixed(0) + "%", "within2", (100 * sure.filter((x) => x.off <= 2).length / sure.length).toFixed(1), "max", q(sure.map((x) => x.off), .9999), "over6", sure.filter((x) => x.off > 6).length, "ms", q(all.map((o) => o.ms), .5), q(all.map((o) => o.ms), .99));
  for (const mark of PHOTO_MARKS[view]) {
    const x = m.filter((y) => y.mark === mark); if (!x.length) continue;
    console.log("  ", mark.padEnd(20), "n", x.length, "med", q(x.map((y) => y.off), .5), "p90", q(x.map((y) => y.off), .9), "max", q(x.map((y) => y.off), .9999), "sd", q(x.map((y) => y.sdMm), .5), "sure", x.filter((y) => y.sure).length, "z90", q(x.map((y) => y.off / y.sdMm), .9), "z99", q(x.map((y) => y.off / y.sdMm), .99));
  }
}
if (process.argv[6]) for (const view of views) { const random = seededRandom(seed); const worst: [number, string, number, number][] = []; for (let i = 0; i < n; i++) for (const m of outcome(random, subject(random, 1280, view), process.argv[5] ? process.argv[5].split(",") : undefined).misses) worst.push([i, m.mark, m.off, m.sdMm]); console.log(worst.filter(([, m]) => process.argv[6] === "all" || m === process.argv[6]).sort((a, b) => b[2] - a[2]).slice(0, 12).map(([i, m, o, s]) => `${i} ${m} ${o.toFixed(1)} ${s.toFixed(1)}`).join("\n")); }
