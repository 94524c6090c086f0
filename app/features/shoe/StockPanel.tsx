import { Link } from "react-router";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { stockInWords } from "~core/forge/fitStock";
import { jobStock } from "~core/forge/anvil/job";
import { TypedField } from "~app/ui/TypedField";
import { cutInField } from "~app/stage/cutText";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import { shoeSchema } from "~core/shoe/shoeRecord";
import { askedOf } from "~core/visit/footJob";
import type { ShoeViewProps } from "./shoeView";

/** How much steel this shoe wants, by the trade's rule and by its own outline, and where its mark goes. */
export function StockPanel({ context, shoeing }: ShoeViewProps) {
  const wording = useWording();
  const settings = useSettings();
  const { spec, fit } = shoeing.bench;
  const asked = askedOf(shoeing.record, fit);
  const { stock, hand } = jobStock(
    { spec, fit, ...(asked && { asked }) },
    settings,
    context.file.forged,
    wording,
  );
  const drawn = { widthMm: fit.width, lengthMm: fit.toeY - Math.min(fit.endY.medial, fit.endY.lateral) };
  const measure = (name: "widthMm" | "lengthMm", label: string) => (
    <TypedField
      key={`${context.limb} ${name}`}
      label={label}
      unit={wording.unit}
      placeholder={cutInField(drawn[name], wording)}
      draftKey={`${context.visit.id}.${context.limb}.shoe.measured.${name}`}
      stored={shoeing.record?.measured?.[name]}
      show={(mm) => (mm === undefined ? "" : cutInField(mm, wording))}
      read={(text): Result<number | undefined> => {
        if (text.trim() === "") return ok(undefined);
        const read = parseLength(text, wording.unit);
        if (!read.ok) return read;
        const checked = shoeSchema.shape.measured.safeParse({ [name]: read.value });
        return checked.success
          ? read
          : fail("out-of-range", name, checked.error.issues[0]?.message ?? "", read.value);
      }}
      edit={(_, mm) => [
        shoeing.editAt(["measured"], { ...shoeing.record?.measured, [name]: mm }, "measured at the horse"),
      ]}
    />
  );
  return (
    <section className="nail-panel" aria-label="Stock">
      <h2>Steel to cut</h2>
      <div className="stock-measured">
        {measure("widthMm", "Measured at the horse, width")}
        {measure("lengthMm", "Measured at the horse, length")}
      </div>
      {stock.ok ? (
        <div data-worked-out>
          {stockInWords(stock.value, wording).map((line) => (
            <p key={line}>
              <Fractions text={line} />
            </p>
          ))}
        </div>
      ) : (
        <p className="ember">{stock.issues[0]?.message}</p>
      )}
      {hand.shoes > 0 && (
        <p className="quiet">With what your own hand takes, from {hand.shoes} like it in your log.</p>
      )}
      {stock.ok && (
        <p>
          <Link className="link" to={`/forge/${context.visit.id}/${context.limb}`}>
            To the forge: marks, pattern, heats
          </Link>
        </p>
      )}
    </section>
  );
}
