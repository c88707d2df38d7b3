import { ClipboardPaste, ImageUp } from "lucide-react";
import { useState } from "react";
import { toast } from "sonner";
import { identity } from "../../core/catalogue/identity.ts";
import { setPicture } from "../../core/swatch/edit.ts";
import type { LineProblem, SwatchLine } from "../../core/swatch/formats.ts";
import { takeLines } from "../../core/swatch/list.ts";
import { Tip } from "../shell/explained.tsx";
import { Popover } from "../shell/popover.tsx";
import type { ToolProps } from "./tool-props.ts";

/**
 * Imports a list of names with colours: typed, pasted, or a file in one of the open formats, with its pictures in a
 * zip.
 */
export function PasteButton({ field, values, worker, apply, upload }: ToolProps) {
  const [text, setText] = useState("");
  const [told, setTold] = useState<string[]>([]);
  const take = (lines: readonly SwatchLine[], problems: readonly LineProblem[], close: () => void) => {
    const { edit, unknown } = takeLines(lines, field, values);
    if (edit) apply(edit);
    const faults = [
      ...problems.map(({ row, message }) => `Line ${row}: ${message}`),
      ...(unknown.length > 0
        ? [
            `No value has the name ${unknown.slice(0, 8).join(", ")}${unknown.length > 8 ? ` and ${unknown.length - 8} more` : ""}.`,
          ]
        : []),
    ];
    setTold(faults);
    if (faults.length === 0) {
      setText("");
      close();
    }
  };
  const takeText = async (list: string, close: () => void) => {
    const { lines, problems } = await worker.read(list);
    take(lines, problems, close);
  };
  const takeZip = async (file: File, close: () => void) => {
    try {
      const { lines, problems, pictures } = await worker.readZip(new Uint8Array(await file.arrayBuffer()));
      const files = new Map(pictures);
      const brought = await Promise.all(
        lines.map(async (line): Promise<SwatchLine> => {
          const bytes = line.entry.picture === undefined ? undefined : files.get(line.entry.picture);
          if (line.entry.picture === undefined || !bytes) return line;
          const name = line.entry.picture;
          return { ...line, entry: { ...line.entry, picture: await upload(new File([bytes as BlobPart], name)) } };
        }),
      );
      take(brought, problems, close);
    } catch (error) {
      setTold([(error as Error).message]);
    }
  };
  return (
    <Popover
      label="Paste a list of colours"
      className="w-96 p-3"
      trigger={(props) => (
        <button type="button" {...props} className="btn btn-sm">
          <ClipboardPaste size={15} aria-hidden /> Paste a list
        </button>
      )}
    >
      {(close) => (
        <div className="grid gap-2">
          <label className="grid gap-1">
            <span className="text-quiet">
              One value per line, followed by its colours. CSV, design tokens and a ZIP with pictures work too.
            </span>
            <textarea
              className="textarea h-36 w-full font-mono text-[13px]"
              placeholder={"Sage, #9cab86\nSea green / white, seagreen white"}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </label>
          {told.length > 0 ? (
            <ul role="alert" className="max-h-32 overflow-auto text-[13px] text-error">
              {told.map((one) => (
                <li key={one}>{one}</li>
              ))}
            </ul>
          ) : null}
          <div className="flex items-center gap-2">
            <button
              type="button"
              className="btn btn-primary btn-sm"
              disabled={text.trim() === ""}
              onClick={() => takeText(text, close)}
            >
              Use these colours
            </button>
            <label className="btn btn-sm cursor-pointer has-focus-visible:outline-2">
              From a file
              <input
                type="file"
                className="sr-only"
                aria-label="List of colours"
                accept=".csv,.tsv,.txt,.json,.zip"
                onChange={async (event) => {
                  const file = event.target.files?.[0];
                  if (!file) return;
                  if (/\.zip$/i.test(file.name)) await takeZip(file, close);
                  else await takeText(await file.text(), close);
                }}
              />
            </label>
          </div>
        </div>
      )}
    </Popover>
  );
}

/** Many pictures at once, matched to values by their file names. */
export function ManyPictures({ values, apply, upload }: ToolProps) {
  const bring = async (files: readonly File[]) => {
    const key = (text: string) =>
      identity(text)
        .normalize("NFKD")
        .replace(/[^\p{L}\p{N}]/gu, "");
    const byKey = new Map(values.map((value) => [key(value.label), value]));
    const unmatched: string[] = [];
    let taken = 0;
    for (const file of files) {
      const value = byKey.get(key(file.name.replace(/\.\w+$/, "")));
      if (!value) {
        unmatched.push(file.name);
        continue;
      }
      try {
        apply(setPicture(value, await upload(file)));
        taken++;
      } catch (error) {
        toast.error(`${file.name}: ${(error as Error).message}`);
      }
    }
    toast(
      `${taken} ${taken === 1 ? "picture" : "pictures"} taken${unmatched.length > 0 ? `; no value has the name ${unmatched.join(", ")}` : ""}.`,
    );
  };
  return (
    <Tip words="Each is matched to the value with the name of its file.">
      <label className="btn btn-sm cursor-pointer has-focus-visible:outline-2">
        <ImageUp size={15} aria-hidden /> Add pictures
        <input
          type="file"
          multiple
          className="sr-only"
          aria-label="Pictures by file name"
          accept="image/png,image/jpeg,image/webp,image/svg+xml"
          onChange={(event) => bring([...(event.target.files ?? [])])}
        />
      </label>
    </Tip>
  );
}
