import { failed, run } from '@weskopos/server/run';
import { seedDemo } from './seedDemo';
import { DEMO_PEOPLE } from './world';

/** The demo workshop: the same server, its folder filled with the demo world when it is empty. */
run({
  prepare: async (context) => {
    await seedDemo(context);
    return DEMO_PEOPLE.map(({ name, secret, role }) => `sign in as ${name} (${role}), PIN ${secret}`);
  },
}).catch(failed);
