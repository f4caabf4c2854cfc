import type { RouteQuestion } from '@weskopos/core/routing';
import type { RouteAnswer } from './routeAnswer';

/** Plans beside the screen; of several questions only the newest is told. */
export function createRoutePlanner(onAnswer: (answer: RouteAnswer | null) => void) {
  const worker = new Worker(new URL('./route.worker', import.meta.url));
  let newest = 0;
  worker.onmessage = ({ data }: MessageEvent<{ readonly id: number; readonly answer: RouteAnswer | null }>) => {
    if (data.id === newest) onAnswer(data.answer);
  };
  return {
    ask: (question: RouteQuestion) => {
      newest += 1;
      worker.postMessage({ id: newest, question });
    },
    end: () => worker.terminate(),
  };
}
