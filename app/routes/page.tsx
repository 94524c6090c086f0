import { Outlet } from "react-router";
import { RouteTrouble } from "~app/ui/RouteTrouble";

/** Every page inside the frame: where one fails, the frame stays. */
export default Outlet;

export function ErrorBoundary() {
  return (
    <div className="page">
      <RouteTrouble />
    </div>
  );
}
