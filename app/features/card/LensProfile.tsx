import { Button } from "antd";
import { useState } from "react";
import { cardInFile } from "~app/data/pictures";
import { TakeButton } from "~app/ui/TakeButton";
import { TextButton } from "~app/ui/TextButton";
import { useEdits } from "~app/ui/useEdits";
import { useSettings } from "~app/ui/useWording";
import { lensProfile, PROFILE_PICTURES, type Lens } from "~core/photo/lens";
import type { Result } from "~core/result";

/** How a bend is said: how far it moves the corner of a picture, as a part of the way from its middle. */
const percent = ({ bend, sd }: Lens): string =>
  `${(100 * bend).toFixed(1)} ± ${(100 * sd).toFixed(1)} % at the corners`;

/** The lens of this device's camera, from five pictures of the printed card; it goes with every picture taken after. */
export function LensProfile() {
  const settings = useSettings();
  const { save } = useEdits();
  const [busy, setBusy] = useState(false);
  const [found, setFound] = useState<Result<Lens>>();
  const kept = settings.cameraLens;
  const read = async (files: readonly File[]) => {
    setBusy(true);
    setFound(undefined);
    try {
      const each: Lens[] = [];
      for (const file of files) {
        const card = await cardInFile(file);
        if (card.ok && card.value.sure) each.push(card.value.lens);
      }
      setFound(lensProfile(each));
    } finally {
      setBusy(false);
    }
  };
  const keep = (lens: Lens | undefined) => {
    void save({
      table: "settings",
      id: "settings",
      path: ["cameraLens"],
      was: kept,
      now: lens,
      label: "the camera’s lens",
    });
    setFound(undefined);
  };
  return (
    <section className="card-lens" aria-label="Your camera’s lens">
      <h2>Your camera’s lens</h2>
      <p>
        Every lens bends straight lines a little. Take {PROFILE_PICTURES} pictures of the printed card with
        this device, large and each near another edge of the picture, without zooming between them. How its
        edges bend is then taken out of every picture.
      </p>
      {kept && (
        <p className="strong">
          Known: {percent(kept)}. <TextButton onClick={() => keep(undefined)}>Forget it</TextButton>
        </p>
      )}
      <p className="card-lens-acts">
        <TakeButton
          label={`Choose ${PROFILE_PICTURES} pictures of the card`}
          disabled={busy}
          beside
          onFiles={(files) => void read(files)}
        >
          Choose {PROFILE_PICTURES} pictures
        </TakeButton>
        {busy && <span role="status">Looking at them …</span>}
      </p>
      {found && !found.ok && (
        <p role="alert" className="ember">
          {found.issues[0]?.message}
        </p>
      )}
      {found?.ok && (
        <p role="status">
          It bends by {percent(found.value)}.{" "}
          <Button type="primary" onClick={() => keep(found.value)}>
            Keep this lens
          </Button>
        </p>
      )}
    </section>
  );
}
