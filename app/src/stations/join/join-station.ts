import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { jointEnds, type JointEnd } from '@firm-line/core/stations/join';
import type { Hose, LineView } from '@firm-line/core/plan';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { HoseEndPanel } from './hose-end-panel';
import { JointList } from './joint-list';
import { JointPanel } from './joint-panel';
import { JointWorkForm } from './joint-work-form';
import { PortPanel } from './port-panel';
import { EmptyState } from '../../kit/empty-state';

@Component({
  selector: 'fl-join-station',
  imports: [EmptyState, RouterLink, HoseEndPanel, JointList, JointPanel, JointWorkForm, PortPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block flex-1' },
  template: `
    <h1 class="sr-only">Join</h1>
    @if (at(); as at) {
      <div class="grid gap-4 p-4 lg:grid-cols-[15.5rem_1fr_22rem]">
        <aside
          class="lg:sticky lg:top-4 lg:max-h-[calc(100dvh-6rem)] lg:overflow-auto lg:self-start"
          aria-label="Every joint"
        >
          <fl-joint-list [chosen]="at" (picked)="selection.choose($event.place)" />
          <a class="link px-3" routerLink="/practice">Practice seats and threads</a>
        </aside>
        <fl-joint-panel class="min-w-0" [at]="at" [line]="line()" />
        <aside class="flex flex-col gap-4">
          @if (hose(); as hose) {
            <section class="card p-4" aria-label="The hose’s end">
              <fl-hose-end-panel [hose]="hose" [end]="at.end" />
            </section>
          }
          @if (at.at; as port) {
            <section class="card p-4" aria-label="The port"><fl-port-panel [at]="port" /></section>
          }
          <section class="card p-4" aria-label="Fitting the joint">
            <fl-joint-work-form [at]="at" [line]="line()" />
          </section>
        </aside>
      </div>
    } @else {
      <fl-empty-state
        heading="No joints yet"
        text="This page checks every joint in section. First join two ports in Plumb, or add a hose in Route."
      >
        <a class="btn" routerLink="../plumb">Go to Plumb</a>
      </fl-empty-state>
    }
  `,
})
export class JoinStation {
  private readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);

  /** The end that is looked at: of the hose that was chosen last, else of the chosen line; its last node stands for end B. */
  protected readonly at = computed((): JointEnd | null => {
    const ends = jointEnds(this.store.view());
    const [ref, line] = [this.selection.ref(), this.selection.line()];
    const hoses = ends.filter(({ of, id }) => of === 'hose' && (id === ref?.id || !line));
    if (hoses.length && (ref?.kind === 'hose' || !line))
      return hoses.find(({ place }) => place.node === ref?.node) ?? hoses[0]!;
    const lines = ends.filter(({ of, id }) => of === 'line' && id === line?.line.id);
    const node = this.selection.node();
    return (
      lines.find(({ place }) => node !== null && node > 0 && place.node === node) ??
      lines[0] ??
      null
    );
  });
  protected readonly line = computed((): LineView | null => {
    const at = this.at();
    return (
      (at?.of === 'line' && this.store.view().lines.find(({ line }) => line.id === at.id)) || null
    );
  });
  protected readonly hose = computed((): Hose | null => {
    const at = this.at();
    return (at?.of === 'hose' && this.store.plan().hoses.find(({ id }) => id === at.id)) || null;
  });
}
