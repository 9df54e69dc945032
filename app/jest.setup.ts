import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';
import { deserialize, serialize } from 'node:v8';
// This environment clones nothing, and tables of bytes must come back as such.
globalThis.structuredClone ??= <T>(value: T): T => deserialize(serialize(value)) as T;
import 'fake-indexeddb/auto';

// This environment has no layout to scroll in.
Element.prototype.scrollIntoView ??= () => undefined;

setupZonelessTestEnv();
