const NAME = 'fingerOwn';
const SELECTOR = '[data-finger-own]';

/** Given to a view on which a sliding finger sets or draws something: there it does not turn the page. */
export const OWN_FINGER = { dataSet: { [NAME]: 'yes' } } as const;

/** Whether a touch landed on such a view. Its way on is not stopped: the view itself hears of it further up. */
export function isOwnFinger(target: EventTarget | null): boolean {
  return target instanceof Element && target.closest(SELECTOR) !== null;
}
