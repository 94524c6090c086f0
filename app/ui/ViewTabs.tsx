import { Segmented } from "antd";
import { memo, useEffect, useRef } from "react";

interface ViewTabsProps<View extends string> {
  label: string;
  /** The views by the name that the address gives them, each with its words; the same object every time. */
  views: Readonly<Record<View, string>>;
  view: View;
  onShow: (view: View) => void;
  /** Small beside a picture; the tabs of a stage are as high as a thumb. */
  small?: boolean;
}

/** One of a few views of the same thing. Drawn anew only for another view: it stands beside what is dragged. */
export const ViewTabs = memo(function ViewTabs<View extends string>({
  label,
  views,
  view,
  onShow,
  small = false,
}: ViewTabsProps<View>) {
  const strip = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // On a phone the strip may be longer than the screen. Only the strip is pushed along, never the page.
    const chosen = strip.current?.querySelector<HTMLElement>(".ant-segmented-item-selected");
    if (strip.current && chosen)
      strip.current.scrollLeft = chosen.offsetLeft - (strip.current.clientWidth - chosen.offsetWidth) / 2;
  }, [view]);
  return (
    <Segmented
      ref={strip}
      {...(small ? { size: "small" as const } : { className: "way-tabs" })}
      aria-label={label}
      options={Object.entries(views).map(([value, words]) => ({
        value: value as View,
        label: words as string,
      }))}
      value={view}
      onChange={onShow}
    />
  );
}) as <View extends string>(props: ViewTabsProps<View>) => React.ReactElement;
