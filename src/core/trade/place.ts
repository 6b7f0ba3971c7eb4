import type { PeripheralKind } from './peripheral-kind';

export const places = ['front', 'right', 'rear', 'left', 'above'] as const;
export type Place = (typeof places)[number];

/** Where a part of a kind usually sits, seen from the board: common practice of the trade, no source. The buyer may say otherwise. */
export const usualPlace: Record<PeripheralKind, Place> = {
  receiver: 'rear',
  camera: 'front',
  'video transmitter': 'rear',
  'digital video': 'rear',
  positioning: 'above',
  compass: 'above',
  light: 'rear',
  servo: 'rear',
  buzzer: 'rear',
  'esc telemetry': 'front',
  'air speed': 'front',
  'range finder': 'front',
  'ground link': 'rear',
  recorder: 'above',
  'current sensor': 'rear',
  gimbal: 'front',
  aerial: 'rear',
  other: 'above',
};

/** More in every wire of a board that has to come out to be served: common practice, no source. */
export const foldOutMm = 30;

/** For two joints and a bend, in millimetres; wires cut before the board sits are left longer. Common practice, no source. */
export const slackMm = { 'underside first': 25, 'all before': 45 } as const;
