/** What today's board is summed up from: a door of its own, so that the yard opens without the forecasts. */
export { toDo, type ToDo, type ToDoGiven } from './report/toDo';
export { meterLog, meterStand, type MeterLog } from './outlook/meterStand';
export { usualMinutes, usualVisit } from './route/usualVisit';
