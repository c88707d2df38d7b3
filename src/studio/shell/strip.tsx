import type { ReactNode } from "react";
import { Link, NavLink } from "react-router";
import type { View } from "./views.ts";

interface Props {
  /** Views to switch to, if a shop is open. */
  views?: View[];
  /** The content at the right. */
  children?: ReactNode;
}

/** The bar at the top of every view. */
export function Strip({ views = [], children }: Props) {
  return (
    <header className="dark-ground flex h-11 flex-none items-center gap-5 bg-primary px-3.5 text-primary-content">
      <Link to="/" className="font-display text-[17px] font-bold tracking-tight">
        Zany <span className="text-accent">Trellis</span>
      </Link>
      <nav aria-label="Views" className="flex gap-1">
        {views.map(({ to, label, exact }) => (
          <NavLink
            key={to}
            to={to}
            end={exact === true}
            className={({ isActive }) =>
              `rounded-lg px-3 py-1.5 font-medium ${isActive ? "bg-white/15" : "text-white/80 hover:text-white"}`
            }
          >
            {label}
          </NavLink>
        ))}
      </nav>
      <div className="ms-auto flex items-center gap-3">{children}</div>
    </header>
  );
}
