import { useRef } from "react";

/** A row's name, edited in place: Enter or blur saves, Escape cancels. */
export function TitleField({ name, save }: { name: string; save(text: string): void }) {
  const dropped = useRef(false);
  return (
    <input
      key={name}
      className="h-full min-w-0 flex-1 truncate rounded-sm bg-transparent px-1 focus:bg-base-100"
      type="text"
      aria-label={`Title of ${name}`}
      defaultValue={name}
      maxLength={200}
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          dropped.current = true;
          event.currentTarget.value = name;
        }
        if (event.key === "Enter" || event.key === "Escape") event.currentTarget.blur();
      }}
      onBlur={(event) => {
        const text = event.currentTarget.value.trim();
        if (!dropped.current && text !== name) save(text);
        dropped.current = false;
      }}
    />
  );
}
