import { Button } from "antd";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { differenceInWords } from "~core/forge/fitStock";
import type { Stock } from "~core/forge/stock";
import { formatLength, typesetFractions } from "~core/units/length";
import type { Wording } from "~core/foot/wording";
import { AnvilFields } from "./AnvilFields";
import type { ForgeContext } from "./forgeContext";
import { LogShoe } from "./LogShoe";
import { counted } from "~core/units/counted";

/** How much steel to cut, both ways, and where its mark goes: the first thing that is asked at the anvil. */
export function SteelView(context: ForgeContext) {
  const { job, steelOf, show } = context;
  const { stock, cut, hand } = steelOf;
  const wording = useWording();
  return (
    <div className={!job.drawn ? "forge-steel" : "forge-steel forge-steel-foot"}>
      {!job.drawn && <AnvilFields {...context} />}
      <section className="steel-answer sheet" aria-label="Steel to cut" data-worked-out>
        {stock.ok ? (
          <>
            <p className="steel-cut">
              <span>Cut</span>
              <b>
                <Fractions text={wording.length(cut)} />
              </b>
              <span className="quiet">
                <Fractions text={inTheOther(cut, wording)} />
              </span>
            </p>
            <p className="steel-mark">
              <Fractions
                text={wording.inOwnWords(
                  `Centre mark ${wording.cut(steelOf.mark.medial)} from the medial end, ${wording.cut(steelOf.mark.lateral)} from the lateral.`,
                )}
              />
            </p>
            <StockTable stock={stock.value} job={job} wording={wording} handShoes={hand.shoes} />
            <p className="quiet">
              <Fractions text={differenceInWords(stock.value, wording)} /> The longer of the two is cut, up to
              the next {wording.unit === "mm" ? "5 mm" : <Fractions text="1/8 in" />}.
            </p>
            <div className="trim-actions">
              <Button type="primary" size="large" onClick={() => show("marks")}>
                Mark the bar
              </Button>
              <Button size="large" onClick={() => show("pattern")}>
                Pattern
              </Button>
            </div>
          </>
        ) : (
          <p className="ember" role="alert">
            {stock.issues[0]?.message}
          </p>
        )}
      </section>
      {stock.ok && <LogShoe key={context.anvil.forging.id} {...context} />}
    </div>
  );
}

const inTheOther = (mm: number, { unit, fraction }: Wording): string =>
  typesetFractions(
    unit === "mm" ? `${formatLength(mm, "in", Math.max(16, fraction))}` : `${formatLength(mm, "mm")}`,
  );

/** Rule and outline as sums, part by part. */
function StockTable({
  stock,
  job,
  wording,
  handShoes,
}: {
  stock: Stock;
  job: ForgeContext["job"];
  wording: Wording;
  handShoes: number;
}) {
  const { rule, outline, shared } = stock;
  const cell = (mm: number | undefined) => (mm === undefined ? "" : <Fractions text={signed(mm, wording)} />);
  const rows: [name: string, rule: number | undefined, outline: number | undefined][] = [
    ["Width and length", rule.sum, undefined],
    ["Bend of the toe", rule.toeAllowance, undefined],
    [
      !job.drawn ? "Centre line, shape of a sound foot (estimate)" : "Centre line of this shoe",
      undefined,
      outline?.centreLine,
    ],
    ["Bump, swallowed at the toe", shared.bump, shared.bump],
    ["Crease stretches both branches", -shared.stretch, -shared.stretch],
    ["Extras, bar across the heels", shared.extras, shared.extras],
  ];
  return (
    <table className="stock-table">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Part</span>
          </th>
          <th scope="col">By rule</th>
          <th scope="col">By outline</th>
        </tr>
      </thead>
      <tbody>
        {rows
          .filter(([, a, b]) => (a ?? 0) !== 0 || (b ?? 0) !== 0)
          .map(([name, a, b]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td>{cell(a)}</td>
              <td>{cell(b)}</td>
            </tr>
          ))}
        <tr className="stock-total">
          <th scope="row">Together</th>
          <td>
            <Fractions text={wording.length(rule.total)} />
          </td>
          <td>
            <Fractions text={outline ? wording.length(outline.total) : "–"} />
          </td>
        </tr>
        {handShoes > 0 && (
          <tr>
            <th scope="row">Your own hand, from {counted(handShoes, "shoe")} like this</th>
            <td colSpan={2}>
              <Fractions text={signed(shared.hand, wording)} />
            </td>
          </tr>
        )}
      </tbody>
    </table>
  );
}

const signed = (mm: number, wording: Wording): string =>
  mm < 0 ? `−${wording.length(-mm)}` : wording.length(mm);
