import { Images } from "lucide-react";
import { useRef, useState } from "react";
import { toast } from "sonner";
import { setPhotos } from "../../core/swatch/edit.ts";
import { Progress } from "../import/drop-zone.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { type Looking, lookAtPictures } from "./look-at-pictures.ts";
import type { ToolProps } from "./tool-props.ts";

/** Examines the pictures of all products that state the field, with progress and a cancel button. */
export function LookButton({ field, values, worker, apply }: ToolProps) {
  const { desk } = useOpenShop();
  const [looking, setLooking] = useState<Looking | undefined>(undefined);
  const stopper = useRef<AbortController | undefined>(undefined);
  const start = async () => {
    stopper.current = new AbortController();
    setLooking({ done: 0, of: 0 });
    // An uncertain guess from a name does not determine the number of colours.
    const wanted = Object.fromEntries(
      values.flatMap(({ id, guess }) => (guess && guess.confidence >= 0.7 ? [[id, guess.colours.length]] : [])),
    );
    try {
      const result = await lookAtPictures(desk, worker, field.key, wanted, setLooking, stopper.current.signal);
      if ("done" in result) {
        toast(`Stopped after ${result.done} of ${result.of} pictures. Colours found so far are kept.`);
        return;
      }
      const found = Object.keys(result.photos).length;
      apply(setPhotos(field.key, result.photos, `${field.name}: colours from pictures for ${found} values`));
      toast(
        `Colours for ${found} of ${values.length} values${result.failed > 0 ? `; ${result.failed} pictures could not be read` : ""}.`,
      );
    } catch (error) {
      toast.error((error as Error).message);
    } finally {
      setLooking(undefined);
    }
  };
  if (looking)
    return (
      <Progress
        words="Reading pictures"
        share={looking.of === 0 ? undefined : looking.done / looking.of}
        stop={() => stopper.current?.abort()}
      />
    );
  return (
    <button type="button" className="btn btn-sm" onClick={start}>
      <Images size={15} aria-hidden /> Read pictures
    </button>
  );
}
