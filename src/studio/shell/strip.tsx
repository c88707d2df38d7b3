import { ChevronDown, CircleQuestionMark } from "lucide-react";
import type { ReactNode } from "react";
import { Link, NavLink, useLocation } from "react-router";
import { Help } from "./help.tsx";
import { openHelp } from "./keys.ts";
import { Popover } from "./popover.tsx";
import type { View } from "./views.ts";

interface Props {
  /** Views to switch to, if a shop is open. */
  views?: View[];
  /** The content at the right. */
  children?: ReactNode;
}

/** Below this width the views are a menu. */
const tooNarrow = "max-[1180px]:hidden";

/** The views as a menu that says which one is open. */
function ViewMenu({ views }: { views: readonly View[] }) {
  const { pathname } = useLocation();
  const open = views.findLast(({ to, exact }) => (exact ? pathname === to : pathname.startsWith(to)));
  return (
    <Popover
      label="Views"
      className="w-52 p-1.5 text-base-content"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          aria-label={`Views: ${open?.label ?? "none open"}`}
          className="flex min-w-0 items-center gap-1.5 rounded-lg bg-white/15 px-3 py-1.5 font-medium min-[1180px]:hidden"
        >
          <span className="truncate">{open?.label ?? "Views"}</span> <ChevronDown size={14} aria-hidden />
        </button>
      )}
    >
      {(close) =>
        views.map(({ to, label, exact }) => (
          <NavLink
            key={to}
            to={to}
            end={exact === true}
            onClick={close}
            className={({ isActive }) => `block rounded-lg px-3 py-2 ${isActive ? "bg-plum-soft" : "hover:bg-sand"}`}
          >
            {label}
          </NavLink>
        ))
      }
    </Popover>
  );
}

/** The bar at the top of every view. */
export function Strip({ views = [], children }: Props) {
  return (
    <>
      <header className="dark-ground flex h-11 flex-none items-center gap-5 bg-primary px-3.5 text-primary-content max-sm:gap-2 max-sm:px-2">
        <Link to="/" className="font-display text-[17px] font-bold tracking-tight whitespace-nowrap">
          Zany <span className="text-accent max-sm:sr-only">Trellis</span>
        </Link>
        {views.length > 0 ? <ViewMenu views={views} /> : null}
        <nav aria-label="Views" className={`flex gap-1 ${tooNarrow}`}>
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
        <div className="ms-auto flex items-center gap-3 max-sm:gap-1">
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
