import { useBench, useSession } from "./bench-context.ts";

/** The language of both pages. */
export function LanguageChoice({ languages }: { languages: readonly string[] }) {
  const { session } = useBench();
  const language = useSession((state) => state.language);
  return (
    <select
      className="select select-xs ms-auto w-20"
      aria-label="Language of the pages"
      value={language}
      onChange={(event) => session.setState({ language: event.target.value })}
    >
      {languages.map((one) => (
        <option key={one} value={one}>
          {one}
        </option>
      ))}
    </select>
  );
}
