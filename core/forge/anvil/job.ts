import { isFore, type Limb, type Side } from "../../foot/limb";
import { eachSide, type FootParameters } from "../../foot/parametric/parameters";
import type { Forged, Forging } from "../forgeRecord";
import type { ForgeSettings } from "../forgeSettings";
import type { Result } from "../../result";
import type { Fit } from "../../shoe/fit";
import { type Specification } from "../../shoe/specification";
import { specInWords } from "../../shoe/specWords";
import type { Wording } from "../../foot/wording";
import { allowancesFor } from "../kinds";
import { cutIn, stockOfFit, type Asked } from "../fitStock";
import { handCorrection, handSteps, likeKey, missOf } from "../hand";
import { barMarks, markOf, type Bar } from "../marks";
import { shoePattern, type Pattern } from "../pattern/pattern";
import { handByPlace } from "../madeShoe";
import { stockLength, type Stock } from "../stock";
import { fitTwoMeasures } from "../twoMeasures";

/** A shoe to be forged: of a foot in the records, or by two measures. */
export interface ForgeJob {
  /** Horse and foot, or what it is without one. */
  name: string;
  end: "fore" | "hind";
  spec: Specification;
  fit: Fit;
  /** The foot that it is fitted to, where there is one. */
  drawn?: FootParameters;
  /** The two measures that were asked for; the outline is then an estimate. */
  asked?: Asked;
}

export function jobByMeasures({
  end,
  width,
  length,
  spec,
  extras,
}: NonNullable<Forging["measures"]>): ForgeJob {
  return {
    name: end === "fore" ? "Front shoe by two measures" : "Hind shoe by two measures",
    end,
    // The length that was asked for ends at the heels, whatever lens a foot would have.
    spec: { ...spec, support: "heel" },
    fit: fitTwoMeasures({ end, width, length, spec }),
    asked: { width, length, extras },
  };
}

export const endOf = (limb: Limb): ForgeJob["end"] => (isFore(limb) ? "fore" : "hind");

/** The log of shoes like this one, oldest first. */
export const likeShoes = (job: Pick<ForgeJob, "spec">, log: readonly Forged[]): Forged[] =>
  log.filter((shoe) => likeKey(shoe) === likeKey(job.spec)).sort((a, b) => a.date.localeCompare(b.date));

/** The steel of a job: both ways, corrected by the user's own log. */
export interface JobStock {
  stock: Result<Stock>;
  /** Mm that the own hand takes, from so many like shoes. */
  hand: { mm: number; shoes: number };
  /** What to cut in the user's own unit, mm; 0 where no steel makes this shoe. */
  cut: number;
  /** That length from the centre mark, mm. */
  mark: Record<Side, number>;
}
/** The same with the bar and its marks. */
export interface JobSteel extends JobStock {
  bar: Result<Bar>;
}
type Steel = Pick<ForgeJob, "spec" | "fit" | "asked">;

export function jobStock(
  job: Steel,
  { forge }: { forge: ForgeSettings },
  log: readonly Forged[],
  wording: Wording,
): JobStock {
  const like = likeShoes(job, log);
  const hand = { mm: handCorrection(like.map(missOf)), shoes: like.length };
  const stock = stockOfFit(job.fit, { allowances: allowancesFor(forge, job.spec), hand: hand.mm }, job.asked);
  const cut = stock.ok ? cutIn(stock.value, wording) : 0;
  return {
    stock,
    hand,
    cut,
    mark: eachSide((side) => (stock.ok ? markOf(stock.value, cut)[side] : 0)),
  };
}

export function jobSteel(
  job: Steel,
  settings: { forge: ForgeSettings },
  log: readonly Forged[],
  wording: Wording,
): JobSteel {
  const found = jobStock(job, settings, log, wording);
  const { stock, cut } = found;
  return {
    ...found,
    bar: stock.ok ? barMarks(job.fit, stock.value, allowancesFor(settings.forge, job.spec), cut) : stock,
  };
}

/**
 * What rule and outline want for a shoe that came out so wide and long, mm, the longer of them: the job's own outline
 * stretched to it. Undefined where these measures make no shoe of this section.
 */
export function computedFor(
  { fit, spec, asked }: ForgeJob,
  came: { width: number; length: number },
  { forge }: { forge: ForgeSettings },
): number | undefined {
  const byX = came.width / fit.width;
  const toe = fit.toeY;
  const byY = came.length / (toe - Math.min(fit.endY.medial, fit.endY.lateral));
  const stretched = (side: "medial" | "lateral") =>
    fit.outer[side].map(([x, y]): [number, number] => [x * byX, toe + (y - toe) * byY]);
  const found = stockLength(
    {
      ...came,
      section: { width: spec.width, thickness: spec.thickness },
      creased: spec.crease === "creased" ? 2 : 0,
      extras: fit.across + fit.grown + (asked?.extras ?? 0),
      outline: { medial: stretched("medial"), lateral: stretched("lateral") },
    },
    allowancesFor(forge, spec),
  );
  return found.ok ? found.value.total : undefined;
}

/** The steps of the hand for shoes like this one. */
export const jobHand = (job: Pick<ForgeJob, "spec">, log: readonly Forged[]) =>
  handSteps(likeShoes(job, log));

/** What the hand misses by place on shoes like this one, mm. */
export const jobMisses = (job: Pick<ForgeJob, "spec">, log: readonly Forged[]) =>
  handByPlace(likeShoes(job, log));

/** The pattern of a job with what is written beside it: whose, which day, what it is. */
export const jobPattern = (job: ForgeJob, day: string, wording: Wording): Pattern =>
  shoePattern(job.fit, [
    job.name,
    day,
    ...(!job.drawn ? ["shape of a sound foot: an estimate"] : []),
    ...linesOf(specInWords(job.spec, wording)),
  ]);

/** A sentence in lines short enough to stand beside the ruler. */
function linesOf(text: string): string[] {
  const lines: string[] = [];
  for (const word of text.split(" ")) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + word.length < 44) lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}
