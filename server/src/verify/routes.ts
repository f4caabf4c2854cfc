import { ENDPOINTS } from '@weskopos/contract';
import { register, type Api } from '../people/register';
import { verifySigned, type VerifyNeeds } from './verifySigned';

/** Looks at everything that was signed, for who asks. */
export function verifyRoutes(api: Api, needs: VerifyNeeds): void {
  register(api, ENDPOINTS.verify, () => verifySigned(needs));
}
