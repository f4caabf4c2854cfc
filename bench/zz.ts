import { forecastBench } from './forecast/forecast';
forecastBench();
