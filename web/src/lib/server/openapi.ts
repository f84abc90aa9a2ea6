import { caseSchema, coreVersion, resultSchema } from '@pilgrim/core';
import { z } from 'zod';
import { positionFile } from './exchange';
import { newPosition, newRevision, newStudy, positionChange } from './inputs';

const options = { io: 'input', unrepresentable: 'any' } as const;

export const caseJsonSchema = z.toJSONSchema(caseSchema, options);
export const resultJsonSchema = z.toJSONSchema(resultSchema, options);

const json = (schema: unknown) => ({ content: { 'application/json': { schema } } });
const ok = (description: string, schema: unknown = {}) => ({ description, ...json(schema) });
const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
});
const of = (schema: z.ZodType) => z.toJSONSchema(schema, options);
const path = (name: string) => ({ name, in: 'path', required: true, schema: { type: 'string', format: 'uuid' } });
const match = {
  name: 'If-Match',
  in: 'header',
  required: true,
  schema: { type: 'string' },
  description: 'What you last saw: a version, a revision id, or "none"',
};
const outdated = { '412': problem('Changed since you read it'), '428': problem('If-Match is missing') };
const body = (schema: unknown) => ({ required: true, ...json(schema) });

/** The HTTP face, made from the same schemas that check what comes in. */
export const openApi = {
  openapi: '3.1.0',
  info: { title: 'Pilgrim', version: coreVersion },
  paths: {
    '/api/v1/health': { get: { responses: { '200': ok('Alive, database included') } } },
    '/api/v1/solve': {
      post: {
        requestBody: body({ $ref: '#/components/schemas/Case' }),
        responses: {
          '200': ok('The result', { $ref: '#/components/schemas/Result' }),
          '422': problem('Not a valid case: errors with path and message'),
          '413': problem('Larger than 2 MB'),
        },
      },
    },
    '/api/v1/positions': {
      get: { responses: { '200': ok('All positions') } },
      post: { requestBody: body(of(newPosition)), responses: { '201': ok('The new position') } },
    },
    '/api/v1/positions/import': {
      post: {
        requestBody: body(of(positionFile)),
        responses: {
          '201': ok('Id of the position'),
          '409': problem('Not taken'),
          '413': problem('Larger than 25 MB'),
        },
      },
    },
    '/api/v1/positions/{id}': {
      parameters: [path('id')],
      get: { responses: { '200': ok('The position, its version as ETag') } },
      patch: {
        parameters: [match],
        requestBody: body(of(positionChange)),
        responses: { '200': ok('The position'), ...outdated },
      },
      delete: { parameters: [match], responses: { '204': { description: 'In the trash' }, ...outdated } },
    },
    '/api/v1/positions/{id}/restore': {
      parameters: [path('id'), match],
      post: { responses: { '200': ok('Out of the trash'), ...outdated } },
    },
    '/api/v1/positions/{id}/export': {
      parameters: [path('id')],
      get: { responses: { '200': ok('The position as one file', of(positionFile)) } },
    },
    '/api/v1/positions/{id}/studies': {
      parameters: [path('id')],
      get: { responses: { '200': ok('Its studies') } },
      post: { requestBody: body(of(newStudy)), responses: { '201': ok('The new study') } },
    },
    '/api/v1/studies/{id}': {
      parameters: [path('id')],
      get: { responses: { '200': ok('The study, its head revision as ETag') } },
    },
    '/api/v1/studies/{id}/revisions': {
      parameters: [path('id')],
      get: { responses: { '200': ok('Its revisions, newest first') } },
      post: {
        parameters: [match],
        requestBody: body(of(newRevision)),
        responses: { '201': ok('The revision, solved here'), '422': problem('Not a valid case'), ...outdated },
      },
    },
    '/api/v1/revisions/{id}': { parameters: [path('id')], get: { responses: { '200': ok('The revision') } } },
    '/api/v1/schemas/case': { get: { responses: { '200': ok('JSON Schema of pilgrim.case/1') } } },
    '/api/v1/schemas/result': { get: { responses: { '200': ok('JSON Schema of pilgrim.result/1') } } },
  },
  components: {
    schemas: {
      Case: caseJsonSchema,
      Result: resultJsonSchema,
      Problem: {
        type: 'object',
        properties: {
          type: { type: 'string' },
          title: { type: 'string' },
          status: { type: 'integer' },
          detail: { type: 'string' },
          errors: {
            type: 'array',
            items: { type: 'object', properties: { path: { type: 'string' }, message: { type: 'string' } } },
          },
        },
      },
    },
  },
};
