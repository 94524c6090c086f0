import { useMemo } from "react";
import { FoundOutline } from "~app/drawing/FoundOutline";
import { ShoeOverlay } from "~app/drawing/ShoeOverlay";
import { SoleView } from "~app/drawing/SoleView";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { foundBench, foundRows, NOT_NOTED } from "~core/visit/foundBench";
import type { ShoeViewProps } from "./shoeView";

/** The shoe as found and the one chosen now, both drawn on one foot, and what changes between them. */
export function FoundBeside({ context, shoeing }: Pick<ShoeViewProps, "context" | "shoeing">) {
  const wording = useWording();
  const { limb, feet, file } = context;
  const { shoe, bench } = shoeing;
  const foot = feet[limb];
  const found = useMemo(() => foundBench(shoe, foot, file.horse.massKg), [shoe, foot, file.horse.massKg]);
  const { drawn, marks, measured, foot: shod } = shoe.toShoe;
  return (
    <section className="found-beside" aria-label="As found and as chosen">
      <h2>{found ? "As found, and as chosen" : "As chosen"}</h2>
      <div className="found-columns">
        <SoleView
          foot={drawn}
          marks={marks}
          corY={shod.corY}
          halves={bench.fit}
          wording={wording}
          guess={!measured}
          title={`The shoe as found and as chosen, ${wording.limb(limb)}, from below`}
          overlay={(geometry) => (
            <>
              <ShoeOverlay geometry={geometry} fit={bench.fit} />
              {found && found.spec.type !== "bare" && (
                <FoundOutline geometry={geometry} fit={found.fit} guess={!found.noted.has("length")} />
              )}
            </>
          )}
        />
        {found && (
          <table className="found-table">
            <thead>
              <tr>
                <th />
                <th scope="col">
                  <span className="brass">{found.from === "found" ? "found" : "last visit"}</span>
                </th>
                <th scope="col">chosen</th>
              </tr>
            </thead>
            <tbody>
              {foundRows(found, bench, wording).map(({ name, was, now, changed }) => (
                <tr key={name} data-changed={changed}>
                  <th scope="row">{name}</th>
                  <td className={was === NOT_NOTED ? "quiet" : undefined}>
                    <Fractions text={was} />
                  </td>
                  <td>
                    <Fractions text={now} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </div>
      <p className="pictures-key quiet">
        {found
          ? `dashed: the shoe that came off, on the foot as it came${found.noted.has("length") ? "" : ", its size a guess"} · filled: the one chosen, on the foot after its trim`
          : "no shoe was noted before this one"}
      </p>
    </section>
  );
}
