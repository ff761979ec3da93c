import { z } from 'zod';
import { api } from './api.ts';
import { hasPart, isEndpoint, type Endpoint } from './endpoint.ts';
import { PROBLEM_MEDIA_TYPE } from './plain/problems.ts';
import { problemSchema } from './problem.ts';

type Json = Record<string, unknown>;

const jsonSchema = (schema: z.ZodType, io: 'input' | 'output'): Json =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as Json;

/** Every call of the API, flat. */
export function allEndpoints(): Endpoint[] {
  return Object.values(api).flatMap((entry) =>
    isEndpoint(entry) ? [entry] : (Object.values(entry) as Endpoint[]),
  );
}

function parameters(schema: z.ZodType, location: 'path' | 'query'): Json[] {
  if (!(schema instanceof z.ZodObject)) return [];
  return Object.entries(schema.shape as Record<string, z.ZodType>).map(([name, field]) => ({
    name,
    in: location,
    required: location === 'path' || !field.safeParse(undefined).success,
    schema: jsonSchema(field, 'input'),
  }));
}

const BINARY: Json = { type: 'string', format: 'binary' };

/** What is sent; the file of a form is a part of it beside its fields. */
function bodySchema({ body, file }: Endpoint): Json {
  const fields = hasPart(body) ? jsonSchema(body, 'input') : { type: 'object' };
  if (file === undefined) return fields;
  return {
    ...fields,
    properties: { ...(fields.properties as Json | undefined), [file]: BINARY },
    required: [...((fields.required as string[] | undefined) ?? []), file],
  };
}

function operation(endpoint: Endpoint): Json {
  return {
    summary: endpoint.summary,
    tags: [endpoint.tag],
    parameters: [...parameters(endpoint.params, 'path'), ...parameters(endpoint.query, 'query')],
    ...((hasPart(endpoint.body) || endpoint.file) && {
      requestBody: { required: true, content: { [endpoint.takes]: { schema: bodySchema(endpoint) } } },
    }),
    responses: {
      [endpoint.status]: {
        description: 'Done',
        content: {
          [endpoint.gives]: {
            schema: hasPart(endpoint.response) ? jsonSchema(endpoint.response, 'output') : BINARY,
          },
        },
      },
      default: {
        description: 'What went wrong',
        content: { [PROBLEM_MEDIA_TYPE]: { schema: jsonSchema(problemSchema, 'output') } },
      },
    },
  };
}

/** The API as an OpenAPI 3.1 document, written from the contract. */
export function openApiDocument(version: string): Json {
  const paths: Record<string, Json> = {};
  for (const endpoint of allEndpoints()) {
    const path = endpoint.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = { ...paths[path], [endpoint.method.toLowerCase()]: operation(endpoint) };
  }
  return {
    openapi: '3.1.0',
    info: { title: 'Icy Ribbon', version },
    paths,
  };
}
