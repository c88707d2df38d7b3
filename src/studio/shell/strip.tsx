import { CircleQuestionMark } from "lucide-react";
import type { ReactNode } from "react";
import { Link, NavLink } from "react-router";
import { Help } from "./help.tsx";
import { openHelp } from "./keys.ts";
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
    <>
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
        <div className="ms-auto flex items-center gap-3">
          {children}
          <button
            type="button"
            className="grid size-8 place-items-center rounded-lg hover:bg-white/15"
            aria-label="Help"
            title="Help (?)"
            onClick={openHelp}
          >
            <CircleQuestionMark size={17} aria-hidden />
          </button>
        </div>
      </header>
      <Help />
    </>
  );
}
