import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { stockInWords, stockOfFit } from "~core/forge/fitStock";
import type { Shoeing } from "./useShoe";

/** How much steel this shoe wants, by the trade's rule and by its own outline, and where its mark goes. */
export function StockPanel({ shoeing }: { shoeing: Shoeing }) {
  const wording = useWording();
  const stock = stockOfFit(shoeing.bench.fit);
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
    </section>
  );
}
