import { Segmented } from "antd";
import { useSearchParams } from "react-router";

/** The ways to measure a foot; all of them fill the same reading. */
export const WAYS = {
  lane: "Fast lane",
  hand: "By hand",
  calliper: "Sole by calliper",
  marks: "Marks on the sole",
  map: "The map",
  walls: "Walls and depths",
  photo: "Photographs",
} as const;
export type Way = keyof typeof WAYS;

export const wayOf = (text: string | null): Way => (text !== null && text in WAYS ? (text as Way) : "lane");

/** Which way is being measured; it stays in the address. */
export function WayTabs({ way }: { way: Way }) {
  const [, setSearch] = useSearchParams();
  return (
    <Segmented
      className="way-tabs"
      aria-label="How to measure"
      options={Object.entries(WAYS).map(([value, label]) => ({ value: value as Way, label }))}
      value={way}
      onChange={(next) =>
        setSearch(
          (now) => {
            const search = new URLSearchParams(now);
            search.set("way", next);
            search.delete("photo");
            return search;
          },
          { replace: true, preventScrollReset: true },
        )
      }
    />
  );
}
