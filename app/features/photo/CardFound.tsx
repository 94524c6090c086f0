import { Button } from "antd";
import { useEffect, useState } from "react";
import { cardInPicture } from "~app/data/pictures";
import { useWording } from "~app/ui/useWording";
import { CARD } from "~core/photo/card";
import type { FoundCard } from "~core/photo/findCard";
import { rectifyCard } from "~core/photo/rectify";
import type { Result } from "~core/result";

/** The card as a kept picture shows it by itself; undefined while it is looked for, and where nobody wants it. */
export function useFoundCard(pictureId: string, wanted: boolean): Result<FoundCard> | undefined {
  const [looked, setLooked] = useState<{ id: string; found: Result<FoundCard> | undefined }>();
  const known = looked?.id === pictureId;
  useEffect(() => {
    if (!wanted || known) return undefined;
    let over = false;
    void cardInPicture(pictureId)
      .catch(() => undefined)
      .then((found) => {
        if (!over) setLooked({ id: pictureId, found });
      });
    return () => {
      over = true;
    };
  }, [pictureId, wanted, known]);
  return known && wanted ? looked.found : undefined;
}

interface CardFoundProps {
  found: Result<FoundCard>;
  onTake: (card: FoundCard) => void;
}

/** What was found of the card, how sure it is, and the one tap that takes it; nothing counts before that. */
export function CardFound({ found, onTake }: CardFoundProps) {
  const wording = useWording();
  if (!found.ok) return <p className="quiet">{found.issues[0]?.message}</p>;
  const { corners, sure, doubt, residualPx, hand } = found.value;
  const flat = rectifyCard({ width: CARD.sideMm, height: CARD.sideMm, corners });
  return (
    <div className="card-found" role="group" aria-label="The card found by itself">
      <p className={sure ? "strong" : "brass strong"}>
        {sure ? "The card was found." : `This may be the card. ${doubt ?? ""}`}
      </p>
      <p className="quiet">
        {flat.ok && `Slant ${wording.angle(flat.value.slantDeg)}, `}edges within {residualPx.toFixed(2)} px of
        a line. {hand === "not told" && "It does not tell whether the picture is mirrored. "}
        {!sure && "Look at its corners before you take it."}
      </p>
      <Button type="primary" onClick={() => onTake(found.value)}>
        {sure ? "Take its corners" : "Take them all the same"}
      </Button>
    </div>
  );
}
