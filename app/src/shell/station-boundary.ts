import { inject, Injectable, signal, type ErrorHandler } from '@angular/core';
import { NavigationEnd, NavigationError, Router } from '@angular/router';
import { filter } from 'rxjs';

export interface Broken {
  readonly message: string;
  /** Its program could not be had: a new version has taken its place, or there is no network. */
  readonly isMissing: boolean;
}

/** Keeps book of whether the station on screen broke, so that a panel can stand in for it and the rest goes on. */
@Injectable({ providedIn: 'root' })
export class StationBoundary {
  private readonly brokenNow = signal<Broken | null>(null);
  readonly broken = this.brokenNow.asReadonly();

  constructor() {
    const router = inject(Router);
    router.events
      .pipe(filter((event) => event instanceof NavigationEnd))
      .subscribe(() => this.tryAgain());
    router.events
      .pipe(filter((event) => event instanceof NavigationError))
      .subscribe(({ error }) => this.take(error));
  }

  take(error: unknown): void {
    const message = error instanceof Error ? error.message : String(error);
    this.brokenNow.set({
      message,
      isMissing: /dynamically imported module|Loading chunk|import\(\)/i.test(message),
    });
  }
  tryAgain(): void {
    this.brokenNow.set(null);
  }
}

/** An error that nobody caught broke what is on screen. It is told on the console too. */
@Injectable()
export class BoundaryErrorHandler implements ErrorHandler {
  private readonly boundary = inject(StationBoundary);
  handleError(error: unknown): void {
    console.error(error);
    this.boundary.take(error);
  }
}
