import { counted } from "../units/counted";
/** What stands in one browser alone. */
export interface AtStake {
  /** Changes since the last backup, or ever. */
  changes: number;
  /** Visits signed since then. */
  visits: number;
  /** Days since the last backup; missing where there never was one. */
  days?: number;
}

/** A week of work, or a day's worth of horses, is what a farrier may be asked to write down anew. Assumption. */
const [MOST_DAYS, MOST_VISITS] = [7, 8];

/** Why a backup is wanted now, in words; nothing while little is at stake. */
export function backupWanted({ changes, visits, days }: AtStake): string | undefined {
  if (changes === 0) return undefined;
  const work =
    visits > 0
      ? `${counted(visits, "signed visit stands", "signed visits stand")} in this browser alone`
      : `${counted(changes, "change stands", "changes stand")} in this browser alone`;
  if (days === undefined) return visits > 0 ? `Never backed up: ${work}.` : undefined;
  if (days < MOST_DAYS && visits < MOST_VISITS) return undefined;
  return `${days === 0 ? "Backed up today" : `Last backed up ${counted(days, "day")} ago`}: since then ${work}.`;
}
