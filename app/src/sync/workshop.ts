import { BROWSER } from './browser';
import { createWorkshop } from './createWorkshop';

export { selectLife, selectRulebooks, rulesFor, vehicleOfVisit } from './workshopState';

/** The workshop of this page, by its parts. */
export const {
  useWorkshop,
  deviceId,
  open: openWorkshop,
  reconnect,
  signedIn,
  signOut,
  refreshLifeQuietly,
  holdLife,
  lifeOnce,
  askKept,
  record,
  recordPhoto,
  localPhoto,
  photoState,
  deleteRefused,
  sendAgain,
} = createWorkshop(BROWSER);

/** Calls an endpoint of the workshop's server, or sends it a bundle or a table. */
export const { call, fetchPdf, sendBundle, sendSheet } = BROWSER.server;
