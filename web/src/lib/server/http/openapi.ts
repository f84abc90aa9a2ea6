import { caseSchema, coreVersion, keptSchema, resultSchema } from '@pilgrim/core';
import { z } from 'zod';
import { positionFile } from '$lib/server/exchange/exchange';
import { sheetType } from './http';
import { plantQuery } from '$lib/server/positions/plantList';
import {
  driveOrder,
  newDriveLink,
  newStandIn,
  newPosition,
  newRevision,
  meterOrder,
  newRounds,
  newShelfMotor,
  newStudy,
  positionChange,
  shelfChange,
} from './inputs';

const options = { io: 'input', unrepresentable: 'any' } as const;

export const caseJsonSchema = z.toJSONSchema(caseSchema, options);
export const resultJsonSchema = z.toJSONSchema(resultSchema, options);
/** What a revision keeps of its result. */
export const keptJsonSchema = z.toJSONSchema(keptSchema, options);

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

const listQuery = [
  {
    name: 'take',
    in: 'query',
    schema: { enum: ['good'] },
    description: 'Left out: the list is only read and told',
  },
  {
    name: 'mapping',
    in: 'query',
    schema: { type: 'string' },
    description: 'JSON: field → column, counted from 0; left out: guessed',
  },
  {
    name: 'constants',
    in: 'query',
    schema: { type: 'string' },
    description: 'JSON: field → what it is in every row',
  },
];
const list = { required: true, content: { 'text/csv': {}, [sheetType]: {} } };
const listTold = {
  '200': ok('What the list holds: columns, mapping, good and bad rows, errors by line and column'),
  '201': ok('The same; its good rows were taken'),
  '413': problem('Larger than 25 MB'),
  '422': problem('Not UTF-8, neither CSV nor XLSX, or columns missing; nothing was taken'),
};

