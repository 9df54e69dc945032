import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  viewChild,
} from '@angular/core';
import { Dialog } from '../kit/dialog';
import { PlanStore } from '../session/plan-store';

/** So many are named; the rest is counted. */
const MOST_NAMED = 6;

/** Asks before an edit that undoes work which is done. */
@Component({
  selector: 'fl-pending-edit',
  imports: [Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog #dialog label="This change affects finished work" (closed)="store.answerHeld(false)">
      <h2 class="text-xl font-bold">This change affects finished work</h2>
      <ul class="my-3 list-disc pl-5" data-test="undoes">
        @for (name of named(); track name) {
          <li>{{ name }}</li>
        }
        @if (more()) {
          <li>and {{ more() }} more</li>
        }
      </ul>
      <p>
        The change alters what that work was done on. The work will need redoing or rechecking. You
        can undo.
      </p>
      <div class="mt-4 flex flex-wrap gap-2">
        <button type="button" class="btn-main" (click)="agree()">Make the change</button>
        <button type="button" class="btn" (click)="dialog.close()">Cancel</button>
      </div>
    </fl-dialog>
  `,
})
export class PendingEditDialog {
  protected readonly store = inject(PlanStore);
  private readonly dialog = viewChild.required(Dialog);
  private readonly undoes = computed(() => this.store.held()?.undoes ?? []);
  protected readonly named = computed(() => this.undoes().slice(0, MOST_NAMED));
  protected readonly more = computed(() => this.undoes().length - this.named().length);

  constructor() {
    afterNextRender(() => this.dialog().show());
  }
  protected agree(): void {
    this.store.answerHeld(true);
  }
}
