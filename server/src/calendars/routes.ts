import { CALENDAR_PATH, ENDPOINTS } from '@weskopos/contract';
import { newestRulebook } from '@weskopos/core';
import { calendar as say } from '@weskopos/words/en/pages/calendar';
import { tellByHouse } from '@weskopos/words/show';
import type { Engine } from '../db/engine';
import { NotFound } from '../http/problems';
import { slowGuessing } from '../http/slowGuessing';
import { register, type Api } from '../people/register';
import { readRulebooks } from '../rules/readRulebooks';
import { readVehicle } from '../vehicles/readVehicle';
import type { Calendars } from './calendars';
import { writeCalendar } from './writeCalendar';

interface CalendarRouteNeeds {
  readonly engine: Engine;
  readonly calendars: Calendars;
  readonly clock: () => Date;
}

/** Calendars are given and ended by the workshop; each is open to who has its address. */
export function calendarRoutes(api: Api, { engine, calendars, clock }: CalendarRouteNeeds): void {
  register(api, ENDPOINTS.calendars, () => calendars.list());
  register(api, ENDPOINTS.giveCalendar, ({ body, person }) => calendars.give(body.of, body.vehicleId, person));
  register(api, ENDPOINTS.endCalendar, async ({ params, person }) => {
    await calendars.end(params.id, person.id);
    return {};
  });

  api.app.use(CALENDAR_PATH, slowGuessing());
  api.app.get(`${CALENDAR_PATH}/:token.ics`, async (request, response) => {
    const opened = await calendars.open(String(request.params['token'] ?? '').slice(0, 100));
    if (!opened) throw new NotFound('calendar');
    const days = await calendars.daysOf(opened);
    const vehicle = opened.vehicleId === null ? undefined : await readVehicle(engine, opened.vehicleId);
    const about = opened.of === 'person' ? opened.by : (vehicle?.fleetCode ?? '');
    const { house } = newestRulebook(await readRulebooks(engine));
    response
      .set({ 'Cache-Control': 'private, max-age=300', 'Referrer-Policy': 'no-referrer', 'X-Robots-Tag': 'noindex' })
      .type('text/calendar; charset=utf-8')
      .send(tellByHouse(house, () => writeCalendar(say.titleOf(about), days, clock())));
  });
}
