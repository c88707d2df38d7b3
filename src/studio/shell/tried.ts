import { toast } from "sonner";
import { request, sendJson } from "../api.ts";
import { forgetRemoval, noteRemoval } from "./removals.ts";

/** Runs a request and refetches the lists it changes; errors are shown. @returns whether it succeeded */
export async function tried(task: () => Promise<unknown>, listAnew: () => Promise<unknown>): Promise<boolean> {
  try {
    await task();
    await listAnew();
    return true;
  } catch (error) {
    toast.error((error as Error).message);
    return false;
  }
}

/** Restores something removed. @param path of it */
export const restoreRemoved = (path: string, listAnew: () => Promise<unknown>): Promise<boolean> => {
  // The offer to restore it is obsolete then, wherever it was shown.
  toast.dismiss(path);
  forgetRemoval(path);
  return tried(() => sendJson("POST", `${path}/restore`, {}), listAnew);
};

/**
 * Removes something, and offers to restore it, also by undo.
 * @param leave navigates away before it disappears from the lists
 * @param back navigates to it again once it is restored
 */
export async function removeWithUndo(
  path: string,
  name: string,
  listAnew: () => Promise<unknown>,
  leave?: () => void,
  back?: () => void,
): Promise<void> {
  const restore = async () => {
    const restored = await restoreRemoved(path, listAnew);
    if (restored) back?.();
    return restored;
  };
  const removed = await tried(
    () => request(path, { method: "DELETE" }),
    () => {
      leave?.();
      return listAnew();
    },
  );
  if (!removed) return;
  noteRemoval({ path, name, at: Date.now(), restore });
  toast(`${name} was removed. You can restore it for 30 days.`, {
    id: path,
    duration: 10_000,
    action: { label: "Restore", onClick: () => void restore() },
  });
}
