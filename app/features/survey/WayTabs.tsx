import { useSearchParams } from "react-router";
import { ViewTabs } from "~app/ui/ViewTabs";

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
    <ViewTabs
      label="How to measure"
      views={WAYS}
      view={way}
      onShow={(next) =>
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
