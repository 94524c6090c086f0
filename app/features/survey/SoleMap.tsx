import { Checkbox } from "antd";
import { useState } from "react";
import { pathThrough } from "~app/drawing/path";
import type { ViewGeometry } from "~app/drawing/viewGeometry";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import type { FootFacts } from "~core/foot/findings/facts";
import { MAP_LAYERS, soleMap, type MapLayer, type MapLine } from "~core/foot/survey/soleMap";
import { lengthInField, sentenceCase } from "~core/foot/wording";

const LAYERS = Object.keys(MAP_LAYERS) as MapLayer[];

/** The map of the sole: which layers are on, its lines, and how they are drawn. */
export function useSoleMap(facts: FootFacts) {
  const wording = useWording();
  const [on, setOn] = useState<readonly MapLayer[]>(LAYERS);
  const lines = soleMap(facts.survey, facts.marks, facts.outline?.soleEdge, wording);
  const shown = lines.filter(({ layer }) => on.includes(layer));
  return {
    lines,
    panel: <MapPanel lines={lines} on={on} onLayers={setOn} />,
    overlay: ({ at }: ViewGeometry) => (
      <g className="map-lines">
        {shown.map(({ id, layer, mm, draw }) => {
          const number = lines.findIndex((line) => line.id === id) + 1;
          const end = draw[0]?.at(-1);
          const [x, y] = end ? at(end) : [0, 0];
          return (
            <g key={id} className={`map-line map-${layer}`}>
              {draw.map((points, index) => (
                <path
                  key={index}
                  className={index > 0 && layer === "heels" ? "map-ought" : ""}
                  d={pathThrough(
                    points.map((point) => at(point)),
                    "straight",
                  )}
                />
              ))}
              {mm !== undefined && (
                <text className="small" x={x + 2} y={y + 2}>
                  {number}
                </text>
              )}
            </g>
          );
        })}
      </g>
    ),
  };
}

interface MapPanelProps {
  lines: readonly MapLine[];
  on: readonly MapLayer[];
  onLayers: (layers: readonly MapLayer[]) => void;
}

/** The same map in words: in the order of the marker, each with its number by the rule. */
function MapPanel({ lines, on, onLayers }: MapPanelProps) {
  const wording = useWording();
  if (lines.length === 0)
    return (
      <div className="bench-lane">
        <p>Nothing of the sole is measured yet: the calliper or the marks make the map.</p>
      </div>
    );
  return (
    <div className="bench-lane map-panel">
      <Checkbox.Group
        aria-label="Layers"
        options={LAYERS.map((value) => ({ value, label: MAP_LAYERS[value] }))}
        value={[...on]}
        onChange={(layers) => onLayers(layers)}
      />
      <p className="quiet">All from the back of the sulcus, along the midline, in {wording.unit}.</p>
      <ol className="map-list" aria-label="The map, by the rule">
        {lines.map(({ id, layer, name, mm, says }) => (
          <li key={id} data-off={!on.includes(layer)}>
            <span>{sentenceCase(wording.inOwnWords(name))}</span>
            <b>{mm === undefined ? "" : <Fractions text={lengthInField(Math.max(0, mm), wording)} />}</b>
            {says && (
              <span className="quiet map-says">
                <Fractions text={says} />
              </span>
            )}
          </li>
        ))}
      </ol>
    </div>
  );
}
