import { figure } from '@firm-line/core/fault';
import { toolingOf, type LineView } from '@firm-line/core/plan';
import { FLARES } from '@firm-line/core/stock';
import type { Step } from '@firm-line/core/tube';
import { formatLength, type UnitSystem } from '@firm-line/core/units';

/** A step of the card as one says it at the bench. */
export function stepWords(step: Step, view: LineView, units: UnitSystem): string {
  const card = view.card!;
  const mm = (value: number): string => formatLength(value, units, 1);
  const deg = (value: number): string => `${figure(value)}°`;
  const end = step.end?.toUpperCase();
  switch (step.kind) {
    case 'cut':
      return card.trimMm
        ? `Cut ${mm(card.stockCutMm)}, of it ${mm(card.trimMm)} to trim at B`
        : `Cut ${mm(card.stockCutMm)}, nothing to trim`;
    case 'deburr':
      return 'Deburr inside and out, square the end';
    case 'nut':
      return `Slide nut ${end} on, thread to end ${end}`;
    case 'flare':
      return `${FLARES[view.line.ends[step.end!].flare].name} end ${end}`;
    case 'bend': {
      const bend = card.bends[step.bend!]!;
      const turn = step.bend ? `bender ${deg(bend.rotateDeg)} (tube ${deg(bend.tubeTurnDeg)}), ` : '';
      return `Bend ${step.bend! + 1} at ${mm(bend.drawMarkMm)}: ${turn}dial ${deg(bend.dialDeg)}`;
    }
    case 'offer-up':
      return 'Offer it up between its ports';
    case 'trim':
      return `Mark B where it seats in its port, leave ${mm(toolingOf(view.line.ends.b, view.bench).flareExtraMm)} past the mark for the flare, cut there (${mm(card.trimMm)} off by this plan), deburr and clean`;
    case 'clean':
      return 'Clean, blow through, look for flakes';
    case 'cap':
      return 'Cap both ends until it is fitted';
  }
}
