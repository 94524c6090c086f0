import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import { atTheCorner, type Lens } from "~core/photo/lens";
import { HAND_SD_MM, type PhotoReading } from "~core/photo/fill";
import type { CameraPlace } from "~core/photo/pose";

const TRUST_CLASS = { square: "quiet", slanted: "brass strong", weak: "ember strong" } as const;

/** How far a picture can be trusted: its slant, what its corners leave over, and whether its lens is known. */
export function PhotoTrust({
  photo,
  size,
  lens,
}: {
  photo: PhotoReading["photo"];
  size: { width: number; height: number };
  lens: Lens | undefined;
}) {
  const wording = useWording();
  const slant = wording.angle(photo.slantDeg ?? 0);
  const words = {
    square: `Square enough: slant ${slant}.`,
    slanted: `Slanted by ${slant}: readings carry their error.`,
    weak: `Slanted by ${slant}: weak. Take another picture, squarer and from further away.`,
  };
  return (
    <section className="photo-trust" aria-label="How far this picture can be trusted">
      {photo.scale === "two-point" ? (
        <p className="brass strong">
          Scaled by two points: weak. Take one with the card for lengths that count.
        </p>
      ) : (
        <>
          <p className={TRUST_CLASS[photo.word]}>{words[photo.word]}</p>
          <p className="quiet">
            Residual {(photo.residualMm ?? 0).toFixed(2)} mm.{" "}
            {photo.camera
              ? `Marks off the card’s plane are moved to where they are (${LENS_FROM[photo.camera.focalFrom]}).`
              : "The lens is not known: marks off the card’s plane carry their whole error."}{" "}
            {lens &&
              `The lens bends the corners by ${atTheCorner(size, lens.bend).toFixed(0)} ± ${atTheCorner(size, lens.sd).toFixed(0)} px: taken out.`}
          </p>
        </>
      )}
    </section>
  );
}

const LENS_FROM: Record<CameraPlace["focalFrom"], string> = {
  "picture data": "lens from the picture data",
  card: "lens from the card",
  "usual camera": "lens guessed as such a camera’s usually is",
};

/** What a picture says, each number with its band. */
export function PhotoNumbers({ numbers }: Pick<PhotoReading, "numbers">) {
  const wording = useWording();
  if (numbers.length === 0) return null;
  const show = (value: number, unit: "°" | "mm", fine: boolean) => {
    if (unit === "°") return wording.angle(value);
    return fine && value < 9.95 && wording.unit === "mm" ? `${value.toFixed(1)} mm` : wording.length(value);
  };
  return (
    <>
      <table className="marking-numbers" aria-label="What the picture says">
        <tbody>
          {numbers.map(({ name, value, unit, band }) => (
            <tr key={name}>
              <th scope="row">{wording.inOwnWords(name)}</th>
              <td className="ledger-now">
                <Fractions text={show(value, unit, false)} />
              </td>
              <td className="quiet">
                ± <Fractions text={show(band, unit, true)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet photo-note">
        ± is the 95 % band of {HAND_SD_MM} mm of hand on every mark, and of depths that are not sure.
      </p>
    </>
  );
}
