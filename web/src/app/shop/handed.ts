/** Which hand holds the tool: the other one taps. */
const KEY = 'kalotrope-left-handed';

export function isLeftHanded(): boolean {
  try {
    return localStorage.getItem(KEY) === 'yes';
  } catch {
    return false;
  }
}

export function keepLeftHanded(isLeft: boolean): void {
  try {
    localStorage.setItem(KEY, isLeft ? 'yes' : 'no');
  } catch {
    // it holds until the page goes
  }
}
