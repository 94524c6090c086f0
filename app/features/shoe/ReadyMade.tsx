import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { isFore } from "~core/foot/limb";
import { nailsCsv, readNailsCsv, readSizesCsv, sizesCsv } from "~core/record/sizesCsv";
import { EXAMPLE_NAILS } from "~core/shoe/nails";
import { chooseSizes, EXAMPLE_SIZES, reshapingInWords, wantedOf } from "~core/shoe/sizes";
import { OwnTable } from "./OwnTable";
import type { ShoeViewProps } from "./shoeView";

/** The three shoes of the table that want least reshaping for this foot, and the table itself. */
export function ReadyMade({ context, shoeing }: ShoeViewProps) {
  const { file, limb } = context;
  const wording = useWording();
  const own = file.sizes.length > 0;
  const table = own ? file.sizes : EXAMPLE_SIZES;
  const { fit, spec } = shoeing.bench;
  const wanted = wantedOf(fit, isFore(limb));
  const best = spec.type === "bare" ? [] : chooseSizes(table, wanted);
  return (
    <div className="ready-made">
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
            return (
              <li key={size.name} className="size">
                <b>{size.name}</b>
                <span className="quiet">
                  <Fractions
                    text={`${wording.length(size.width)} wide, ${wording.length(size.length)} long, ${wording.cut(size.sectionWidth)} × ${wording.cut(size.sectionThickness)}, ${size.pattern} heads`}
                  />
                </span>
                <span>
                  {words.length === 0 ? "Goes on as it is." : <Fractions text={`${words.join("; ")}.`} />}
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
        columns="name, feet (fore, hind or either), width, length, straight, web, thickness, heads (slim, square or heavy); lengths in mm"
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
