import { MarkHandles } from "~app/drawing/MarkHandles";
import { pathThrough } from "~app/drawing/path";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { SIDES, type Side } from "~core/foot/limb";
import type { FootParameters } from "~core/foot/parametric/parameters";
import { heelPoint, toeYOf } from "~core/foot/parametric/parameters";
import type { Vector } from "~core/geometry/vector";
import type { CutName } from "~core/trim/trimRecord";
import type { CutLines } from "~core/trim/cutLines";
import type { Cuts } from "~core/foot/parametric/predict";
import type { Wording } from "~core/foot/wording";

interface CutOverlayProps {
  geometry: ViewGeometry;
  lines: CutLines;
  /** The same for another plan laid over it. */
  second?: CutLines | undefined;
  cuts: Cuts;
  most: Cuts;
  wording: Wording;
  onMove: (cut: CutName, mm: number, rest: boolean) => void;
}

/** How far the lines of the cut reach past the foot, mm: room to take hold of them. */
const REACH = { toe: 10, heel: 18, side: 12 };
/** Where on the lower wall the dressing is taken hold of, part of the way up to its end. */
const DRESS_HOLD = 0.55;

const met = (cut: number, most: number) => cut >= most - 0.01;

/** What a hand can drag to, mm. */
const half = (mm: number): number => Math.round(2 * mm) / 2;

/** The cut from the side: the plane with a handle at each end, the dressed wall, the live sole that stops them. */
export function SideCut({ geometry, lines, second, cuts, most, wording, onMove }: CutOverlayProps) {
  const { at, back, frame } = geometry;
  const { toe, heel } = lines.side;
  const slope = (toe[1] - heel[1]) / (toe[0] - heel[0]);
  const on = (y: number): Vector => [y, heel[1] + slope * (y - heel[0])];
  const toeHold = on(toe[0] + REACH.toe);
  const heelHold = on(heel[0] - REACH.heel);
  const [dressFoot, dressTop] = lines.dressed;
  const dressHold: Vector = [
    dressFoot[0] + DRESS_HOLD * (dressTop[0] - dressFoot[0]),
    DRESS_HOLD * dressTop[1],
  ];
  const live = lines.most.side;
  const meanHeel = (cuts.heelMedial + cuts.heelLateral) / 2;
  const path = (points: readonly Vector[]) => pathThrough(points.map(at), "straight");
  const liveLabel = at([live.heel[0] - REACH.heel - 6, live.heel[1] + 8]);
  const move = (name: "toe" | "heels" | "dress", to: Vector, rest: boolean) => {
    const [y, z] = back(to);
    if (name === "toe") onMove("toe", half(cuts.toe + z - toeHold[1]), rest);
    else if (name === "dress") onMove("dress", half(cuts.dress - (y - dressHold[0])), rest);
    else {
      const by = z - heelHold[1];
      onMove("heelMedial", half(cuts.heelMedial + by), rest);
      onMove("heelLateral", half(cuts.heelLateral + by), rest);
    }
  };
  return (
    <>
      {lines.off.length > 2 && <path className="cut-off" d={`${path(lines.off)} Z`} />}
      <path className="live-sole-line" d={path([live.heel, live.toe])} />
      <text
        className="live-sole-label"
        x={liveLabel[0]}
        y={liveLabel[1]}
        textAnchor={at([1, 0])[0] > 0 ? "end" : "start"}
      >
        live sole
      </text>
      {second && (
        <path
          className="planned planned-second"
          d={`${path([second.side.heel, second.side.toe])} ${path(second.dressed)}`}
        />
      )}
      <path className="planned cut-plane" d={path([heelHold, toeHold])} />
      {cuts.dress > 0 && <path className="planned cut-plane" d={path(lines.dressed)} />}
      {met(cuts.toe, most.toe) && <Met at={at(live.toe)} />}
      {met(cuts.heelMedial, most.heelMedial) && met(cuts.heelLateral, most.heelLateral) && (
        <Met at={at(live.heel)} />
      )}
      <MarkHandles
        frame={frame}
        radius={3}
        step={0.5}
        selected={undefined}
        handles={[
          {
            name: "toe",
            label: `Toe, ${wording.cut(cuts.toe)} off`,
            at: at(toeHold),
            known: true,
          },
          {
            name: "heels",
            label: `Both heels, ${wording.cut(meanHeel)} off`,
            at: at(heelHold),
            known: true,
          },
          {
            name: "dress",
            label: `Dress the wall, ${wording.cut(cuts.dress)}`,
            at: at(dressHold),
            known: true,
          },
        ]}
        onSelect={() => undefined}
        onMove={(name, to) => move(name, to, false)}
        onDrop={(name, to) => move(name, to, true)}
      />
    </>
  );
}

