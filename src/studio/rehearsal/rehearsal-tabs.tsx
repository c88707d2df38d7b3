import { NavLink } from "react-router";

/** Switches between trial runs and the visits of real shoppers. */
export const RehearsalTabs = ({ shop }: { shop: string }) => (
  <nav aria-label="Rehearsal" className="flex flex-none gap-1 border-b border-hair px-4 pt-2">
    {[
      { to: `/shops/${shop}/rehearsal`, label: "Trial runs" },
      { to: `/shops/${shop}/rehearsal/visits`, label: "Visits" },
    ].map(({ to, label }) => (
      <NavLink
        key={to}
        to={to}
        end
        className={({ isActive }) =>
          `rounded-t-lg px-3 py-1.5 text-[14px] ${isActive ? "border-b-2 border-accent font-medium" : "text-quiet hover:bg-sand/60"}`
        }
      >
        {label}
      </NavLink>
    ))}
  </nav>
);
