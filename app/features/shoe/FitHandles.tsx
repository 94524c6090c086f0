import { useState } from "react";
import { MarkHandles } from "~app/drawing/MarkHandles";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import type { Vector } from "~core/geometry/vector";
import { widestOf } from "~core/shoe/outline";
import { directionOf } from "~core/shoe/breakover";
import { degrees } from "~core/math/angle";
import type { Wording } from "~core/foot/wording";
import type { Shoeing } from "~app/stage/useShoe";

type HandleName = "set" | "turn" | "medial" | "lateral" | "breakover" | "direction";

const half = (value: number): number => Math.round(2 * value) / 2 + 0;
const within = (value: number, least: number, most: number): number => Math.max(least, Math.min(most, value));
/** Where the turning handle stands off the toe, mm. */
const TURN_OUT_MM = 12;
/** The handle that turns the breakover line stands at least this far from its middle, mm. */
const CLEAR_MM = 26;
/** The fulling handles stand this far behind the widest part, clear of the plumb line, mm. */
const LOWER_MM = 16;

/** Taking hold of the shoe: set back, turned, fuller on a side; the breakover line moved and turned. */
export function FitHandles({
  geometry,
  shoeing,
  wording,
}: {
  geometry: ViewGeometry;
  shoeing: Shoeing;
  wording: Wording;
}) {
  const { at, back, frame } = geometry;
  const { bench, draft, move } = shoeing;
  const { fit, fromToe, directionDeg } = bench;
  const { foot, spec } = fit.question;
  const [selected, setSelected] = useState<HandleName | undefined>(undefined);
  const { setting } = draft;
  const wide = widestOf(fit.outer);
  const bare = spec.type === "bare";
  const toe: Vector = [0, fit.toeY + 4];
  const turnAt: Vector = [
    Math.sin((setting.turn * Math.PI) / 180) * (fit.toeY - foot.corY),
    fit.toeY + TURN_OUT_MM,
  ];
  const lineAt: Vector = [0, foot.knots.toe[1] - fromToe];
  // A line at the very toe hardly crosses the outline: its handle stands clear of the other one all the same.
  const crossing = fit.line.crosses.lateral?.at;
  const [alongX, alongY] = fit.line.along;
  const lineEnd: Vector =
    crossing && crossing[0] > CLEAR_MM
      ? crossing
      : [lineAt[0] + alongX * CLEAR_MM, lineAt[1] + alongY * CLEAR_MM];
  const handles: { name: HandleName; label: string; at: Vector }[] = [
    ...(bare
      ? []
      : ([
          {
            name: "set",
            label: `Shoe set back ${wording.cut(setting.back)}`,
            at: [foot.knots.toeQuarter.medial[0] * 0.5, toe[1]],
          },
          { name: "turn", label: `Shoe turned ${wording.angle(setting.turn)}`, at: turnAt },
          {
            name: "medial",
            label: `${wording.inOwnWords("Fuller on the medial side")} ${wording.cut(setting.fullerMedial)}`,
            at: [wide.medial[0] - 4, wide.medial[1] - LOWER_MM],
          },
          {
            name: "lateral",
            label: `${wording.inOwnWords("Fuller on the lateral side")} ${wording.cut(setting.fullerLateral)}`,
            at: [wide.lateral[0] + 4, wide.lateral[1] - LOWER_MM],
          },
        ] satisfies { name: HandleName; label: string; at: Vector }[])),
    { name: "breakover", label: `Breakover ${wording.cut(fromToe)} back`, at: lineAt },
    { name: "direction", label: `Breakover turned ${wording.angle(directionDeg)}`, at: lineEnd },
  ];
  const place = (name: HandleName, to: Vector, rest: boolean) => {
    const [x, y] = back(to);
    const from = handles.find((one) => one.name === name)?.at ?? [0, 0];
    const [dx, dy] = [x - from[0], y - from[1]];
    move((now) => {
      const set = now.setting;
      if (name === "set") return { setting: { ...set, back: within(half(set.back - dy), -10, 30) } };
      if (name === "turn")
        return {
          setting: {
            ...set,
            turn: within(half(degrees(Math.atan2(x, fit.toeY - foot.corY))), -15, 15),
          },
        };
      if (name === "medial")
        return { setting: { ...set, fullerMedial: within(half(set.fullerMedial - dx), -4, 12) } };
      if (name === "lateral")
        return { setting: { ...set, fullerLateral: within(half(set.fullerLateral + dx), -4, 12) } };
      if (name === "breakover")
        return {
          breakover: {
            ...now.breakover,
            fromToe: within(half(foot.knots.toe[1] - y), 0, 60),
            lens: undefined,
          },
        };
      return {
        breakover: { ...now.breakover, direction: within(half(directionOf(lineAt, [x, y])), -40, 40) },
      };
    }, rest);
  };
  return (
    <MarkHandles
      frame={frame}
      radius={3.2}
      step={0.5}
      selected={selected}
      handles={handles.map((one) => ({ ...one, at: at(one.at), known: true }))}
      onSelect={setSelected}
      onMove={(name, to) => place(name, to, false)}
      onDrop={(name, to) => place(name, to, true)}
    />
  );
}
