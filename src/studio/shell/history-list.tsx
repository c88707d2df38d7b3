import { History } from "lucide-react";
import { type Stepped, useHistory } from "./history.ts";
import { Popover } from "./popover.tsx";

const shown = 60;

/** Every step in words, latest first; selecting one goes back to the state after it. */
export function HistoryList({ stores }: { stores: readonly Stepped[] }) {
  const { past, future, undo, redo } = useHistory(stores);
  const repeat = (times: number, step: () => void) => {
    for (let i = 0; i < times; i++) step();
  };
  const entry = "block w-full truncate rounded-lg px-2.5 py-1 text-start text-[13px] hover:bg-sand";
  return (
    <Popover
      label="History"
      placement="bottom-end"
      className="w-80 p-1.5 text-base-content"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          className="grid size-8 place-items-center rounded-lg hover:bg-white/15 disabled:opacity-35"
          aria-label="History"
          title="History"
          disabled={past.length + future.length === 0}
        >
          <History size={16} aria-hidden />
        </button>
      )}
    >
      {() => (
        <ol aria-label="Steps">
          {future
            .map(({ words }, i) => (
              <li key={`f${i}`}>
                <button type="button" className={`${entry} text-quiet`} onClick={() => repeat(i + 1, redo)}>
                  {words} <span className="text-[13px]">(undone)</span>
                </button>
              </li>
            ))
            .reverse()}
          {inRuns(past.slice(-shown))
            .map(({ words, count, back }) => (
              <li key={`p${back}`}>
                <button
                  type="button"
                  aria-current={back === 0 ? "step" : undefined}
                  className={`${entry} ${back === 0 ? "bg-plum-soft font-medium" : ""}`}
                  title={words}
                  onClick={() => repeat(back, undo)}
                >
                  {words}
                  {count > 1 ? <span className="text-quiet"> {count} times</span> : null}
                </button>
              </li>
            ))
            .reverse()}
          <li>
            <button
              type="button"
              className={`${entry} ${past.length === 0 ? "bg-plum-soft font-medium" : ""}`}
              onClick={() => repeat(past.length, undo)}
            >
              Before all changes
            </button>
          </li>
        </ol>
      )}
    </Popover>
  );
}

/** The meaning of a step, without its target value. */
const stem = (words: string): string => words.replace(/ to position \d+$/, "");

/**
 * Consecutive steps with the same words as one line.
 * @returns for each line, the number of steps to undo to return to the state after its last step
 */
function inRuns(steps: readonly { words: string }[]): { words: string; count: number; back: number }[] {
  const runs: { words: string; count: number; back: number }[] = [];
  steps.forEach(({ words }, at) => {
    const last = runs.at(-1);
    const back = steps.length - 1 - at;
    if (last && stem(last.words) === stem(words)) {
      last.count++;
      last.words = words;
      last.back = back;
    } else runs.push({ words, count: 1, back });
  });
  return runs;
}
