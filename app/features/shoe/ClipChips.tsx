import { Chip } from "~app/ui/Chip";
import { useWording } from "~app/ui/useWording";
import { CLIP_PLACES } from "~core/shoe/specification";
import type { Shoeing } from "~app/stage/useShoe";

/** Clips by their place, each by itself. */
export function ClipChips({ label, shoeing }: { label: string; shoeing: Shoeing }) {
  const wording = useWording();
  const { spec, put } = shoeing;
  return (
    <div className="spec-chips" role="group" aria-label={label}>
      <span>{label}</span>
      {CLIP_PLACES.map((place) => {
        const on = spec.clips.includes(place);
        return (
          <Chip
            key={place}
            on={on}
            onClick={() =>
              put({ clips: CLIP_PLACES.filter((one) => (one === place ? !on : spec.clips.includes(one))) })
            }
          >
            {wording.inOwnWords(place)}
          </Chip>
        );
      })}
    </div>
  );
}
