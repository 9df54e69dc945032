import { flag, list, name, oneOf, optional, record, text, time, told, noted } from './field.ts';

/** A section of what was signed for, as it was: its SHA-256. */
export interface SignedSection {
  readonly name: string;
  readonly digest: string;
}
export interface SignOff {
  readonly at: string;
  readonly by: string;
  readonly as: 'builder' | 'qualified';
  readonly scope: 'road' | 'move';
  /** SHA-256 of all that was signed for. */
  readonly rests: string;
  /** And of each section of it: tells which has changed since. Signatures of older plan files have none. */
  readonly sections?: readonly SignedSection[];
  readonly exceptions: readonly string[];
  /** The plan that keeps the signed revision, in the browser that it was signed in. */
  readonly revisionId?: string;
}
/** A caution that somebody takes on, with the reason. */
export interface AcceptedCaution {
  /** Of the caution. */
  readonly key: string;
  /** Digest of the figures it was accepted on: with others it counts no more. */
  readonly figures: string;
  readonly by: string;
  readonly at: string;
  readonly reason: string;
}
/** What was found at a check that falls due after signing. */
export interface FollowUp {
  readonly key: string;
  readonly at: string;
  readonly good: boolean;
  readonly note: string;
}
export const SIGN_OFF = record<SignOff>()({
  at: told('Time', time),
  by: told('By', name),
  as: told('As', oneOf(['builder', 'qualified'])),
  scope: told('For', oneOf(['road', 'move'])),
  rests: told('Signed on', text),
  sections: told(
    'Signed sections',
    optional(list(record<SignedSection>()({ name, digest: told('Digest', text) }), 50)),
  ),
  exceptions: told('Exceptions', list(noted(text), 500)),
  revisionId: told('Signed copy', optional(noted(text))),
});
export const ACCEPTED = record<AcceptedCaution>()({
  key: told('Caution', text),
  figures: told('Accepted on', text),
  by: told('By', name),
  at: told('Time', time),
  reason: told('Reason', name),
});
export const FOLLOW_UP = record<FollowUp>()({
  key: told('Check', name),
  at: told('Time', time),
  good: told('Good', flag),
  note: told('Observation', text),
});
