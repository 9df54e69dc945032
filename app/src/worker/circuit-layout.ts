import { Injectable } from '@angular/core';
import ELK, { type ElkExtendedEdge, type ElkNode, type ElkPort } from 'elkjs/lib/elk-api.js';
import { createElkWorker } from './workers';

/** What is to be laid out: boxes with ports on their left or right, and the lines between ports. */
export interface BoxToLay {
  readonly id: string;
  readonly width: number;
  readonly height: number;
  /** Ports at their place on the box. */
  readonly ports: readonly {
    readonly id: string;
    readonly side: 'WEST' | 'EAST';
    readonly x: number;
    readonly y: number;
  }[];
}
export interface WireToLay {
  readonly id: string;
  readonly from: string;
  readonly to: string;
}
export type Px = { readonly x: number; readonly y: number };
export interface Laid {
  readonly width: number;
  readonly height: number;
  readonly boxes: ReadonlyMap<string, Px>;
  readonly ports: ReadonlyMap<string, Px>;
  readonly wires: ReadonlyMap<string, readonly Px[]>;
}

const OPTIONS = {
  'elk.algorithm': 'layered',
  'elk.direction': 'RIGHT',
  'elk.edgeRouting': 'ORTHOGONAL',
  'elk.spacing.nodeNode': '28',
  'elk.layered.spacing.nodeNodeBetweenLayers': '70',
  'elk.layered.spacing.edgeNodeBetweenLayers': '24',
  'elk.separateConnectedComponents': 'true',
};

/** A circuit longer than its room is wide goes on below. */
const WRAPPED = {
  'elk.layered.wrapping.strategy': 'MULTI_EDGE',
  'elk.layered.wrapping.additionalEdgeSpacing': '24',
};

/** Lays circuits out in a worker, by the layered method. One that dies is told, and the next layout starts another. */
@Injectable({ providedIn: 'root' })
export class CircuitLayout {
  private elk: InstanceType<typeof ELK> | null = null;
  /** Fails when the worker at hand dies: the library itself waits for ever. */
  private death: Promise<never> = Promise.race([]);

  private start(): Worker {
    const worker = createElkWorker();
    this.death = new Promise((_, failed) => {
      worker.addEventListener('error', () => {
        this.elk = null;
        failed(new Error('the layout stopped.'));
      });
    });
    this.death.catch(() => undefined);
    return worker;
  }

  /** Side by side as far as that can be read in its room, else wrapped, whichever is shown larger. */
  async layIn(
    boxes: readonly BoxToLay[],
    wires: readonly WireToLay[],
    room: { readonly width: number; readonly height: number },
  ): Promise<Laid> {
    const shown = ({ width, height }: Laid): number =>
      Math.min(room.width / width, room.height / height);
    const flat = await this.lay(boxes, wires, room.width / room.height);
    if (shown(flat) >= 1) return flat;
    const wrapped = await this.lay(boxes, wires, room.width / room.height, WRAPPED);
    return shown(wrapped) > shown(flat) ? wrapped : flat;
  }
  async lay(
    boxes: readonly BoxToLay[],
    wires: readonly WireToLay[],
    aspect = 1.8,
    more: Readonly<Record<string, string>> = {},
  ): Promise<Laid> {
    const elk = (this.elk ??= new ELK({ workerFactory: () => this.start() }));
    const children = boxes.map((box): ElkNode => ({
      id: box.id,
      width: box.width,
      height: box.height,
      layoutOptions: { 'elk.portConstraints': 'FIXED_POS' },
      ports: box.ports.map((port): ElkPort => ({
        id: port.id,
        x: port.x,
        y: port.y,
        width: 0,
        height: 0,
        layoutOptions: { 'elk.port.side': port.side },
      })),
    }));
    const edges = wires.map((wire): ElkExtendedEdge => ({
      id: wire.id,
      sources: [wire.from],
      targets: [wire.to],
    }));
    const root: ElkNode = {
      id: 'root',
      layoutOptions: { ...OPTIONS, ...more, 'elk.aspectRatio': String(aspect) },
      children,
      edges,
    };
    const laid: ElkNode = await Promise.race([elk.layout(root), this.death]);
    const at = (item: { x?: number; y?: number }): Px => ({ x: item.x ?? 0, y: item.y ?? 0 });
    return {
      width: laid.width ?? 0,
      height: laid.height ?? 0,
      boxes: new Map((laid.children ?? []).map((node) => [node.id, at(node)])),
      ports: new Map(
        (laid.children ?? []).flatMap((node) =>
          (node.ports ?? []).map(
            (port) =>
              [port.id, { x: at(node).x + at(port).x, y: at(node).y + at(port).y }] as const,
          ),
        ),
      ),
      wires: new Map(
        ((laid.edges ?? []) as ElkExtendedEdge[]).map((edge) => [
          edge.id,
          (edge.sections ?? []).flatMap((section) => [
            section.startPoint,
            ...(section.bendPoints ?? []),
            section.endPoint,
          ]),
        ]),
      ),
    };
  }
}
