import { type Band, type Banded, resolve } from "./band.ts";

/** A setting's default, possible values, and whether it differs by band. */
export interface Fact<T> {
  fallback: T;
  /** The possible values, if there are only a few. */
  of?: readonly T[];
  banded: boolean;
}

/** A setting with any value of a type. */
export const is = <T>(fallback: T): Fact<T> => ({ fallback, banded: false });
/** A setting with one of a few values. */
export const choiceOfNames = <const T extends readonly string[]>(of: T, fallback: T[number]): Fact<T[number]> => ({
  fallback,
  of,
  banded: false,
});
/** A setting that differs by band. */
export const byBand = <T>(fact: Fact<T>): Fact<T> => ({ ...fact, banded: true });

type Facts = Readonly<Record<string, Fact<never> | Fact<unknown>>>;

/** All settings of a table on one band. */
export type ValuesOf<F> = { [K in keyof F]: F[K] extends Fact<infer T> ? T : never };

/** Settings that differ from their default. One that differs by band is given for each band with a value. */
export type SparseOf<F> = { [K in keyof F]?: Banded<ValuesOf<F>[K]> | ValuesOf<F>[K] | undefined };

/** Functions on a table of settings, shared by all tables. */
export interface SettingTable<F extends Facts> {
  /** In display order. */
  names: readonly (keyof F & string)[];
  isBanded(name: keyof F): boolean;
  fallbackOf<K extends keyof F>(name: K): ValuesOf<F>[K];
  /** The setting on a band. */
  on<K extends keyof F>(values: SparseOf<F>, name: K, band: Band): ValuesOf<F>[K];
  /** A setting with its value on every band, the default if not set. */
  banded<K extends keyof F>(values: SparseOf<F>, name: K): Banded<ValuesOf<F>[K]>;
  /** All settings on a band. */
  allOn(values: SparseOf<F>, band: Band): ValuesOf<F>;
  /** The settings with one changed; values equal to the default are removed. */
  with<K extends keyof F>(
    values: SparseOf<F>,
    name: K,
    value: Banded<ValuesOf<F>[K]> | ValuesOf<F>[K] | undefined,
  ): SparseOf<F>;
}

/** Functions on a table of settings with these facts. */
export function settingTable<F extends Facts>(facts: F): SettingTable<F> {
  const names = Object.keys(facts) as (keyof F & string)[];
  const isBanded = (name: keyof F) => facts[name]?.banded === true;
  const fallbackOf = <K extends keyof F>(name: K) => facts[name]?.fallback as ValuesOf<F>[K];
  const on = <K extends keyof F>(values: SparseOf<F>, name: K, band: Band): ValuesOf<F>[K] => {
    const given = values[name];
    if (given === undefined) return fallbackOf(name);
    return isBanded(name) ? resolve(given as Banded<ValuesOf<F>[K]>, band) : (given as ValuesOf<F>[K]);
  };
  return {
    names,
    isBanded,
    fallbackOf,
    on,
    banded: (values, name) =>
      (values[name] as Banded<ValuesOf<F>[typeof name]> | undefined) ?? { wide: fallbackOf(name) },
    allOn(values, band) {
      const all: Partial<Record<keyof F, unknown>> = {};
      for (const name of names) all[name] = on(values, name, band);
      return all as ValuesOf<F>;
    },
    with(values, name, value) {
      const { [name]: _old, ...rest } = values;
      const fallback = fallbackOf(name);
      const plain = isBanded(name) ? { wide: fallback } : fallback;
      const left = rest as SparseOf<F>;
      if (value === undefined || JSON.stringify(value) === JSON.stringify(plain)) return left;
      return { ...left, [name]: value };
    },
  };
}
