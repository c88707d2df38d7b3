import { useShopSettings } from "../shell/shop-context.ts";
import { TextControl } from "./text-control.tsx";

interface Props {
  /** The translated thing, like “Name of the collection”. */
  of: string;
  others: Readonly<Record<string, string>> | undefined;
  set(others: Record<string, string> | undefined, language: string): void;
  /** Maximum length of one. Default: 500 */
  longest?: number;
}

/** A text in the shop's other languages; nothing if it has none. */
export function Translations({ of, others = {}, set, longest = 500 }: Props) {
  const languages = useShopSettings((settings) => settings.languages);
  return languages.map((language) => (
    <span key={language} className="flex items-center gap-1.5 text-[13px] text-quiet">
      <span className="w-8 flex-none">{language}</span>
      <TextControl
        name={`${of} in ${language}`}
        value={others[language] ?? ""}
        longest={longest}
        set={(text) => {
          const { [language]: _old, ...rest } = others;
          const next = text.trim() === "" ? rest : { ...rest, [language]: text.trim() };
          set(Object.keys(next).length === 0 ? undefined : next, language);
        }}
      />
    </span>
  ));
}
