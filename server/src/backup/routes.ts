import { ENDPOINTS } from '@weskopos/contract';
import { register, type Api } from '../people/register';
import type { Backups } from './backups';

/** What is kept where, and kept twice. */
export function storageRoutes(api: Api, { backups }: { readonly backups: Backups }): void {
  register(api, ENDPOINTS.storage, () => backups.told());
  register(api, ENDPOINTS.backupAlarm, () => backups.alarm());
  register(api, ENDPOINTS.takeBackup, async () => {
    // Why it could not be made is part of what is told.
    await backups.take().catch(() => undefined);
    return backups.told();
  });
}
