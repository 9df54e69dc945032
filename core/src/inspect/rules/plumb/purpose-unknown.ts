import { defineRule } from '../../define-rule.ts';
import { endsByPart, ENDS_READ } from './_ends-by-part.ts';

/** A part in a line that nobody knows the purpose of: it may hold pressure back, or hold it in. */
export const purposeUnknown = defineRule({
  id: 'purpose-unknown',
  station: 'plumb',
  about: 'part',
  reads: ENDS_READ,
  judge: (part, view) => {
    const ends = endsByPart(view).get(part.id) ?? [];
    return (
      part.kind === 'other' &&
      !part.facts?.copied &&
      ends.length >= 2 && {
        level: 'caution',
        text: 'Nothing says what this part does in the line: it may hold pressure back or hold it in. Look up the part number and pick its type, or mark it “kept as found”.',
        fix: () => ({
          label: 'Mark as kept as found',
          call: {
            edit: 'changePart',
            with: { id: part.id, patch: { facts: { ...part.facts, copied: true } } },
          },
        }),
      }
    );
  },
});
