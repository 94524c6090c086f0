import { Segmented } from "antd";
import { memo } from "react";

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
  return (
    <Segmented
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
