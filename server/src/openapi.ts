import * as contract from '@open-larder/contract';
import { LINES, problem, readable, routes } from '@open-larder/contract';
import { z } from 'zod';

type Schema = Record<string, unknown>;

/** What refers to itself is given once, under a name: derivations, of which each is made of others. */
const RECURSIVE = { whole: '#/components/schemas/Why', local: '#/$defs/__schema0' };

const shapeOf = (type: z.ZodType, io: 'input' | 'output'): Schema => {
  const shape = z.toJSONSchema(type, {
    io,
    unrepresentable: 'any',
    override: ({ jsonSchema }) => briefly(jsonSchema as Schema),
  });
  const text = JSON.stringify(shape).replaceAll(RECURSIVE.local, RECURSIVE.whole);
  return JSON.parse(text) as Schema;
};

const schema = (type: z.ZodType, io: 'input' | 'output'): Schema => {
  const { $schema: _, $defs: __, ...rest } = shapeOf(type, io);
  return rest;
};

/**
 * The same said shorter: what may be null has two types, a whole number needs no bounds to be one, and
 * what all kinds of an event have is given once.
 */
function briefly(shape: Schema): void {
  if (shape.minimum === Number.MIN_SAFE_INTEGER) delete shape.minimum;
  if (shape.maximum === Number.MAX_SAFE_INTEGER) delete shape.maximum;
  if (shape.additionalProperties === false) delete shape.additionalProperties;
  if (Array.isArray(shape.required) && shape.required.length === 0) delete shape.required;
  const [one, none, ...more] = (shape.anyOf ?? []) as Schema[];
  const plain = typeof one?.type === 'string' && !('enum' in one) && !('const' in one);
  if (plain && none?.type === 'null' && more.length === 0) {
    delete shape.anyOf;
    Object.assign(shape, one, { type: [one.type, 'null'] });
  }
  if (shape.oneOf) shareParts(shape, shape.oneOf as Kind[]);
}

type Kind = { type: string; properties?: Record<string, unknown>; required?: string[] };

/** Properties that are the same in each kind of a union move beside it. */
function shareParts(shape: Schema, kinds: Kind[]): void {
  const [first] = kinds;
  if (!first?.properties || kinds.some(({ type }) => type !== 'object')) return;
  const same = ([name, part]: [string, unknown]) =>
    kinds.every(
      ({ properties, required }) =>
        JSON.stringify(properties?.[name]) === JSON.stringify(part) &&
        required?.includes(name) === first.required?.includes(name),
    );
  const shared = Object.fromEntries(Object.entries(first.properties).filter(same));
  const isShared = (name: string) => name in shared;
  const required = (first.required ?? []).filter(isShared);
  Object.assign(shape, { type: 'object', properties: shared, required });
  shape.oneOf = kinds.map((kind) => ({
    properties: Object.fromEntries(
      Object.entries(kind.properties ?? {}).filter(([name]) => !isShared(name)),
    ),
    required: kind.required?.filter((name) => !isShared(name)),
  }));
}

/** What a line may be of an answer that shows how far it is. */
const linesOf = (progress: z.ZodType, response: z.ZodType) =>
  [{ progress }, { answer: response }, { problem }].map((line) => schema(z.object(line), 'output'));

/** Parameters of a route, each given once under its name and place. */
function parametersOf(
  known: Record<string, object>,
  type: z.ZodType,
  place: 'path' | 'query',
): { $ref: string }[] {
  const { properties = {}, required = [] } = schema(type, 'input') as {
    properties?: Record<string, unknown>;
    required?: string[];
  };
  return Object.entries(properties).map(([name, shape]) => {
    const needed = place === 'path' || required.includes(name);
    const parameter = { name, in: place, ...(needed && { required: true }), schema: shape };
    const text = JSON.stringify(parameter);
    let key = name;
    for (let at = 2; key in known && JSON.stringify(known[key]) !== text; at += 1) key = name + at;
    known[key] = parameter;
    return { $ref: `#/components/parameters/${key}` };
  });
}

/** Shorter shapes are as quickly read where they are as under a name. */
const MIN_LETTERS = 60;

const titled = (name: string) => name[0]!.toUpperCase() + name.slice(1);

/** What the contract calls its shapes, as answered and as sent, by what they look like. */
function namesInContract(): Map<string, string> {
  const names = new Map<string, string>();
  for (const [name, value] of Object.entries(contract)) {
    if (!(value instanceof z.ZodType)) continue;
    for (const shape of [schema(readable(value), 'output'), schema(value, 'input')]) {
      const text = JSON.stringify(shape);
      if (!names.has(text)) names.set(text, titled(name));
    }
  }
  return names;
}

const isShape = (part: object): boolean =>
  !Array.isArray(part) && ('type' in part || 'anyOf' in part);

/** The shapes of a document that are given more than once: each gets a name, and the rest refers to it. */
class Components {
  readonly schemas: Record<string, unknown> = {};
  private readonly inContract = namesInContract();
  private readonly times = new Map<string, number>();
  private readonly named = new Map<string, string>();

