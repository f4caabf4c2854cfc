import { people as say } from '@weskopos/words/en/pages/people';

/** What a browser calls itself, as a person would: what kind of thing it runs on. */
export function deviceWords(agent: string): string {
  if (agent === '') return say.unknownDevice;
  if (/Tablet/.test(agent)) return say.tablet;
  return /Mobi/.test(agent) ? say.phone : say.computer;
}
