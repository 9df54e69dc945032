import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { aboutKey, nextBag } from '@firm-line/core/stations/fit/log';
import type { LogEntry, Photo } from '@firm-line/core/plan';
import { CheckField } from '../../kit/fields/check-field';
import { SelectField } from '../../kit/fields/select-field';
import { AddPhotos } from './add-photos';
import { Initials } from './initials';
import { LogFacade, refOf } from './log-facade';

/** What was seen or read just now: put in the log with its place, its photographs and its bag. */
@Component({
  selector: 'fl-log-entry-form',
  imports: [AddPhotos, CheckField, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="card grid gap-3 p-5" (submit)="add($event)" aria-label="New entry">
      <div class="grid gap-3 sm:grid-cols-3">
        <fl-select-field
          class="sm:col-span-2"
          field="log-about"
          label="Subject"
          [options]="abouts()"
          [value]="aboutNow()"
          (changed)="writeOf($event)"
        />
        <fl-select-field
          field="log-when"
          label="Shows"
          [options]="whens"
          [value]="when()"
          (changed)="when.set($event)"
        />
      </div>
      <div>
        <label class="label block" for="log-text">Observation</label
        ><textarea
          #text
          id="log-text"
          class="field min-h-20 w-full"
          maxlength="5000"
          [value]="said()"
          (input)="said.set(text.value)"
        ></textarea>
      </div>
      <div class="grid gap-3 sm:grid-cols-3">
        <div>
          <label class="label block" for="log-reading">Reading, with its unit</label
          ><input
            #reading
            id="log-reading"
            class="field-mono w-full"
            maxlength="100"
            placeholder="12.4 V"
            [value]="read()"
            (input)="read.set(reading.value)"
          />
        </div>
        <div>
          <label class="label block" for="log-by">Initials</label
          ><input
            #by
            id="log-by"
            class="field w-full"
            maxlength="20"
            [value]="who.value()"
            (input)="who.set(by.value)"
          />
        </div>
      </div>
      <fl-add-photos [(photos)]="photos" />
      <fl-check-field
        [label]="'Bag no. ' + bagNo()"
        [checked]="bagged()"
        (changed)="bagged.set($event)"
      />
      <div>
        <button type="submit" class="btn-main" [disabled]="!canAdd()">Add entry</button>
      </div>
    </form>
  `,
})
export class LogEntryForm {
  private readonly log = inject(LogFacade);
  protected readonly who = inject(Initials);
  protected readonly whens = [
    ['now', 'now'],
    ['before', 'before the work'],
  ] as const;
  protected readonly abouts = computed(() =>
    this.log.choices().map((choice) => [aboutKey(choice), choice.name] as const),
  );
  protected readonly aboutNow = computed(() => aboutKey(this.log.about()));
  protected readonly when = signal<LogEntry['when']>('now');
  protected readonly said = signal('');
  protected readonly read = signal('');
  protected readonly photos = signal<readonly Photo[]>([]);
  protected readonly bagged = signal(false);
  protected readonly bagNo = computed(() => nextBag(this.log.log().entries));
  protected readonly canAdd = computed(() =>
    Boolean(this.said().trim() || this.read().trim() || this.photos().length),
  );

  protected writeOf(key: string): void {
    this.log.about.set(refOf(key));
  }
  protected add(event: Event): void {
    event.preventDefault();
    if (!this.canAdd()) return;
    const entry = {
      at: new Date().toISOString(),
      by: this.who.value().trim(),
      text: this.said().trim(),
      reading: this.read().trim(),
      about: this.log.about(),
      when: this.when(),
      photos: this.photos(),
      ...(this.bagged() ? { bag: this.bagNo() } : {}),
    };
    if (!this.log.apply({ edit: 'recordLogEntry', with: { entry } })) return;
    this.said.set('');
    this.read.set('');
    this.photos.set([]);
    this.bagged.set(false);
  }
}