/** Where a cut has reached its limit. */
const Met = ({ at: [x, y] }: { at: Vector }) => (
  <line className="live-sole-met" x1={x - 4} x2={x + 4} y1={y} y2={y} />
);

/** The dressed line of one side from behind: in at the ground by what comes off, running out half way up the wall. */
function dressedSide(
  { rear }: CutLines,
  widths: Record<"was" | "now", { medial: number; lateral: number }>,
  side: Side,
): Vector[] {
  const [x] = rear[side];
  const off = widths.was[side] - widths.now[side];
  return [
    [x - Math.sign(x) * off, 0],
    [x, DRESSED_UP_MM],
  ];
}
/** As far up as a flare is dressed is drawn, mm: the lower half of the wall. */
const DRESSED_UP_MM = 20;

/** The cut from behind: each heel by itself. */
export function RearCut({
  geometry,
  lines,
  second,
  cuts,
  most,
  wording,
  onMove,
  widths,
}: CutOverlayProps & { widths: Record<"was" | "now", { medial: number; lateral: number }> }) {
  const { at, back, frame } = geometry;
  const { medial, lateral } = lines.rear;
  const slope = (lateral[1] - medial[1]) / (lateral[0] - medial[0]);
  const on = (x: number): Vector => [x, medial[1] + slope * (x - medial[0])];
  const holds = { medial: on(medial[0] - REACH.side), lateral: on(lateral[0] + REACH.side) };
  const live = lines.most.rear;
  const path = (points: readonly Vector[]) => pathThrough(points.map(at), "straight");
  const cutOf = { medial: "heelMedial", lateral: "heelLateral" } as const;
  const move = (side: "medial" | "lateral", to: Vector, rest: boolean) =>
    onMove(cutOf[side], half(cuts[cutOf[side]] + back(to)[1] - holds[side][1]), rest);
  return (
    <>
      <path className="live-sole-line" d={path([live.medial, live.lateral])} />
      {second && (
        <path className="planned planned-second" d={path([second.rear.medial, second.rear.lateral])} />
      )}
      <path className="planned cut-plane" d={path([holds.medial, holds.lateral])} />
      {SIDES.filter((side) => widths.was[side] - widths.now[side] > 0.25).map((side) => (
        <path key={side} className="planned cut-plane" d={path(dressedSide(lines, widths, side))} />
      ))}
      {SIDES.map(
        (side) => met(cuts[cutOf[side]], most[cutOf[side]]) && <Met key={side} at={at(live[side])} />,
      )}
      <MarkHandles
        frame={frame}
        radius={3}
        step={0.5}
        selected={undefined}
        handles={SIDES.map((side) => ({
          name: side,
          label: `${wording.inOwnWords(`${side} heel`)}, ${wording.cut(cuts[cutOf[side]])} off`,
          at: at(holds[side]),
          known: true,
        }))}
        onSelect={() => undefined}
        onMove={(side, to) => move(side, to, false)}
        onDrop={(side, to) => move(side, to, true)}
      />
    </>
  );
}

/** On the sole: what comes off where, as numbers at toe and heels. */
export function SoleCut({
  geometry: { at },
  foot,
  cuts,
  most,
  wording,
  crescent,
}: Pick<CutOverlayProps, "geometry" | "cuts" | "most" | "wording"> & {
  foot: FootParameters;
  crescent: readonly Vector[] | undefined;
}) {
  const bare = (mm: number) => wording.cut(mm).replace(/ (mm|in)$/, "");
  const places = [
    { name: "toe", point: [0, toeYOf(foot) - 5] as Vector },
    ...SIDES.map((side) => ({
      name: side === "medial" ? "heelMedial" : "heelLateral",
      point: [heelPoint(foot, side)[0] * 1.02, heelPoint(foot, side)[1] + 9] as Vector,
    })),
  ] as const;
  const amounts = places.map(({ name, point }) => {
    const cut = name as CutName;
    const [x, y] = at(point);
    return (
      <text
        key={name}
        className={`cut-amount${met(cuts[cut], most[cut]) ? " cut-amount-met" : ""}`}
        x={x}
        y={y}
        textAnchor="middle"
      >
        {cuts[cut] > 0 ? `−${bare(cuts[cut])}` : "0"}
      </text>
    );
  });
  return (
    <>
      {crescent && <path className="cut-off" d={pathThrough(crescent.map(at), "closed")} />}
      {amounts}
    </>
  );
}
