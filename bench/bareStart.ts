import express from 'express';

/** The baseline of the start: the same runtime and Express, nothing else. */
const server = express().listen(0, () => console.log('is ready'));
process.on('SIGTERM', () => server.close(() => process.exit(0)));
