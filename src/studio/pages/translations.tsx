import { TextControl } from "../controls/setting-control.tsx";
import { useShopSettings } from "../shell/shop-context.ts";

interface Props {
  /** What is translated, like “Name of the collection”. */
  of: string;
  others: Readonly<Record<string, string>> | undefined;
  set(others: Record<string, string> | undefined, language: string): void;
}

/** A text in the shop's other languages; nothing where it has none. */
export function Translations({ of, others = {}, set }: Props) {
  const languages = useShopSettings((settings) => settings.languages);
  return languages.map((language) => (
    <span key={language} className="flex items-center gap-1.5 text-[13px] text-quiet">
      <span className="w-8 flex-none">{language}</span>
      <TextControl
        name={`${of} in ${language}`}
        value={others[language] ?? ""}
        longest={500}
        set={(text) => {
          const { [language]: _old, ...rest } = others;
          const next = text.trim() === "" ? rest : { ...rest, [language]: text.trim() };
          set(Object.keys(next).length === 0 ? undefined : next, language);
        }}
      />
    </span>
  ));
}
