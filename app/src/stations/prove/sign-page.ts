import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  exceptionsOf,
  ITEM_KINDS,
  leftWords,
  localRules,
  signedDigest,
  signedSections,
  type SignoffItem,
} from '@firm-line/core/stations/prove';
import { Disclosure } from '../../kit/disclosure';
import { TextField } from '../../kit/fields/text-field';
import { Toggle } from '../../kit/toggle';
import { PlanStore } from '../../session/plan-store';
import { FollowUpList } from './follow-up-list';
import { PackPanel } from './pack-panel';
import { ProveFacade } from './prove-facade';
import { SignItem } from './sign-item';

/** Shown of each group before the rest is unfolded. */
const FIRST = 8;
const COUNTS: Record<SignoffItem['kind'], { name: string; ink: string }> = {
  blocker: { name: 'blockers', ink: 'text-stop' },
  caution: { name: 'cautions', ink: 'text-caution' },
  task: { name: 'tasks left', ink: 'text-ink' },
  test: { name: 'tests left', ink: 'text-ink' },
};
const GROUPS: readonly { title: string; kinds: readonly SignoffItem['kind'][] }[] = [
  { title: 'Blockers: nobody can sign over these', kinds: ['blocker'] },
  { title: 'Cautions: fix, or accept and say why', kinds: ['caution'] },
  { title: 'Tasks left', kinds: ['task'] },
  { title: 'Tests left', kinds: ['test'] },
];

