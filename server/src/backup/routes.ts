import { ENDPOINTS } from '@weskopos/contract';
import type { Audit } from '../audit/audit';
import { register, type Api } from '../people/register';
import type { Backups } from './backups';

/** What is kept where, and kept twice. */
export function storageRoutes(
  api: Api,
  { backups, audit }: { readonly backups: Backups; readonly audit: Audit },
): void {
  register(api, ENDPOINTS.storage, () => backups.told());
  register(api, ENDPOINTS.backupAlarm, () => backups.alarm());
  register(api, ENDPOINTS.takeBackup, async ({ person }) => {
    await audit.note('backup', person.id, '');
    // Why it could not be made is part of what is told.
    await backups.take().catch(() => undefined);
    return backups.told();
  });
}
