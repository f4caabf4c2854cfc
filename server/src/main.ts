import { failed, run } from './run';

run().catch(failed);
