import type { Language } from '@weskopos/contract/device';
import { told, type Tongue } from '@weskopos/words/tongue';

/** A language to tell in: English is here, another comes from the device's own store once it is asked for. */
export const fetchTongue = async (language: Language): Promise<Tongue> =>
  language === 'de' ? (await import('@weskopos/words/de')).de : told;
