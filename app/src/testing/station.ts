import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router, RouterOutlet, withComponentInputBinding } from '@angular/router';
import type { Plan } from '@firm-line/core/plan';
import type { PlanStore } from '../session/plan-store';
import { Selection } from '../session/selection';
import { STATION_ROUTES } from '../stations/routes';
import { APP_PROVIDERS, openGannet, until } from './open-gannet';

@Component({
  imports: [RouterOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: '<router-outlet />',
})
class Frame {}

/** A station, or a page of one, by its address on the demo plan, with the few words its specs need. */
export async function station(path: string, id: string, line = 'line-r1', plan?: Plan) {
  TestBed.configureTestingModule({
    providers: [
      ...APP_PROVIDERS,
      provideRouter(
        [{ path: 'plan/:planId', children: [...STATION_ROUTES, { path: '**', children: [] }] }],
        withComponentInputBinding(),
      ),
    ],
  });
  const store: PlanStore = await openGannet(id, plan);
  const router = TestBed.inject(Router);
  const fixture = TestBed.createComponent(Frame);
  await router.navigateByUrl(`/plan/${id}/${path}`);
  if (line) TestBed.inject(Selection).chooseLine(line);
  // What is deferred comes in a task after what waits for it.
  const settle = async (): Promise<void> => {
    await fixture.whenStable();
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
    // Then the snags of the plan as it now is, and the fixes of those that are shown.
    await until(() => store.isJudged());
    for (let i = 0; i < 3; i++) {
      await fixture.whenStable();
      await new Promise((done) => setTimeout(done, 5));
    }
    await fixture.whenStable();
  };
  await settle();
  const root = fixture.nativeElement as HTMLElement;
  return {
    store,
    root,
    address: (): string => router.url,
    one: <E extends HTMLElement>(selector: string): E => root.querySelector<E>(selector)!,
    texts: (selector: string): string[] =>
      [...root.querySelectorAll(selector)].map((e) => e.textContent!.replace(/\s+/g, ' ').trim()),
    async type(field: HTMLInputElement, text: string, event = 'change') {
      field.value = text;
      field.dispatchEvent(new Event(event, { bubbles: true }));
      await settle();
    },
    /** The button or link that says just this. */
    button: (name: string): HTMLElement =>
      [...root.querySelectorAll<HTMLElement>('button, a')].find(
        (b) => b.textContent!.trim() === name || b.getAttribute('aria-label') === name,
      )!,
    async choose(field: HTMLSelectElement, label: string) {
      field.value = [...field.options].find((option) => option.text.includes(label))!.value;
      field.dispatchEvent(new Event('change', { bubbles: true }));
      await settle();
    },
    settle,
    async click(target: HTMLElement) {
      target.click();
      await settle();
    },
    /** Another page of the station. */
    async page(name: string) {
      [...root.querySelectorAll<HTMLElement>('fl-page-nav a')]
        .find((link) => link.textContent!.trim() === name)!
        .click();
      await settle();
    },
  };
}
