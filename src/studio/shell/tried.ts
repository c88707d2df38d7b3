import { toast } from "sonner";
import { request, sendJson } from "../api.ts";

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
  return tried(() => sendJson("POST", `${path}/restore`, {}), listAnew);
};

/** Removes something, and offers to restore it. @param leave navigates away before it disappears from the lists */
export async function removeWithUndo(
  path: string,
  name: string,
  listAnew: () => Promise<unknown>,
  leave?: () => void,
): Promise<void> {
  const removed = await tried(
    () => request(path, { method: "DELETE" }),
    () => {
      leave?.();
      return listAnew();
    },
  );
  if (removed)
    toast(`${name} was removed. You can restore it for 30 days.`, {
      id: path,
      duration: 10_000,
      action: { label: "Restore", onClick: () => void restoreRemoved(path, listAnew) },
    });
}
