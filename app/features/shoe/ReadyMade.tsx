import { ShoeOverlay } from "~app/drawing/ShoeOverlay";
import { SoleView } from "~app/drawing/SoleView";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { isFore } from "~core/foot/limb";
import { nailsCsv, readNailsCsv, readSizesCsv, sizesCsv } from "~core/record/sizesCsv";
import { EXAMPLE_NAILS } from "~core/shoe/nails";
import { heatsForAlterations } from "~core/forge/heats/alterations";
import { chooseSizes, EXAMPLE_SIZES, reshapingInWords, wantedOf, type ShoeSize } from "~core/shoe/sizes";
import { clipsInWords } from "~core/shoe/specWords";
import type { Wording } from "~core/foot/wording";
import { OwnTable } from "./OwnTable";
import type { ShoeViewProps } from "./shoeView";
import { counted } from "~core/units/counted";

/** What else the table says of a shoe. */
function madeAs(
  { toe, toeEdge, clips, crease, material, profile, grams }: ShoeSize,
  wording: Wording,
): string {
  const parts = [
    crease,
    profile === "concave" ? "concave" : undefined,
    material === "aluminium" ? "light metal" : undefined,
    toe && toe !== "round" ? `toe ${toe}` : undefined,
    toeEdge && toeEdge !== "plain" ? `${toeEdge} toe` : undefined,
    clips && (clipsInWords(clips) || "no clips"),
    grams === undefined ? undefined : `${grams} g`,
  ].filter((part) => part !== undefined);
  return parts.length > 0 ? wording.inOwnWords(`; ${parts.join(", ")}`) : "";
}

/** The three shoes of the table that want least reshaping for this foot, and the table itself. */
export function ReadyMade({ context, shoeing }: ShoeViewProps) {
  const { file, limb } = context;
  const wording = useWording();
  const own = file.sizes.length > 0;
  const table = own ? file.sizes : EXAMPLE_SIZES;
  const { fit, spec } = shoeing.bench;
  const wanted = wantedOf(fit, isFore(limb));
  const best = spec.type === "bare" ? [] : chooseSizes(table, wanted);
  const { drawn, marks, measured, foot } = shoeing.shoe.toShoe;
  return (
    <div className="ready-made">
      <aside className="ready-drawing sheet" aria-label="The shoe that is wanted">
        <SoleView
          foot={drawn}
          marks={marks}
          corY={foot.corY}
          halves={fit}
          wording={wording}
          guess={!measured}
          title={`The shoe that is wanted, ${wording.limb(limb)}, from below`}
          overlay={(geometry) => <ShoeOverlay geometry={geometry} fit={fit} />}
        />
      </aside>
      <section aria-label="Best of the table">
        <h2>
          {spec.type === "bare" ? "Bare: no shoe is wanted" : "Least reshaping for this foot"}
          <span className="quiet">
            {" "}
            · {own ? `your table, ${file.sizes.length} sizes` : "the neutral example table"}
          </span>
        </h2>
        {spec.type !== "bare" && (
          <p className="quiet">
            Wanted:{" "}
            <Fractions
              text={`${wording.length(wanted.width)} wide, ${wording.length(Math.max(wanted.medial, wanted.lateral))} long, ${wording.length(wanted.straight)} of steel`}
            />
            .
          </p>
        )}
        <ol className="size-list">
          {best.map((choice) => {
            const { size } = choice;
            const words = reshapingInWords(choice, spec, wording);
            const heats = heatsForAlterations(choice.alterations, spec, wording);
            return (
              <li key={size.name} className="size">
                <b>{size.name}</b>
                <span className="quiet">
                  <Fractions
                    text={`${wording.length(size.width)} wide, ${wording.length(size.length)} long, ${wording.cut(size.sectionWidth)} × ${wording.cut(size.sectionThickness)}, ${size.pattern} heads${madeAs(size, wording)}`}
                  />
                </span>
                <span>
                  {words.length === 0 ? "Goes on as it is." : <Fractions text={`${words.join("; ")}.`} />}
                  {heats > 0 && <span className="quiet"> {counted(heats, "heat")}.</span>}
                </span>
              </li>
            );
          })}
          {spec.type !== "bare" && best.length === 0 && (
            <li className="quiet">No size of the table is for this end of the horse.</li>
          )}
        </ol>
      </section>
      <OwnTable
        name="sizes"
        title="Your table of sizes"
        columns="name, feet (fore, hind or either), width, length, straight, web, thickness, heads (slim, square or heavy); if you like: web inside, web outside, toe, toe edge, clips (toe + side medial), nail holes, metal, section, holes (coarse or fine), grams; lengths in mm"
        table="sizes"
        rows={file.sizes}
        read={readSizesCsv}
        csv={() => sizesCsv(table)}
      />
      <OwnTable
        name="nails"
        title="Your table of nails"
        columns="name, heads (slim, square or heavy), length in mm"
        table="nailSizes"
        rows={file.nailSizes}
        read={readNailsCsv}
        csv={() => nailsCsv(file.nailSizes.length > 0 ? file.nailSizes : EXAMPLE_NAILS)}
      />
    </div>
  );
}
