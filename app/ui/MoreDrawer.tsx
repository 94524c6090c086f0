import { Drawer } from "antd";
import { NavLink } from "react-router";
import type { Place } from "./places";

interface MoreDrawerProps {
  open: boolean;
  onClose: () => void;
  places: readonly Place[];
  children: React.ReactNode;
}

/** On a phone: the places that have no room in the bar, and what the rail says below them. */
export default function MoreDrawer({ open, onClose, places, children }: MoreDrawerProps) {
  return (
    <Drawer placement="bottom" size="default" open={open} onClose={onClose} title="More">
      <nav className="more-links" aria-label="More">
        {places.map(({ to, name }) => (
          <NavLink key={to} to={to} className="more-link" onClick={onClose}>
            {name}
          </NavLink>
        ))}
      </nav>
      <div className="more-foot">{children}</div>
    </Drawer>
  );
}
