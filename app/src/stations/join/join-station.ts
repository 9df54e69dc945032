import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { JointList, type EndRef } from './joint-list';
import { JointPanel } from './joint-panel';
import { JointWorkForm } from './joint-work-form';
import { PortPanel } from './port-panel';
import { Empty } from '../../kit/empty';

@Component({
  selector: 'fl-join-station',
  imports: [Empty, RouterLink, JointList, JointPanel, JointWorkForm, PortPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block flex-1' },
  template: `
    <h1 class="sr-only">Join</h1>
    @if (chosen(); as at) {
      <div class="grid gap-4 p-4 lg:grid-cols-[15.5rem_1fr_22rem]">
        <aside class="lg:sticky lg:top-4 lg:max-h-[calc(100dvh-6rem)] lg:overflow-auto lg:self-start" aria-label="Every joint">
          <fl-joint-list [chosen]="ref()" (picked)="choose($event)" />
          <a class="link px-3" routerLink="/practice">Practise seats and threads</a>
        </aside>
        <fl-joint-panel class="min-w-0" [line]="at.line" [end]="at.end" />
        <aside class="flex flex-col gap-4">
          @if (at.line.ports[at.end]; as port) {
            <section class="card p-4" aria-label="The port"><fl-port-panel [at]="port" /></section>
          }
          <section class="card p-4" aria-label="Work at the joint">
            <fl-joint-work-form [line]="at.line" [end]="at.end" />
          </section>
        </aside>
      </div>
    } @else {
      <fl-empty heading="No joints yet" text="Join two ports in Plumb, and both ends of the line are looked at here.">
        <a class="btn" routerLink="../plumb">Go to Plumb</a>
      </fl-empty>
    }
  `,
})
export class JoinStation {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);

  /** The chosen line's end: the last node stands for end B, a chosen port for the end that lies at it. */
  protected readonly chosen = computed(() => {
    const line = this.selection.line();
    if (!line) return null;
    const node = this.selection.node();
    return { line, end: node !== null && node > 0 && node === line.nodesMm.length - 1 ? ('b' as const) : ('a' as const) };
  });
  protected readonly ref = computed((): EndRef | null => {
    const at = this.chosen();
    return at && { lineId: at.line.line.id, end: at.end };
  });

  protected choose({ lineId, end }: EndRef): void {
    const line = this.store.view().lines.find((v) => v.line.id === lineId)!;
    this.selection.chooseLine(lineId, end === 'a' ? 0 : Math.max(line.nodesMm.length - 1, 1));
  }
}
