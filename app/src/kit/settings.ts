/** What this browser keeps under a name; null where it keeps nothing. */
export function readSetting(name: string): string | null {
  try {
    return localStorage.getItem(name);
  } catch {
    return null;
  }
}
/** Keeps a text under a name, or (null) nothing. In a browser that keeps nothing, it holds until the tab is closed. */
export function writeSetting(name: string, text: string | null): void {
  try {
    if (text === null) localStorage.removeItem(name);
    else localStorage.setItem(name, text);
  } catch {
    // Storage blocked: the setting lasts for this tab.
  }
}
