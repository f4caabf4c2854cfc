import { DOCS_PATH } from '@weskopos/contract/device';
import express, { type Express } from 'express';
import { absolutePath } from 'swagger-ui-dist';
import { openApi } from './openApi';

const DOCUMENT = '/api/openapi.json';
/** What of the package a page needs. */
const PARTS = /^\/(swagger-ui\.css|swagger-ui-bundle\.js)$/;

const PAGE = `<!doctype html>
<html lang="en">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">
<title>Weskopos API</title><link rel="stylesheet" href="${DOCS_PATH}/swagger-ui.css"></head>
<body><div id="api"></div>
<script src="${DOCS_PATH}/swagger-ui-bundle.js"></script><script src="${DOCS_PATH}/begin.js"></script></body>
</html>`;
/** Nothing is asked of anybody else: no validator, no fonts. */
const BEGIN = `SwaggerUIBundle({ url: '${DOCUMENT}', dom_id: '#api', validatorUrl: null, tryItOutEnabled: false });`;

/** The API as a document, and as a page to read it on. */
export function apiRoutes(app: Express): void {
  app.get(DOCUMENT, (_request, response) => void response.json(openApi()));
  app.get(DOCS_PATH, (_request, response) => void response.type('html').send(PAGE));
  app.get(`${DOCS_PATH}/begin.js`, (_request, response) => void response.type('text/javascript').send(BEGIN));
  const parts = express.static(absolutePath(), { index: false });
  app.use(DOCS_PATH, (request, response, next) => (PARTS.test(request.path) ? parts(request, response, next) : next()));
}
