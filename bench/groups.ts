import {
  median,
  photoAccuracy,
  timeAdvice,
  timeCutList,
  timeExports,
  timeFindings,
  timeFit,
  timeHerd,
  timePlan,
  timePlanWithFlares,
  timePrediction,
  timeSizes,
  timeStages,
  timeStock,
  timeSurvey,
} from "./core";
import { cardFigures } from "./cards";
import { timeFilmNumbers } from "./films";
import { timeGround } from "./ground";
import type { Promised } from "./promise";
import { timeForecast, timeMoveCosts, timeRounds } from "./rounds";
import { suggestionFigures, suggestionTable } from "./suggestions";

/** What one foot, one shoe, one cut list costs. */
export async function arithmetic(): Promise<Promised[]> {
  const fits = timeFit();
  const cutLists = await timeCutList();
  const ground = timeGround();
  return [
    ["best three of 2,000 sizes by specification and reshaping, median", timeSizes(), 50, "ms"],
    ["advice about one foot, median", timeAdvice(), 5, "ms"],
    ["a shoe fitted anew, its union and checks, median", fits.median, 16, "ms"],
    ["a shoe fitted anew, 95th percentile", fits.p95, 33, "ms"],
    ["stock by outline, median", timeStock(), 2, "ms"],
    ["slowest export of a pattern (SVG, DXF, PDF), median", await timeExports(), 500, "ms"],
    ["cut list, 60 pieces in 12 lengths, proven, median", cutLists.median, 2000, "ms"],
    ["cut list, slowest of ten", cutLists.slowest, 2000, "ms"],
    ["plan of a trim, median", timePlan(), 2, "ms"],
    ["plan of a measured foot with flares, median", timePlanWithFlares(), 2, "ms"],
    ["a neglected foot in stages, median", timeStages(), 10, "ms"],
    ["a film's numbers with their bands, median", timeFilmNumbers(), 16, "ms"],
    ["four shoes on the ground, 2 mm grid, median", ground.fine, 200, "ms"],
    ["the same, first picture (5 mm grid), median", ground.coarse, 100, "ms"],
    ["seven grounds with four shoes, and their span, median", ground.sweep, 1500, "ms"],
    ["sole survey from its marks, median", timeSurvey(), 0.5, "ms"],
    ["findings, verdict and map with everything measured, median", timeFindings(), 16, "ms"],
    ["a herd of 200 feet", timeHerd(), 2000, "ms"],
    ["prediction of a cut, median", timePrediction(), 0.05, "ms"],
  ];
}

/** Plans of a week and of two months, and what goes with them. */
export async function rounds(): Promise<Promised[]> {
  const weeks = await timeRounds([1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 8, 40, 5, 30);
  const large = await timeRounds([1, 2], 25, 160, 20, 57);
  const seconds = weeks.map((week) => week.seconds);
  return [
    ["half a year of 400 horses, four feet each, median", timeForecast(), 300, "ms"],
    ["what moving a horse costs on each day of a month, slowest", timeMoveCosts(), 50, "ms"],
    ["a week of 8 yards and 40 horses, proven, median of ten", median(seconds), 5, "s"],
    ["the slowest of ten weeks (given up at 30)", Math.max(...seconds), 5, "s"],
    [
      "two months of 25 yards and 160 horses, slower",
      Math.max(...large.map((months) => months.seconds)),
      60,
      "s",
    ],
    ["the same, wider gap", Math.max(...large.map(({ gap }) => gap)) * 100, 3, "%"],
  ];
}

/** How far what is found in pictures can be believed, on pictures that were not used to tune it. */
export function pictures(): Promised[] {
  const cards = cardFigures(500, 200);
  const suggestions = suggestionFigures(500);
  const [suggestedIn] = suggestions.rows;
  const soles = suggestions.rows.find(({ of }) => of === "sole");
  const photo = photoAccuracy();
  console.log(suggestionTable(suggestions).join("\n"));
  console.log(
    `the same foot twice differs by (one sd) ${suggestions.again.angle.toFixed(2)} deg and ${suggestions.again.length.toFixed(2)} mm`,
  );
  console.log(
    `1 mm of hand on every mark is ${photo.handSd.toFixed(2)} deg of spread (sd) in the dorsal angle\n`,
  );
  return [
    ["card not found for sure in 500 made pictures", 1 - cards.sure, 0.02, "of them"],
    ["card taken for sure and wrong (over 2 px)", cards.wrong, 0, "of them"],
    ["card seen in 200 pictures without one", cards.false, 0, "of them"],
    ["worst corner of a sure card, median", cards.missPx, 0.3, "px"],
    ["worst corner of a sure card, 95th percentile", cards.missPx95, 0.3, "px"],
    ["card looked for in 1280 by 960, median", cards.liveMs, 150, "ms"],
    ["card looked for in 12 megapixels, median", cards.largeMs, 500, "ms"],
    ["marks suggested after three taps, off by over 2 mm", 1 - (suggestedIn?.within2 ?? 0), 0.1, "of them"],
    ["sure marks off by over 6 mm, in 500 made pictures", suggestedIn?.over6 ?? 1, 0, "of them"],
    ["numbers read off by over 1.5° or 3 mm", 1 - (suggestedIn?.right ?? 0), 0.1, "of them"],
    ["marks of a sole placed by hand, median", soles?.taps ?? Number.NaN, 6, "taps"],
    ["marks suggested in one picture, median", suggestions.ms, 300, "ms"],
    ["photo, marks in the card's plane to 30 deg: worst angle", photo.flatDeg, 0.1, "deg"],
    ["photo, marks in the card's plane to 30 deg: worst length", photo.flatMm, 0.3, "mm"],
    ["photo, marks off the plane to 10 deg: worst angle", photo.offDeg, 1, "deg"],
    ["photo, marks off the plane to 10 deg: worst length", photo.offMm, 2, "mm"],
    ["photo to 20 deg: outside the stated band", 1 - photo.inside, 0.1, "of cases"],
  ];
}
