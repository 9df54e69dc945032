import { measureDerived } from '../core/src/lib/derive/index.ts';
import { applyEdit, layPlan, writePlan, type EditCall } from '../core/src/plan/index.ts';
import { readPlan } from '../core/src/plan/file/index.ts';
import { viewPlan } from '../core/src/plan/results/index.ts';
import { inspect } from '../core/src/inspect/index.ts';
import { size } from '../core/src/physics/hydraulics/index.ts';
import { bendTable } from '../core/src/shape/tube/index.ts';
import { threeLine } from '../core/src/testing/three-line.ts';
import { bigPlan, demo, gannet, middleMs, randomLines } from './lines.ts';

/** Bend tables of 10,000 random lines beside three's curve classes building and measuring the same center lines. */
export function benchBends(): void {
  const lines = randomLines(10_000);
  const ours = (): number[] =>
    lines.map((nodesMm) => bendTable({ nodesMm, clrMm: 15 }).developedMm);
  const theirs = (): number[] => lines.map((nodesMm) => threeLine(nodesMm, 15).getLength());
  const [a, b] = [ours(), theirs()];
  const apart = Math.max(...a.map((length, i) => Math.abs(length - b[i]!) / length));
  const [oursMs, theirsMs] = [middleMs(7, ours), middleMs(3, theirs)];
  console.log(
    `bend tables, 10,000 lines of 8 corners: ${((lines.length / oursMs) * 1000).toFixed(0)} a second, ${(theirsMs / oursMs).toFixed(1)} times three’s curves (${theirsMs.toFixed(0)} ms against ${oursMs.toFixed(0)} ms)`,
  );
  console.log(
    `  lengths agree to ${apart.toExponential(1)} relative (1e-6 asked)${apart > 1e-6 ? ' NOT MET' : ''}`,
  );
}

/** What an edit of a plan of 300 lines costs in the core, without a screen. */
export function benchPlan(): void {
  const plan = bigPlan(300);
  const text = writePlan(plan);
  const line = plan.lines[3]!;
  let x = 0;
  const edit = (): void => {
    const next = applyEdit(plan, {
      edit: 'setMove',
      with: { id: line.id, index: 2, moveMm: [1500 + (x++ % 50), 0, 0] },
    });
    viewPlan(next);
    inspect(next);
  };
  viewPlan(plan);
  edit();
  console.log(
    `plan of 300 lines, ${(text.length / 1024).toFixed(0)} kB: read and checked ${middleMs(5, () => void readPlan(text)).toFixed(0)} ms, written ${middleMs(15, () => void writePlan(plan)).toFixed(2)} ms, edit with all snags ${middleMs(25, edit).toFixed(1)} ms`,
  );
}

/** `size` on a plan of ordinary size: 1 ms asked. */
export function benchSize(): void {
  const { input } = viewPlan(gannet()).size!.empty;
  const ms = middleMs(15, () => {
    for (let i = 0; i < 100; i++) size(input);
  });
  console.log(`size: ${(ms / 100).toFixed(3)} ms (1 asked)${ms / 100 > 1 ? ' NOT MET' : ''}`);
}

/** What the costliest derived values of a large plan take, at the first look and after one edit. */
export function benchDerived(lines = 60): void {
  const plan = bigPlan(lines);
  const spent = measureDerived(() => performance.now());
  const told = (when: string): void => {
    const dear = [...spent].sort((a, b) => b.ms - a.ms).slice(0, 4);
    console.log(
      `derived values of ${lines} lines ${when}: ${dear.map(({ name, ms, computed, kept }) => `${name} ${ms.toFixed(0)} ms (${computed} computed, ${kept} at hand)`).join(', ')}`,
    );
  };
  inspect(plan);
  told('at the first look');
  measureDerived(() => performance.now());
  inspect(
    applyEdit(plan, {
      edit: 'setMove',
      with: { id: plan.lines[3]!.id, index: 2, moveMm: [1400, 0, 0] },
    }),
  );
  told('after an edit');
}

/** Renaming anything in a plan of hoses: the edit with its check, and laying the plan out again: what the page does by itself. */
export function benchRename(): void {
  const plan = demo('wheatear');
  viewPlan(plan);
  inspect(plan);
  const named = (name: string): EditCall[] => [
    { edit: 'changeThing', with: { id: plan.things[0]!.id, patch: { name } } },
    { edit: 'changePart', with: { id: plan.parts[0]!.id, patch: { name } } },
    { edit: 'changePort', with: { id: plan.parts[0]!.ports[0]!.id, patch: { name } } },
    { edit: 'changeLine', with: { id: plan.lines[0]!.id, patch: { name } } },
    { edit: 'changeHose', with: { id: plan.hoses[0]!.id, patch: { name } } },
  ];
  const worst = Math.max(
    ...named('').map((_, k) => {
      let i = 0;
      return middleMs(9, () => void layPlan(applyEdit(plan, named(`Other ${i++}`)[k]!)));
    }),
  );
  console.log(
    `renaming a thing, part, port, line or hose of Wheatear: ${worst.toFixed(1)} ms at the dearest (5 asked)${worst > 5 ? ' NOT MET' : ''}`,
  );
}
