import { facesFor } from "~app/data/faces";
import { detailOf } from "~app/data/trouble";
import { Button, Segmented } from "antd";
import { useState } from "react";
import { download } from "~app/data/files";
import { longDay } from "~app/ui/days";
import { useWording } from "~app/ui/useWording";
import { SIDES } from "~core/foot/limb";
import { jobPattern } from "~core/forge/anvil/job";
import { patternDxf } from "~core/forge/pattern/dxf";
import { patternPdf, SHEETS, tilesOf, type Sheet } from "~core/forge/pattern/pdf";
import { patternSvg } from "~core/forge/pattern/svg";
import { sentenceCase } from "~core/foot/wording";
import type { ForgeContext } from "./forgeContext";
import { ShoeDrawing } from "./ShoeDrawing";

/** The pattern at true size, to sight by at the anvil or to cut from. */
export function PatternView({ job, today }: ForgeContext) {
  const wording = useWording();
  const [sheet, setSheet] = useState<Sheet>("A4");
  const [trouble, setTrouble] = useState<string>();
  const day = `${longDay(today)} ${today.slice(0, 4)}`;
  const pattern = jobPattern(job, day, wording);
  const { columns, rows } = tilesOf(pattern, sheet);
  const sheets = columns * rows;
  const name = `${job.name} ${today}`.replace(/[^\p{L}\p{N}]+/gu, "-");
  const print = async () => {
    setTrouble(undefined);
    try {
      const faces = await facesFor(pattern.label.join(" "));
      download(`${name}.pdf`, "application/pdf", await patternPdf(pattern, sheet, faces));
    } catch (error) {
      setTrouble(`The PDF could not be made: ${detailOf(error)} Take the SVG.`);
    }
  };
  return (
    <div className="forge-pattern">
      <section className="sheet pattern-sheet" aria-label="Pattern">
        <ShoeDrawing
          pattern={pattern}
          title={`Pattern of ${job.name}, from below`}
          sides={SIDES.map((side) => sentenceCase(wording.side(side))) as [string, string]}
        />
        <p className="quiet">{[job.name, day].join(" · ")}</p>
      </section>
      <section className="pattern-ways" aria-label="Take it to the anvil">
        <h2>Print at true size</h2>
        {!job.drawn && (
          <p>
            The shape is a sound foot’s, stretched to your two measures: an estimate. Sight it against the
            foot before you cut steel to it.
          </p>
        )}
        <Segmented
          aria-label="Paper"
          options={Object.keys(SHEETS) as Sheet[]}
          value={sheet}
          onChange={setSheet}
          size="large"
        />
        <p className="quiet">
          {sheets === 1 ? "One sheet." : `${sheets} sheets, ${rows} by ${columns}: lap them, cross on cross.`}{" "}
          Print at 100 %, never fitted to the page, and measure the 100 mm before you trust it.
        </p>
        <Button type="primary" size="large" onClick={() => void print()}>
          PDF, {sheet}
        </Button>
        {trouble && (
          <p className="ember" role="alert">
            {trouble}
          </p>
        )}
        <h2>For a cutter, or another drawing</h2>
        <div className="trim-actions">
          <Button size="large" onClick={() => download(`${name}.svg`, "image/svg+xml", patternSvg(pattern))}>
            SVG
          </Button>
          <Button size="large" onClick={() => download(`${name}.dxf`, "image/vnd.dxf", patternDxf(pattern))}>
            DXF
          </Button>
        </div>
        <p className="quiet">
          Millimetres, 1:1. DXF release 12 with the layers OUTER, INNER, CREASE, NAILS and MARKS; tell the
          cutter that its unit is the millimetre.
        </p>
      </section>
    </div>
  );
}
