import { Outlet, useOutletContext } from "react-router";
import { Frame } from "~app/ui/Frame";

export default function FrameRoute() {
  const context = useOutletContext<{ find: () => void }>();
  return (
    <Frame onFind={context.find}>
      <Outlet />
    </Frame>
  );
}
