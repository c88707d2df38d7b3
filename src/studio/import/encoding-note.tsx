import { type Encoding, encodingTitles, isEncoding } from "../../core/catalogue/encoding-titles.ts";

interface Props {
  name: Encoding;
  words: readonly string[];
  read(encoding: Encoding): void;
}

/** The encoding of a file that is not UTF-8, to be checked and changed. */
export function EncodingNote({ name, words, read }: Props) {
  return (
    <div className="mt-3 flex flex-wrap items-center gap-x-4 gap-y-2 rounded-box border border-base-300 bg-base-100 px-6 py-3">
      <label className="flex flex-wrap items-center gap-x-2">
        <span className="font-medium">Text encoding</span>
        <select
          className="select select-sm w-64 max-w-full"
          value={name}
          onChange={({ target: { value } }) => isEncoding(value) && read(value)}
        >
          {Object.entries(encodingTitles).map(([label, title]) => (
            <option key={label} value={label}>
              {title}
            </option>
          ))}
        </select>
      </label>
      <p className="min-w-56 flex-1 text-[13px] text-quiet">
        The file isn’t UTF-8.
        {words.length > 0 ? (
          <>
            {" "}
            Check that these words are right: <b className="font-medium text-base-content">{words.join(" · ")}</b>
          </>
        ) : null}
      </p>
    </div>
  );
}
