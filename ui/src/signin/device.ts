/** What this browser remembers of the person begins so; the light of the screen is the device's. */
const prefix = 'greypebble.';
const kept = 'greypebble.light';

/** Forgets what was chosen here: the next to sign in may be somebody else. */
export function forgetDevice() {
  sessionStorage.clear();
  for (const key of Object.keys(localStorage))
    if (key.startsWith(prefix) && key !== kept) localStorage.removeItem(key);
}
