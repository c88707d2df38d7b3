import type { ReactNode } from "react";
import { Link, NavLink } from "react-router";

interface Props {
  /** Views to go to, when a shop is open. */
  views?: { to: string; label: string }[];
  /** What stands at the right. */
  children?: ReactNode;
}

/** The strip at the top of every view. */
export function Strip({ views = [], children }: Props) {
  return (
    <header className="dark-ground flex h-11 flex-none items-center gap-5 bg-primary px-3.5 text-primary-content">
      <Link to="/" className="font-display text-[17px] font-bold tracking-tight">
        Zany <span className="text-accent">Trellis</span>
      </Link>
      <nav aria-label="Views" className="flex gap-1">
        {views.map(({ to, label }) => (
          <NavLink
            key={to}
            to={to}
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
