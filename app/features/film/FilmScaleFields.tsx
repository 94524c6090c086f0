import { Segmented } from "antd";
import { TypedField } from "~app/ui/TypedField";
import { useEdits } from "~app/ui/useEdits";
import { change } from "~core/record/change";
import type { Film, FilmScale } from "~core/radiograph/filmRecord";
import { fail, ok, type Result } from "~core/result";

const START: Record<FilmScale["kind"], FilmScale> = {
  marker: { kind: "marker", mm: 50 },
  spacing: { kind: "spacing", mmPerPx: 0.15, magnification: 1, from: "typed" },
};

const numberWithin =
  (low: number, high: number, message: string) =>
  (text: string): Result<number | undefined> => {
    const value = Number(text.replace(",", "."));
    return text.trim() !== "" && value >= low && value <= high ? ok(value) : fail("number", "scale", message);
  };

/** What gives the film its scale, and its numbers. */
export function FilmScaleFields({ film, says }: { film: Film; says: string | undefined }) {
  const { save } = useEdits();
  const { scale } = film;
  const label = "scale of a radiograph";
  const keep = (now: FilmScale) => change("films", film, ["scale"], now, label);
  return (
    <section className="film-scale" aria-label="Scale">
      <h2>Scale</h2>
      <Segmented
        aria-label="What gives the scale"
        value={scale?.kind ?? ""}
        options={[
          { value: "marker", label: "Marker" },
          { value: "spacing", label: "Detector’s pixels" },
        ]}
        onChange={(kind) => {
          if (kind !== scale?.kind) void save(keep(START[kind as FilmScale["kind"]]));
        }}
      />
      {scale?.kind === "marker" && (
        <TypedField
          label="Marker’s length"
          unit="mm"
          draftKey={`films/${film.id}/marker`}
          stored={scale.mm}
          show={String}
          read={numberWithin(1, 500, "1 to 500 mm: how long is what you mark the ends of?")}
          edit={(_was, mm) => keep({ ...scale, mm: mm ?? scale.mm })}
        />
      )}
      {scale?.kind === "spacing" && (
        <>
          <TypedField
            label="Pixel"
            unit="mm"
            draftKey={`films/${film.id}/pixel`}
            stored={scale.mmPerPx}
            show={(mm: number) => String(Math.round(mm * 1e5) / 1e5)}
            read={numberWithin(0.01, 5, "0.01 to 5 mm: as the detector’s data or the vet says.")}
            edit={(_was, mmPerPx) => keep({ ...scale, mmPerPx: mmPerPx ?? scale.mmPerPx, from: "typed" })}
          />
          <TypedField
            label="Enlarged by the beam"
            unit="times"
            draftKey={`films/${film.id}/magnification`}
            stored={scale.magnification}
            show={String}
            read={numberWithin(
              1,
              2,
              "1 to 2: distance of tube to detector over tube to foot, 1 where nobody knows.",
            )}
            edit={(_was, magnification) => keep({ ...scale, magnification: magnification ?? 1 })}
          />
        </>
      )}
      {says && <p className="quiet">{says}</p>}
    </section>
  );
}
