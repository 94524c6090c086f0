import { Fractions } from "~app/ui/Fractions";
import { TypedField } from "~app/ui/TypedField";
import { useWording } from "~app/ui/useWording";
import { jobMisses } from "~core/forge/anvil/job";
import { forgingSchema } from "~core/forge/forgeRecord";
import {
  clipsOpen,
  handByPlaceInWords,
  MADE_NAMES,
  MADE_PLACES,
  madeAgainst,
  madePlaces,
} from "~core/forge/madeShoe";
import { lengthInField } from "~core/foot/wording";
import { fail, ok, type Result } from "~core/result";
import { parseLength } from "~core/units/length";
import type { ForgeContext } from "./forgeContext";
import { counted } from "~core/units/counted";

/** The made shoe against its marks: five lengths from its centre, what is out, and where to open or close it. */
export function MadeShoe({ job, anvil, forged }: ForgeContext) {
  const wording = useWording();
  const made = anvil.forging.made ?? {};
  const { wanted } = madePlaces(job.fit);
  const rows = madeAgainst(job.fit, made, wording);
  const out = rows.filter(({ ok: on }) => !on);
  const clips = clipsOpen(job.fit, wording);
  const misses = handByPlaceInWords(jobMisses(job, forged), wording);
  const show = (mm: number) => lengthInField(mm, { ...wording, fraction: 32 }, mm % 1 === 0 ? 0 : 1);
  return (
    <section className="made-shoe" aria-label="The made shoe against its marks">
      <h2 data-worked-out>
        {rows.length === 0
          ? "Does the made shoe fit its marks?"
          : out.length === 0
            ? "On its marks, as far as it was measured"
            : `${counted(out.length, "place is", "places are")} out`}
      </h2>
      <p className="quiet">
        Lay it on the pattern, or take dividers from the centre dot of the drawing straight across to the
        outer edge.
      </p>
      {misses.map((line) => (
        <p key={line} className="made-hand">
          {wording.inOwnWords(line)} <span className="quiet">From your log.</span>
        </p>
      ))}
      <div className="anvil-two">
        {MADE_PLACES.map((place) => (
          <TypedField
            key={place}
            label={wording.inOwnWords(MADE_NAMES[place])}
            unit={wording.unit}
            placeholder={show(Math.round(2 * wanted[place]) / 2)}
            draftKey={`forge/${anvil.forging.id}/made/${place}`}
            stored={made[place]}
            show={(mm) => (mm === undefined ? "" : show(mm))}
            read={(text): Result<number | undefined> => {
              if (text.trim() === "") return ok(undefined);
              const read = parseLength(text, wording.unit);
              if (!read.ok) return read;
              const checked = forgingSchema.shape.made.safeParse({ [place]: read.value });
              return checked.success
                ? read
                : fail("out-of-range", place, checked.error.issues[0]?.message ?? "", read.value);
            }}
            edit={(_, mm) => anvil.editAt(["made"], { ...made, [place]: mm }, "made shoe")}
          />
        ))}
      </div>
      <ul className="made-rows" data-worked-out>
        {rows.map(({ place, out: by, ok: on, mend }) => (
          <li key={place} data-ok={on}>
            <b>{wording.inOwnWords(MADE_NAMES[place])}</b>{" "}
            {on ? (
              "on its mark"
            ) : (
              <>
                {by > 0 ? "out by " : "short by "}
                <Fractions text={wording.cut(Math.abs(by))} />. <Fractions text={wording.inOwnWords(mend)} />
              </>
            )}
          </li>
        ))}
      </ul>
      {clips && (
        <p>
          <Fractions text={clips} />
        </p>
      )}
    </section>
  );
}
