import type { RouteQuestion } from '@weskopos/core/routing';
import { answerRoute } from './routeAnswer';

self.onmessage = ({ data }: MessageEvent<{ readonly id: number; readonly question: RouteQuestion }>) => {
  self.postMessage({ id: data.id, answer: answerRoute(data.question) });
};