/** What stands in the way of signing, the signature, and the pack for whoever signs. */
@Component({
  selector: 'fl-sign-page',
  imports: [Disclosure, FollowUpList, PackPanel, RouterLink, SignItem, TextField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid min-h-full lg:grid-cols-[minmax(0,1fr)_24rem]">
      <div class="min-w-0 p-5">
        <h1 class="text-3xl font-bold" data-test="open-count">{{ heading() }}</h1>
        @if (result(); as result) {
          <p class="mt-1 text-lg text-ink-soft">{{ left() || 'Nothing is left.' }}</p>
          <dl class="mt-4 grid grid-cols-2 gap-3 sm:grid-cols-5">
            @for (count of counts(); track count.name) {
              <div
                class="card flex flex-col-reverse justify-end p-3"
                [attr.data-count]="count.kind"
              >
                <dt class="text-sm text-ink-soft">{{ count.name }}</dt>
                <dd class="font-mono text-3xl" [class]="count.ink">{{ count.value }}</dd>
              </div>
            }
          </dl>
          @for (group of groups(); track group.title) {
            <section class="mt-6" [attr.aria-label]="group.title">
              <h2 class="text-xl font-bold">{{ group.title }}</h2>
              @for (item of group.first; track item.key) {
                <fl-sign-item [item]="item" [attr.data-item]="item.key" />
              }
              @if (group.rest.length) {
                <fl-disclosure
                  [summary]="group.rest.length + ' more'"
                  (opened)="unfold(group.title, $event)"
                >
                  @if (unfolded().includes(group.title)) {
                    @for (item of group.rest; track item.key) {
                      <fl-sign-item [item]="item" [attr.data-item]="item.key" />
                    }
                  }
                </fl-disclosure>
              }
            </section>
          }
          @if (result.good.length) {
            <fl-disclosure
              class="mt-6"
              [summary]="'Checked and good: ' + result.good.length"
              (opened)="unfold('good', $event)"
            >
              @if (unfolded().includes('good')) {
                <ul class="pl-8">
                  @for (name of result.good; track $index) {
                    <li class="border-t border-rule py-1">
                      <span class="text-ok">✓</span> {{ name }}
                    </li>
                  }
                </ul>
              }
            </fl-disclosure>
          }
        }
      </div>
      <aside
        class="flex flex-col gap-4 border-l border-rule bg-sheet p-5"
        aria-label="Signature and pack"
      >
        <h2 class="text-xl font-bold">Signature</h2>
        @if (result()?.signed; as signed) {
          <div [class]="signed.stands ? 'text-ok' : 'text-stop'" data-test="signed">
            <p class="font-semibold">
              {{ signed.stands ? '✓' : '✗' }} Signed {{ signed.sign.at.slice(0, 10) }} by
              {{ signed.sign.by }},
              {{
                signed.sign.scope === 'road'
                  ? 'for the road.'
                  : 'for moving at walking pace on closed ground, not for the road.'
              }}
            </p>
            @if (!signed.stands) {
              <p>This signature is no longer valid. {{ signed.why }}</p>
            }
            @if (signed.sign.revisionId; as id) {
              <a class="link" [routerLink]="['/plan', id, 'prove', 'sign']" data-test="revision">
                Open the signed copy
              </a>
            }
          </div>
          @if (signed.sign.exceptions.length) {
            <fl-disclosure [summary]="'Exceptions: ' + signed.sign.exceptions.length">
              <ul class="list-disc pl-8 text-sm">
                @for (words of signed.sign.exceptions; track $index) {
                  <li>{{ words }}</li>
                }
              </ul>
            </fl-disclosure>
          }
        }
        <fl-toggle label="Use" [options]="scopes" [value]="scope()" (changed)="scope.set($event)" />
        <p class="text-sm text-ink-soft">
          Signing covers the plan, the work record, every test and every accepted caution as they
          are now. Any change to them voids it. Planned follow-up checks do not. A copy of the plan
          as signed is saved beside it.
        </p>
        <fl-toggle
          label="Signed as"
          [options]="roles"
          [value]="role()"
          (changed)="role.set($event)"
        />
        <fl-text-field
          field="signed-by"
          label="Initials or name"
          [limits]="{ least: 0, most: 100 }"
          [value]="by()"
          (changed)="by.set($event)"
        />
        @if (!may().may) {
          <p class="fault" data-test="refused">{{ may().why }}</p>
        } @else if (scope() === 'move' && left()) {
          <p class="text-sm" data-test="exceptions">
            What is left is listed on the signature: {{ left() }}.
          </p>
        }
        <button
          type="button"
          class="btn-main min-h-16 text-xl disabled:opacity-60"
          [disabled]="!may().may || !by().trim()"
          (click)="sign()"
          data-test="sign"
        >
          {{ scope() === 'road' ? 'Sign for the road' : 'Sign for moving only, not for the road' }}
        </button>
        <p class="text-sm">{{ words() }}</p>
        @if (result(); as result) {
          <fl-follow-up-list [checks]="result.followUps" />
        }
        <fl-pack-panel />
      </aside>
    </div>
  `,
})
export class SignPage {
  protected readonly sheet = inject(ProveFacade);
  private readonly store = inject(PlanStore);
  protected readonly scopes = [
    { value: 'road', name: 'For the road' },
    { value: 'move', name: 'For moving only' },
  ] as const;
  protected readonly roles = [
    { value: 'builder', name: 'Builder' },
    { value: 'qualified', name: 'Qualified person' },
  ] as const;
  protected readonly scope = signal<'road' | 'move'>('road');
  protected readonly role = signal<'builder' | 'qualified'>('builder');
  protected readonly by = signal('');
  protected readonly unfolded = signal<readonly string[]>([]);
  protected readonly result = this.sheet.signoff;
  protected readonly left = computed(() => leftWords(this.result()?.items ?? []));
  protected readonly heading = computed(() => {
    const result = this.result();
    return !result ? 'Checking…' : result.road.may ? 'Ready to sign' : 'Not ready for the road';
  });
  protected readonly counts = computed(() => {
    const { items, good } = this.result()!;
    return [
      ...ITEM_KINDS.map((kind) => ({
        kind,
        ...COUNTS[kind],
        value: items.filter((item) => item.kind === kind && !item.accepted).length,
      })),
      { kind: 'good', name: 'checked and good', ink: 'text-ok', value: good.length },
    ];
  });
  protected readonly groups = computed(() =>
    GROUPS.flatMap(({ title, kinds }) => {
      const items = this.result()!.items.filter(({ kind }) => kinds.includes(kind));
      return items.length
        ? [{ title, first: items.slice(0, FIRST), rest: items.slice(FIRST) }]
        : [];
    }),
  );
  protected readonly may = computed(() => {
    const result = this.result();
    return result ? result[this.scope()] : { may: false, why: 'Snags are still being checked.' };
  });
  protected readonly words = computed(() => localRules(this.store.plan().sizing?.category));
  protected unfold(title: string, isOpen: boolean): void {
    this.unfolded.update((titles) =>
      isOpen ? [...titles, title] : titles.filter((one) => one !== title),
    );
  }
  /** Signs, then saves the plan as it was signed under a name of its own. */
  protected async sign(): Promise<void> {
    const result = this.result();
    if (!result || !this.may().may) return;
    const view = this.sheet.view();
    const at = new Date().toISOString();
    this.sheet.apply({
      edit: 'sign',
      with: {
        signature: {
          at,
          by: this.by().trim(),
          as: this.role(),
          scope: this.scope(),
          rests: signedDigest(view),
          sections: signedSections(view),
          exceptions: this.scope() === 'move' ? exceptionsOf(result.items) : [],
        },
      },
    });
    const { name } = this.store.plan();
    const revisionId = await this.store.saveCopy(`${name}, signed ${at.slice(0, 10)}`);
    if (revisionId) this.sheet.apply({ edit: 'keepRevision', with: { at, revisionId } });
  }
}
