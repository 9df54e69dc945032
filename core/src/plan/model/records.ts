import { shapeOf } from './references.ts';
import type { AnyField } from './field-types.ts';
import { PLAN, type Plan } from './plan.ts';
import { type Ref } from './record-kind.ts';

/** A record of a plan as it is found: what it is, and its name with the names of what it is part of. */
export interface NamedRecord {
  readonly ref: Ref;
  readonly noun: string;
  readonly name: string;
}

/** Every record of a plan that has an id of its own, in the order in which they stand there. */
export function recordsIn(plan: Plan): NamedRecord[] {
  const found: NamedRecord[] = [];
  const walk = (field: AnyField, value: unknown, trail: readonly string[]): void => {
    if (value === null || value === undefined) return;
    switch (field.type) {
      case 'nullable':
      case 'optional':
        return walk(field.of, value, trail);
      case 'list':
        return (value as unknown[]).forEach((item) => walk(field.of, item, trail));
      case 'byKind':
      case 'record': {
        const { fields, about } = field.type === 'record' ? field : shapeOf(field, value)!;
        const names = about ? [...trail, about.named(value)] : trail;
        if (about && !about.unlisted) {
          const more = about.more?.(value);
          const name = `${names.join(', ')}${more ? ` ${more}` : ''}`;
          found.push({
            ref: { kind: about.kind, id: (value as { id: string }).id },
            noun: about.noun,
            name,
          });
        }
        for (const [key, inner] of Object.entries(fields))
          walk(inner, (value as Record<string, unknown>)[key], names);
      }
    }
  };
  walk(PLAN, plan, []);
  return found;
}
