import { buildServer, builtServer } from './build.mjs';
import { say } from './say.mjs';
import { setUp } from './setup.mjs';
import { buildWeb, webDir } from './web.mjs';

await setUp({ browser: false, database: false });
await buildWeb();
await buildServer();
say(`\nBuilt: the server is ${builtServer}, its pages are in ${webDir}.`);
