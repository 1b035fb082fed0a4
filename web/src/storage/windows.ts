/** Windows of the application tell each other what they saved and deleted. */
export type Told =
  | { readonly kind: 'saved'; readonly id: string; readonly saves: number }
  | { readonly kind: 'deleted'; readonly id: string };

/** This window, unlike any other. */
export const WINDOW_ID: string = crypto.randomUUID();

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('kalotrope-projects');

export const tellOthers = (what: Told): void => channel?.postMessage(what);

export function onTold(listen: (what: Told) => void): void {
  // only this module posts to the channel
  channel?.addEventListener('message', ({ data }: MessageEvent<Told>) => listen(data));
}