/** The HTTP face, made from the same schemas that check what comes in. */
export const openApi = {
  openapi: '3.1.0',
  info: { title: 'Pilgrim', version: coreVersion },
  paths: {
    '/api/v1/health': { get: { responses: { '200': ok('Alive; waits for nothing') } } },
    '/api/v1/ready': {
      get: {
        responses: {
          '200': ok('Ready: the database answers'),
          '503': problem('The database is away or does not answer'),
        },
      },
    },
    '/api/v1/solve': {
      post: {
        requestBody: body({
          oneOf: [
            { $ref: '#/components/schemas/Case' },
            { type: 'array', items: { $ref: '#/components/schemas/Case' } },
          ],
        }),
        responses: {
          '200': ok('The result; for an array the results in its order, errors in their places', {
            oneOf: [
              { $ref: '#/components/schemas/Result' },
              { type: 'array', items: { $ref: '#/components/schemas/Result' } },
            ],
          }),
          '422': problem('Not a valid case: errors with path and message'),
          '413': problem('Larger than 2 MB'),
          '503': problem('Too much is being solved just now: try again after Retry-After'),
        },
      },
    },
    '/api/v1/positions': {
      get: {
        parameters: [
          { name: 'as', in: 'query', schema: { enum: ['csv', 'xlsx'] }, description: 'A sheet instead of JSON' },
        ],
        responses: { '200': ok('All positions that are not in the trash') },
      },
      post: { requestBody: body(of(newPosition)), responses: { '201': ok('The new position') } },
    },
    '/api/v1/positions/list': {
      get: {
        parameters: Object.entries(of(plantQuery).properties ?? {}).map(([name, schema]) => ({
          ...{ name, in: 'query', schema },
        })),
        responses: {
          '200': ok('A page of the plant list: rows, total, next (the `after` of the next page, or null)'),
          '400': problem('after is no place in this list'),
        },
      },
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
    '/api/v1/positions/{id}/photographs': {
      parameters: [path('id')],
      get: { responses: { '200': ok('Photographs of its plates, without their content') } },
      post: {
        parameters: [{ name: 'name', in: 'query', schema: { type: 'string', maxLength: 200 } }],
        requestBody: {
          required: true,
          content: Object.fromEntries(['image/jpeg', 'image/png', 'image/webp'].map((t) => [t, {}])),
        },
        responses: {
          '201': ok('The photograph, kept without metadata'),
          '409': problem('As many as a position keeps'),
          '413': problem('Larger than 12 MB'),
          '415': problem('Neither JPEG, PNG nor WebP'),
        },
      },
    },
    '/api/v1/positions/{id}/readings': {
      parameters: [path('id')],
      get: {
        responses: {
          '200': {
            description: 'Rounds of readings, oldest first; as CSV where Accept asks for text/csv',
            content: { 'application/json': {}, 'text/csv': {} },
          },
        },
      },
      post: {
        requestBody: body(of(newRounds)),
        responses: {
          '201': ok('The rounds that were kept, and how many of the same time were there already'),
          '409': problem('More than a position keeps'),
          '422': problem('Not a round'),
        },
      },
    },
    '/api/v1/readings/{id}': {
      parameters: [path('id')],
      delete: { parameters: [match], responses: { '204': { description: 'Gone' }, ...outdated } },
    },
    '/api/v1/positions/{id}/drive': {
      parameters: [path('id')],
      get: { responses: { '200': ok('The drive that is watched here, with its last readings and log; null: none') } },
      post: {
        requestBody: body({ oneOf: [of(newStandIn), of(newDriveLink)] }),
        responses: {
          '201': ok('A stand-in computed on this machine, or the drive at an address; both over Modbus TCP'),
          '409': problem('More than are watched at once, or nothing to run'),
          '422': problem('Not a valid case or address'),
        },
      },
    },
    '/api/v1/positions/{id}/drive/orders': {
      parameters: [path('id')],
      post: {
        requestBody: body(of(driveOrder)),
        responses: {
          '200': ok('Done; of a table, what the drive is set to'),
          '403': problem('Writing to this drive is off'),
          '404': problem('No drive is watched here'),
          '409': problem('The link is not up'),
          '502': problem('The drive did not answer'),
        },
      },
    },
    '/api/v1/positions/{id}/drive/live': {
      parameters: [path('id')],
      get: {
        responses: {
          '200': {
            description: 'Server-sent events: readings and log as they come',
            content: { 'text/event-stream': {} },
          },
        },
      },
    },
    '/api/v1/positions/{id}/meter': {
      parameters: [path('id')],
      get: { responses: { '200': ok('The power meter that is recorded here, with its last reading; null: none') } },
      post: {
        requestBody: body(of(meterOrder)),
        responses: {
          '200': ok('Ended'),
          '201': ok('Recorded once a second from now on'),
          '404': problem('No stand-in whose meter could be read'),
          '409': problem('More than are recorded at once'),
        },
      },
    },
    '/api/v1/positions/{id}/meter/record': {
      parameters: [
        path('id'),
        ...['from', 'to'].map((name) => ({ name, in: 'query', schema: { type: 'string', format: 'date-time' } })),
      ],
      get: {
        responses: {
          '200': {
            description: 'What was recorded, with its gaps; as a logger’s file where Accept asks for text/csv',
            content: { 'application/json': {}, 'text/csv': {} },
          },
          '422': problem('Not a span'),
        },
      },
    },
    '/api/v1/photographs/{id}': {
      parameters: [path('id')],
      get: { responses: { '200': { description: 'The picture, its id as ETag' } } },
      delete: { parameters: [match], responses: { '204': { description: 'Gone' }, ...outdated } },
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
    '/api/v1/plants': { get: { responses: { '200': ok('All plants') } } },
    '/api/v1/plants/{id}/shelf': {
      parameters: [path('id')],
      get: {
        responses: {
          '200': {
            description: 'Motors on the own shelf; as CSV where Accept asks for text/csv',
            content: { 'application/json': {}, 'text/csv': {} },
          },
          '304': { description: 'As If-None-Match says' },
        },
      },
      post: {
        requestBody: body(of(newShelfMotor)),
        responses: { '201': ok('The motor'), '422': problem('Not a plate that can be judged') },
      },
    },
    '/api/v1/plants/{id}/shelf/import': {
      parameters: [path('id'), ...listQuery],
      post: { requestBody: list, responses: { ...listTold, '409': problem('More than a shelf holds') } },
    },
    '/api/v1/plants/{id}/boards': {
      parameters: [path('id')],
      get: {
        responses: { '200': ok('Boards that positions name, each with its feeder, fault level and largest start') },
      },
    },
    '/api/v1/plants/{id}/combinations': {
      parameters: [path('id')],
      get: {
        responses: {
          '200': {
            description: 'Own tables of combinations tested together; as CSV those that hold, as they are read back',
            content: { 'application/json': {}, 'text/csv': {} },
          },
          '304': { description: 'As If-None-Match says' },
        },
      },
      delete: {
        parameters: [match],
        responses: { '204': { description: 'The own tables are gone, the one that ships stands' }, ...outdated },
      },
    },
    '/api/v1/plants/{id}/combinations/import': {
      parameters: [path('id'), ...listQuery],
      post: { requestBody: list, responses: listTold },
    },
    '/api/v1/plants/{id}/positions/import': {
      parameters: [path('id'), ...listQuery],
      post: {
        requestBody: list,
        responses: {
          ...listTold,
          '201': {
            description: 'Lines of JSON: how many are worked out, and last the same as without take',
            content: { 'application/x-ndjson': {} },
          },
        },
      },
    },
    '/api/v1/shelf/{id}': {
      parameters: [path('id'), match],
      patch: { requestBody: body(of(shelfChange)), responses: { '200': ok('Changed'), ...outdated } },
      delete: { responses: { '204': { description: 'Off the shelf' }, ...outdated } },
    },
    '/api/v1/schemas/case': { get: { responses: { '200': ok('JSON Schema of pilgrim.case/1') } } },
    '/api/v1/schemas/result': { get: { responses: { '200': ok('JSON Schema of pilgrim.result/1') } } },
    '/api/v1/schemas/kept': {
      get: { responses: { '200': ok('JSON Schema of pilgrim.kept/1: what a revision keeps of its result') } },
    },
  },
  components: {
    schemas: {
      Case: caseJsonSchema,
      Result: resultJsonSchema,
      Kept: keptJsonSchema,
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
