import { LINES, problem, routes } from '@open-larder/contract';
import { z } from 'zod';

const schema = (type: z.ZodType, io: 'input' | 'output') => {
  const { $schema: _, ...rest } = z.toJSONSchema(type, { io, unrepresentable: 'any' }) as Record<
    string,
    unknown
  >;
  return rest;
};

/** What a line may be of an answer that shows how far it is. */
const linesOf = (progress: z.ZodType, response: z.ZodType) =>
  [{ progress }, { answer: response }, { problem }].map((line) => schema(z.object(line), 'output'));

function parameters(type: z.ZodType, place: 'path' | 'query') {
  const { properties = {}, required = [] } = schema(type, 'input') as {
    properties?: Record<string, unknown>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, shape]) => ({
    name,
    in: place,
    required: place === 'path' || required.includes(name),
    schema: shape,
  }));
}

/** The route table as an OpenAPI 3.1 document: made from the schemas that the server checks with. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [operationId, route] of Object.entries(routes)) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    const success = route.method === 'post' ? '201' : '200';
    paths[path] = {
      ...paths[path],
      [route.method]: {
        operationId,
        summary: route.summary,
        tags: [route.path.split('/')[2]],
        parameters: [...parameters(route.params, 'path'), ...parameters(route.query, 'query')],
        ...(route.method === 'get'
          ? {}
          : {
              requestBody: {
                required: true,
                content: { 'application/json': { schema: schema(route.body, 'input') } },
              },
            }),
        responses: {
          [success]: {
            description: 'Done',
            content: {
              'application/json': { schema: schema(route.response, 'output') },
              ...(route.progress && {
                [LINES]: { schema: { anyOf: linesOf(route.progress, route.response) } },
              }),
            },
          },
          default: {
            description: 'What is wrong and what to do (RFC 9457)',
            content: { 'application/problem+json': { schema: schema(problem, 'output') } },
          },
        },
      },
    };
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Open Larder',
      version: '0.1.0',
      description: 'Diets, rounds, larder and records of a freshwater aquarium household.',
    },
    paths,
  };
}
