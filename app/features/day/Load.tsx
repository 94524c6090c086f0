import { useEffect, useState } from "react";
import { Fractions } from "~app/ui/Fractions";
import { useSettings, useWording } from "~app/ui/useWording";
import { loadInWorker } from "~app/workers/forge";
import type { PlannedHorse } from "~core/visit/comingShoes";
import type { Forged } from "~core/forge/forgeRecord";
import type { NailRow } from "~core/shoe/shoeRecord";
import type { LoadList } from "~core/rounds/loadList";

interface LoadProps {
  horses: PlannedHorse[];
  log: Forged[];
  nails: NailRow[];
}

/** What goes into the van: worked out in a worker from the shoes they wear. */
export function Load({ horses, log, nails }: LoadProps) {
  const settings = useSettings();
  const wording = useWording();
  const [found, setFound] = useState<LoadList>();
  useEffect(() => {
    const work = loadInWorker(horses, settings, log, nails);
    void work.answer.then(setFound);
    return work.cancel;
  }, [horses, settings, log, nails]);
  return (
    <section className="day-load" aria-label="What to load">
      <h2>What to load</h2>
      {!found && <p className="quiet">Looking at what they wear.</p>}
      {found && found.shoes.length === 0 && <p>Rasps and nippers only: nobody is shod today.</p>}
      {found && found.shoes.length > 0 && (
        <>
          <ul>
            {found.shoes.map(({ words, end, horses: names, lengths }) => (
              <li key={end + words}>
                <span className="load-count">{lengths.length}</span>
                <span>
                  <span className="strong">{end}</span>: <Fractions text={words} />
                  <span className="quiet load-names">
                    {names.join(", ")} · steel{" "}
                    <Fractions text={lengths.map((length) => wording.length(length)).join(", ")} />
                  </span>
                </span>
              </li>
            ))}
          </ul>
          <ul>
            {found.nails.map(({ pattern, size, count, withSpares }) => (
              <li key={pattern + (size?.name ?? "")}>
                <span className="load-count">{withSpares}</span>
                <span>
                  <span className="strong">
                    {size ? `nails, ${size.name}` : `nails, ${pattern} heads, longer than your table has`}
                  </span>
                  <span className="quiet load-names">
                    {size && (
                      <>
                        <Fractions text={wording.length(size.lengthMm)} /> ·{" "}
                      </>
                    )}
                    {count} and {withSpares - count} spare
                  </span>
                </span>
              </li>
            ))}
            {found.pads.map(({ pad, count }) => (
              <li key={pad}>
                <span className="load-count">{count}</span>
                <span className="strong">{pad} pads</span>
              </li>
            ))}
            {found.packings.map(({ packing, count }) => (
              <li key={packing}>
                <span className="load-count">{count}</span>
                <span className="strong">
                  {packing === "soft" ? "soft packing, feet" : "setting compound, feet"}
                </span>
              </li>
            ))}
            {found.studs.map(({ words, count }) => (
              <li key={words}>
                <span className="load-count">{count}</span>
                <span className="strong">{words}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      {found && found.unknown.length > 0 && (
        <p className="quiet">
          What they wear was not noted, ordinary shoes are taken: {found.unknown.join(", ")}.
        </p>
      )}
    </section>
  );
}
