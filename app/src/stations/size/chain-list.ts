import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Step } from './chains';
import { Words } from '../../kit/words';

/** The steps from what is pushed to what it does, each with its figure. */
@Component({
  selector: 'fl-chain-list',
  imports: [Words],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol class="mt-2 grid grid-cols-2 gap-2 sm:grid-cols-4">
      @for (step of steps(); track step.name) {
        <li class="rounded-lg border border-rule px-3 py-2">
          <p class="label">{{ step.name }}</p>
          <p class="font-mono text-xl leading-tight" [attr.data-step]="step.name">
            {{ step.value }}
          </p>
          <p class="text-sm leading-tight text-ink-soft"><fl-words [text]="step.note" /></p>
        </li>
      }
    </ol>
  `,
})
export class ChainList {
  readonly steps = input.required<readonly Step[]>();
}