  constructor(document: unknown) {
    this.count(document);
  }

  private count(part: unknown): void {
    if (typeof part !== 'object' || part === null) return;
    if (isShape(part)) {
      const text = JSON.stringify(part);
      this.times.set(text, (this.times.get(text) ?? 0) + 1);
    }
    Object.values(part).forEach((one) => this.count(one));
  }

  /** @param key under which the part is found: the name of what the contract has none for */
  within(part: unknown, key = ''): unknown {
    if (typeof part !== 'object' || part === null) return part;
    if (!isShape(part)) return this.partsOf(part, key);
    const text = JSON.stringify(part);
    if (text.length < MIN_LETTERS || this.times.get(text) === 1) return this.partsOf(part, key);
    let name = this.named.get(text);
    if (name === undefined) {
      name = this.free(this.inContract.get(text) ?? titled(key));
      this.named.set(text, name);
      this.schemas[name] = {};
      this.schemas[name] = this.partsOf(part, key);
    }
    return { $ref: `#/components/schemas/${name}` };
  }

  private partsOf(part: object, key: string): unknown {
    if (Array.isArray(part)) return part.map((one) => this.within(one, key));
    return Object.fromEntries(
      Object.entries(part).map(([inside, value]) => [
        inside,
        this.within(
          value,
          /^(items|anyOf|oneOf|schema|properties|content|application\/json)$/.test(inside)
            ? key
            : inside,
        ),
      ]),
    );
  }

  private free(title: string): string {
    for (let at = 1; ; at += 1) {
      const name = at === 1 ? title : `${title}${at}`;
      if (!(name in this.schemas)) return name;
    }
  }
}

type Operation = { responses: Record<string, object>; requestBody?: object };

/** What several routes send or answer alike is given once, under the name of its shape. */
function shareAlike(operations: readonly Operation[]) {
  const requestBodies: Record<string, object> = {};
  const responses: Record<string, object> = {};
  const times = new Map<string, number>();
  for (const { responses: own, requestBody = {} } of operations) {
    for (const part of [requestBody, ...Object.values(own)]) {
      const text = JSON.stringify(part);
      times.set(text, (times.get(text) ?? 0) + 1);
    }
  }
  const shared = (part: object, known: Record<string, object>, place: string): object => {
    const text = JSON.stringify(part);
    const name = /#\/components\/schemas\/(\w+)/.exec(text)?.[1];
    if (!name || times.get(text) === 1) return part;
    known[name] ??= part;
    return JSON.stringify(known[name]) === text ? { $ref: `#/components/${place}/${name}` } : part;
  };
  for (const operation of operations) {
    const { requestBody } = operation;
    if (requestBody) operation.requestBody = shared(requestBody, requestBodies, 'requestBodies');
    for (const [status, response] of Object.entries(operation.responses)) {
      operation.responses[status] = shared(response, responses, 'responses');
    }
  }
  return { requestBodies, responses };
}

/** What is sent with a request; nothing where it is all in the address. */
function requestOf({ method, body }: { method: string; body: z.ZodType }): object {
  const shape = schema(body, 'input');
  const empty = shape.type === 'object' && Object.keys(shape.properties ?? {}).length === 0;
  if (method === 'get' || empty) return {};
  return { requestBody: { required: true, content: { 'application/json': { schema: shape } } } };
}

/** The route table as an OpenAPI 3.1 document: made from the schemas that the server checks with. */
export function openApi() {
  const paths: Record<string, Record<string, unknown>> = {};
  const parameters: Record<string, object> = {};
  for (const [operationId, route] of Object.entries(routes)) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    const success = route.method === 'post' ? '201' : '200';
    const inAddress = [
      ...parametersOf(parameters, route.params, 'path'),
      ...parametersOf(parameters, route.query, 'query'),
    ];
    paths[path] = {
      ...paths[path],
      [route.method]: {
        operationId,
        summary: route.summary,
        'x-access': route.access,
        tags: [route.path.split('/')[2]],
        ...(inAddress.length > 0 && { parameters: inAddress }),
        ...requestOf(route),
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
          default: { $ref: '#/components/responses/Problem' },
        },
      },
    };
  }
  const recursive = shapeOf(z.object({ why: contract.why }), 'output').$defs as Schema;
  const components = new Components(paths);
  const operations = components.within(paths) as Record<string, Record<string, Operation>>;
  const alike = shareAlike(Object.values(operations).flatMap((path) => Object.values(path)));
  return {
    openapi: '3.1.0',
    info: {
      title: 'Open Larder',
      version: '0.1.0',
      description: 'Diets, rounds, larder and records of a freshwater aquarium household.',
    },
    paths: operations,
    components: {
      parameters,
      requestBodies: alike.requestBodies,
      schemas: { ...components.schemas, Why: recursive.__schema0 },
      responses: {
        ...alike.responses,
        Problem: {
          description: 'What is wrong and what to do (RFC 9457)',
          content: { 'application/problem+json': { schema: schema(problem, 'output') } },
        },
      },
    },
  };
}
