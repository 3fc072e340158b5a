const INDEX = "wake drafts";

/** So many texts are kept at most; of more the one not touched for longest goes. */
const MOST = 200;

/**
 * Texts being written, kept in this browser so that leaving a screen does not lose them. Where the browser has no room they are kept by the
 * screen alone.
 */
export const drafts = {
  read: (key: string): string | undefined => localStorage.getItem(key) ?? undefined,

  keep(key: string, text: string): void {
    const older = index().filter((one) => one !== key);
    for (const gone of older.splice(0, Math.max(0, older.length + 1 - MOST))) localStorage.removeItem(gone);
    try {
      localStorage.setItem(key, text);
      localStorage.setItem(INDEX, JSON.stringify([...older, key]));
    } catch {
      // No room: what stands on the screen is still there.
    }
  },

  drop(key: string): void {
    localStorage.removeItem(key);
    const others = index().filter((one) => one !== key);
    try {
      localStorage.setItem(INDEX, JSON.stringify(others));
    } catch {
      // The list is put right with the next text that has room.
    }
  },
};

/** The keys of all drafts, the one not touched for longest first. */
function index(): string[] {
  try {
    const read: unknown = JSON.parse(localStorage.getItem(INDEX) ?? "[]");
    return Array.isArray(read) ? read.filter((one) => typeof one === "string") : [];
  } catch {
    return [];
  }
}
