import { Fractions } from "~app/ui/Fractions";
import type { CutList } from "~core/forge/cutlist/cutList";
import type { Wording } from "~core/foot/wording";

/** Bars with their cuts, to scale, and the same in words beneath each. */
export function BarCuts({ list, longest, wording }: { list: CutList; longest: number; wording: Wording }) {
  return (
    <ol className="bar-cuts" aria-label="Bars">
      {list.bars.map(({ stock, pieces, offcut }, index) => {
        const starts = pieces.map((_, at) => pieces.slice(0, at).reduce((sum, piece) => sum + piece, 0));
        const isNew = index >= list.bars.length - list.count;
        return (
          <li key={index}>
            <svg viewBox={`0 0 ${longest} 90`} preserveAspectRatio="none" aria-hidden>
              <rect className="cut-bar" x={0} y={4} width={stock} height={82} />
              {pieces.map((piece, at) => (
                <rect key={at} className="cut-piece" x={starts[at]} y={4} width={piece} height={82} />
              ))}
            </svg>
            <span>
              <span className="quiet">{isNew ? "" : "Offcut "}</span>
              <Fractions text={`${wording.length(stock)}: ${inCounts(pieces, wording)}`} />
              <span className="quiet">
                {" "}
                <Fractions text={offcut > 0 ? `· ${wording.length(offcut)} left` : "· used up"} />
              </span>
            </span>
          </li>
        );
      })}
    </ol>
  );
}

const inCounts = (pieces: readonly number[], wording: Wording): string => {
  const by = new Map<string, number>();
  for (const piece of pieces) by.set(wording.length(piece), (by.get(wording.length(piece)) ?? 0) + 1);
  return [...by].map(([length, count]) => (count > 1 ? `${count} × ${length}` : length)).join(" + ");
};
