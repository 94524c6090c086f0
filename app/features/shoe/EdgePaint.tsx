import { useState } from "react";
import { Choice } from "~app/stage/Choice";
import { SectorShoe } from "~app/stage/SectorShoe";
import type { Shoeing } from "~app/stage/useShoe";
import { useWording } from "~app/ui/useWording";
import { sentenceCase } from "~core/foot/wording";
import type { Limb } from "~core/foot/limb";
import { WEAR_SECTORS, type WearSector } from "~core/foot/wear";
import { EDGES, type Edge } from "~core/shoe/specification";
import { edgesInWords, sectorInWords } from "~core/shoe/specWords";

const BRUSHES = [...EDGES, "unloaded"] as const;
type Brush = (typeof BRUSHES)[number];

/** What is done to the edge at each place, and where the shoe leaves the wall alone: chosen, then tapped where. */
export function EdgePaint({ limb, shoeing }: { limb: Limb; shoeing: Shoeing }) {
  const wording = useWording();
  const { spec, put } = shoeing;
  const [brush, setBrush] = useState<Brush>("eased");
  const states = Object.fromEntries(
    WEAR_SECTORS.flatMap((sector) => {
      const said = [spec.edges[sector], spec.unloaded.includes(sector) ? "unloaded" : undefined].filter(
        Boolean,
      );
      return said.length > 0 ? [[sector, said.join(", ")]] : [];
    }),
  ) as Partial<Record<WearSector, string>>;
  const paint = (sector: WearSector) => {
    if (brush === "unloaded") {
      const on = spec.unloaded.includes(sector);
      put({ unloaded: WEAR_SECTORS.filter((one) => (one === sector ? !on : spec.unloaded.includes(one))) });
      return;
    }
    const { [sector]: was, ...rest } = spec.edges;
    put({ edges: was === brush ? rest : { ...rest, [sector]: brush satisfies Edge } });
  };
  const said = [
    edgesInWords(spec),
    spec.unloaded.length > 0 ? `unloaded at ${spec.unloaded.map(sectorInWords).join(" and ")}` : "",
  ].filter(Boolean);
  return (
    <div className="edge-paint">
      <SectorShoe
        limb={limb}
        states={states}
        classOf={(state) => (state.includes("unloaded") ? "edge-unloaded" : "edge-made")}
        title={`Edges of the shoe, ${wording.limb(limb)}`}
        none="as forged"
        onPaint={paint}
      />
      <div>
        <Choice
          label="What is done there"
          options={BRUSHES}
          value={brush}
          onChoose={(one) => one && setBrush(one)}
        />
        <p className="quiet">Choose what is done, then tap where; tap again to take it back.</p>
        {said.length > 0 && <p>{sentenceCase(wording.inOwnWords(said.join("; ")))}.</p>}
      </div>
    </div>
  );
}
