import { Link } from "react-router";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { stockInWords } from "~core/forge/fitStock";
import { jobStock } from "~core/forge/anvil/job";
import type { ShoeViewProps } from "./shoeView";

/** How much steel this shoe wants, by the trade's rule and by its own outline, and where its mark goes. */
export function StockPanel({ context, shoeing }: ShoeViewProps) {
  const wording = useWording();
  const settings = useSettings();
  const { spec, fit } = shoeing.bench;
  const { stock, hand } = jobStock({ spec, fit }, settings, context.file.forged, wording);
  return (
    <section className="nail-panel" aria-label="Stock">
      <h2>Steel to cut</h2>
      {stock.ok ? (
        stockInWords(stock.value, wording).map((line) => (
          <p key={line}>
            <Fractions text={line} />
          </p>
        ))
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
