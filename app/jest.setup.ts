import { setupZonelessTestEnv } from 'jest-preset-angular/setup-env/zoneless';
globalThis.structuredClone ??= <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;
import 'fake-indexeddb/auto';

// This environment has no layout to scroll in.
Element.prototype.scrollIntoView ??= () => undefined;

setupZonelessTestEnv();
