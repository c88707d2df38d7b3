import type { ReactNode } from "react";
import { setLanguage, setLanguages } from "../../core/shop/edit.ts";
import { ownLanguage, readLanguages } from "../../core/shop/languages.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { TextControl } from "./text-control.tsx";

const faultIn = (text: string): string | undefined => {
  const read = readLanguages(text);
  return "fault" in read ? read.fault : undefined;
};

const oneFaultIn = (text: string): string | undefined => {
  const read = readLanguages(text);
  if ("fault" in read) return read.fault;
  return read.tags.length === 1 ? undefined : "Write one language tag, like: en";
};

/** The shop's own language and its further ones, for all panels and pages. */
export function LanguageFields() {
  const { settings } = useOpenShop();
  const own = useShopSettings(ownLanguage);
  const languages = useShopSettings((document) => document.languages);
  const { apply } = settings.getState();
  return (
    <div className="flex max-w-2xl flex-col gap-1.5 text-[13px]">
      <Field name="Shop language">
        <TextControl
          name="Shop language"
          value={own}
          longest={35}
          set={(text) => {
            const read = readLanguages(text);
            const [tag] = "tags" in read ? read.tags : [];
            if (tag !== undefined) apply(setLanguage(tag));
          }}
          faultIn={oneFaultIn}
        />
      </Field>
      <Field name="Further languages">
        <TextControl
          name="Further languages"
          value={languages.join(" ")}
          longest={200}
          set={(text) => {
            const read = readLanguages(text);
            if ("tags" in read) apply(setLanguages(read.tags));
          }}
          faultIn={faultIn}
        />
      </Field>
      <p className="text-quiet">
        Tags like en, de or pt-BR. Labels are written in the shop language and can be translated into the further ones;
        words such as “Price” or “Show more” come translated.
      </p>
    </div>
  );
}

const Field = ({ name, children }: { name: string; children: ReactNode }) => (
  <div className="flex items-center gap-2">
    <span className="w-28 flex-none text-quiet">{name}</span>
    {children}
  </div>
);
