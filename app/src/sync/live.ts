import type { Changed, LiveEvent, Presence } from '@weskopos/contract';
import { LIVE_PATH } from '@weskopos/contract/device';
import { ServerProblem, Unreachable } from './transport';
import { call } from './workshop';

/** Listens to one visit, to what others do in it; the browser connects again by itself. Gives back how to stop. */
export function listenTo(
  visitId: string,
  device: string,
  { onChanged, onHere }: { readonly onChanged: () => void; readonly onHere: (presence: Presence) => void },
): () => void {
  const source = new EventSource(`${LIVE_PATH}/${visitId}?device=${encodeURIComponent(device)}`);
  const on = (event: LiveEvent, handle: (data: string) => void) =>
    source.addEventListener(event, ({ data }: MessageEvent<string>) => handle(data));
  // What happened while nobody listened is fetched when listening begins, and begins again.
  source.addEventListener('open', onChanged);
  on('changed', (data) => {
    if ((JSON.parse(data) as Changed).device !== device) onChanged();
  });
  on('here', (data) => onHere(JSON.parse(data) as Presence));
  return () => source.close();
}

/** Tells the others where one stands; without a connection there is nobody to tell. */
export async function holdPlace(visitId: string, device: string, stop: string): Promise<void> {
  try {
    await call('holdPlace', { params: { id: visitId }, body: { device, stop } });
  } catch (error) {
    if (!(error instanceof Unreachable) && !(error instanceof ServerProblem)) throw error;
  }
}
