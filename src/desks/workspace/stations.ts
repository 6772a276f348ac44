import { lazy } from 'react';

/** The stations of a quiz in the order of the work; each is loaded when it is first gone to. */
export const STATIONS = [
  { name: 'write', title: 'Write', Desk: lazy(() => import('../write/Write')) },
  { name: 'plan', title: 'Plan', Desk: lazy(() => import('../plan/Plan')) },
  { name: 'tray', title: 'Tray', Desk: lazy(() => import('../tray/Tray')) },
  { name: 'check', title: 'Check', Desk: lazy(() => import('../check/Check')) },
  { name: 'handback', title: 'Hand back', Desk: lazy(() => import('../handback/HandBack')) },
] as const;

export type StationName = (typeof STATIONS)[number]['name'];

export const stationOf = (hash: string): StationName =>
  STATIONS.find((station) => `#${station.name}` === hash)?.name ?? 'write';
