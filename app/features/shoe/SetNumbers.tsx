import { LessMore } from "~app/ui/LessMore";
import { TextButton } from "~app/ui/TextButton";
import { Fractions } from "~app/ui/Fractions";
import { useWording } from "~app/ui/useWording";
import type { ShoeRecord } from "~core/shoe/shoeRecord";
import { NO_CHOICE } from "~core/visit/visitShoe";
import { sameValue } from "~core/record/edit";
import type { Shoeing } from "~app/stage/useShoe";

type Key = keyof ShoeRecord["setting"];
const NAMES: Record<Key, string> = {
  back: "Shoe set back",
  turn: "Turned by hand, to lateral",
  fullerMedial: "Fuller, medial side",
  fullerLateral: "Fuller, lateral side",
};
const MOST: Record<Key, readonly [number, number]> = {
  back: [-10, 30],
  turn: [-15, 15],
  fullerMedial: [-4, 12],
  fullerLateral: [-4, 12],
};

/** How the shoe is set by hand, in steps of half a millimetre or half a degree: the same as the handles. */
export function SetNumbers({ shoeing }: { shoeing: Shoeing }) {
  const wording = useWording();
  const { draft, change } = shoeing;
  const step = (key: Key, by: number) =>
    change((now) => ({
      setting: {
        ...now.setting,
        [key]: Math.max(MOST[key][0], Math.min(MOST[key][1], now.setting[key] + by)),
      },
    }));
  return (
    <div className="set-numbers" role="group" aria-label="How the shoe is set">
      {(Object.keys(NAMES) as Key[]).map((key) => {
        const value = draft.setting[key];
        const name = wording.inOwnWords(NAMES[key]);
        const shown =
          key === "turn" ? wording.angle(value) : value < 0 ? `−${wording.cut(-value)}` : wording.cut(value);
        return (
          <div key={key} className="set-number">
            <span>{name}</span>
            <LessMore
              less={`${name}: less`}
              more={`${name}: more`}
              onStep={(direction) => step(key, direction * 0.5)}
            >
              <b className="set-value">
                <Fractions text={shown} />
              </b>
            </LessMore>
          </div>
        );
      })}
      {!sameValue(draft.setting, NO_CHOICE.setting) && (
        <TextButton onClick={() => change(() => ({ setting: NO_CHOICE.setting }))}>
          Straight under the foot again
        </TextButton>
      )}
    </div>
  );
}
